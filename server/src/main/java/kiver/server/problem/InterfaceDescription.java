package kiver.server.problem;

import io.swagger.v3.oas.models.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Says in the interface's description which entries are always there: all that are not marked {@link Nullable}. The
 * web's types are generated from it.
 */
@Configuration
class InterfaceDescription {

    private static final String NULLABLE = "x-nullable";

    @Bean
    PropertyCustomizer requiredUnlessNullable() {
        return (property, type) -> {
            boolean nullable = type.getCtxAnnotations() != null
                    && Arrays.stream(type.getCtxAnnotations()).anyMatch(Nullable.class::isInstance);
            if (nullable) {
                property.addExtension(NULLABLE, true);
            }
            return property;
        };
    }

    @Bean
    OpenApiCustomizer requiredEntries() {
        return description -> {
            // The address differs from start to start and says nothing about the interface.
            description.setServers(List.of());
            description.getComponents().getSchemas().values().forEach(InterfaceDescription::require);
        };
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void require(Schema schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.setRequired(null);
        ((Map<String, Schema>) schema.getProperties()).forEach((name, property) -> {
            if (property.getExtensions() == null || !property.getExtensions().containsKey(NULLABLE)) {
                schema.addRequiredItem(name);
            }
        });
    }
}
