package org.wache.server.web;

import java.util.Arrays;
import java.util.Locale;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;

/** How constants are written to the web: {@code LEAVE_OUT} as {@code leave-out}, both ways, and nothing else is taken for one. */
@Configuration
public class EnumWords implements WebMvcConfigurer {

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

    /** Words in the address of a request; none at all is no constant. */
    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverterFactory(new Words());
    }

    private static final class Words implements ConverterFactory<String, Enum<?>> {
        @Override
        @SuppressWarnings({"unchecked", "rawtypes"}) // the type is only known while the program runs
        public <E extends Enum<?>> Converter<String, E> getConverter(Class<E> type) {
            return text -> text.isEmpty() ? null : (E) read((Class) type, text);
        }
    }

    @Bean
    JsonMapperBuilderCustomizer constantsAreWords() {
        return builder -> builder.annotationIntrospector(INTROSPECTOR)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS); // a place in a row of constants says nothing
    }
}
