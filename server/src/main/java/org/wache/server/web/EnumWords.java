package org.wache.server.web;

import java.util.Arrays;
import java.util.Locale;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/** How constants are written to the web: {@code LEAVE_OUT} as {@code leave-out}, both ways, and nothing else is taken for one. */
@Configuration
public class EnumWords {

    /** A constant as it is written. */
    public static String of(Enum<?> constant) {
        return of(constant.name());
    }

    /** The name of a constant as it is written. */
    public static String of(String name) {
        return name.toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @throws IllegalArgumentException when none is written like that */
    public static <E extends Enum<E>> E read(Class<E> type, String text) {
        return Arrays.stream(type.getEnumConstants())
                .filter(each -> of(each).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + text + "” is none of "
                        + Arrays.stream(type.getEnumConstants())
                                .map(EnumWords::of)
                                .toList()));
    }

    /** Writes and reads constants of this program as words. */
    public static final JacksonAnnotationIntrospector INTROSPECTOR = new JacksonAnnotationIntrospector() {
        private static final long serialVersionUID = 1;

        @Override
        public String[] findEnumValues(
                MapperConfig<?> config, AnnotatedClass type, Enum<?>[] constants, String[] names) {
            String[] found = super.findEnumValues(config, type, constants, names);
            if (type.getRawType().getName().startsWith("org.wache.")) {
                for (int i = 0; i < constants.length; i++) {
                    found[i] = of(constants[i]);
                }
            }
            return found;
        }
    };

    @Bean
    JsonMapperBuilderCustomizer constantsAreWords() {
        return builder -> builder.annotationIntrospector(INTROSPECTOR)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS); // a place in a row of constants says nothing
    }
}
