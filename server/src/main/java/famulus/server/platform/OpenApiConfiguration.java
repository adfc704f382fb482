package famulus.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
                    schema.setRequired(new ArrayList<>(((Map<String, Schema>) schema.getProperties()).keySet()));
                }
            });
            api.getComponents().setSchemas(schemas);
            api.setServers(List.of());
        };
    }
}
