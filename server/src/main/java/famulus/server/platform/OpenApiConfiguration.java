package famulus.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the API at {@code /api/openapi.json}. */
@Configuration
class OpenApiConfiguration {
    @Bean
    OpenAPI openApi() {
        return new OpenAPI().info(new Info().title("Famulus").version("0.1"));
    }

    /**
     * Every property of an answer is always there (empty ones are {@code null}), so all are marked as required; and
     * schemas stand in the order of the alphabet, so that the description changes only when the API does.
     */
    @Bean
    @SuppressWarnings({"rawtypes", "unchecked"})
    OpenApiCustomizer everyPropertyIsThere() {
        return api -> {
            Map<String, Schema> schemas = new TreeMap<>(api.getComponents().getSchemas());
            schemas.values().forEach(schema -> {
                if (schema.getProperties() != null) {
                    Map<String, Schema> properties = schema.getProperties();
                    schema.setRequired(new ArrayList<>(properties.keySet()));
                    properties.replaceAll((name, property) -> orNull(property));
                }
            });
            api.getComponents().setSchemas(schemas);
            api.setServers(List.of());
        };
    }

    /** A reference beside the type "null" would be read as the reference alone. */
    @SuppressWarnings("rawtypes")
    private static Schema orNull(Schema property) {
        boolean both = property.get$ref() != null
                && property.getTypes() != null
                && property.getTypes().contains("null");
        if (!both) {
            return property;
        }
        Schema<Object> nothing = new Schema<>();
        nothing.setTypes(Set.of("null"));
        Schema<Object> reference = new Schema<>();
        reference.set$ref(property.get$ref());
        Schema<Object> either = new Schema<>();
        either.setOneOf(List.of(reference, nothing));
        return either;
    }
}
