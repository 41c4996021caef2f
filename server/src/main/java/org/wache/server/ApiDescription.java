package org.wache.server;

import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.wache.server.accounts.Account;
import org.wache.server.web.EnumWords;

/** The description of the API from which the web application's types are made. */
@Configuration
class ApiDescription {

    static {
        SpringDocUtils.getConfig()
                .addRequestWrapperToIgnore(Account.class); // who asks is in the session, not in the request
        ModelResolver.enumsAsRef = true; // each set of constants is one type of its own
    }

    /** A set of constants that belongs to something is called after it: that of Matter.Kind is MatterKind. */
    @Bean
    ModelResolver named(ObjectMapperProvider mappers) {
        ModelResolver resolver = new ModelResolver(mappers.jsonMapper(), new TypeNameResolver() {
            @Override
            protected String nameForClass(Class<?> type, Set<Options> options) {
                return type.isEnum() && type.getEnclosingClass() != null
                        ? type.getEnclosingClass().getSimpleName() + type.getSimpleName()
                        : super.nameForClass(type, options);
            }
        });
        return resolver.openapi31(true);
    }

    /** Records always write all of their components, so every property is there; what may be null says so. */
    @Bean
    OpenApiCustomizer complete() {
        return api -> {
            api.setInfo(new Info().title("Wache").version("1"));
            api.setServers(null);
            api.getPaths().values().forEach(path -> path.readOperations()
                    .forEach(operation -> operation.setTags(null)));
            Map<String, Schema> schemas = api.getComponents().getSchemas();
            for (Schema<?> schema : schemas.values()) {
                words(schema);
                if (schema.getProperties() != null) {
                    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
                    schema.getProperties().replaceAll((name, property) -> choice(property));
                }
            }
            api.getComponents().setSchemas(new TreeMap<>(schemas));
        };
    }

    /** Constants stand there as they are written. */
    @SuppressWarnings("unchecked")
    private static void words(Schema<?> schema) {
        if (schema.getEnum() != null) {
            List<String> written = schema.getEnum().stream()
                    .map(each -> EnumWords.of(each.toString()))
                    .toList();
            ((Schema<String>) schema).setEnum(written);
        }
    }

    /** A reference cannot say that it may be null; a choice between it and null can. */
    private static Schema<?> choice(Schema<?> property) {
        boolean nullable = property.getTypes() != null && property.getTypes().contains("null");
        if (property.get$ref() == null || !nullable) {
            return property;
        }
        Schema<?> nothing = new Schema<>();
        nothing.addType("null");
        return new Schema<>().anyOf(List.of(new Schema<>().$ref(property.get$ref()), nothing));
    }
}
