package kiver.server.problem;

import io.swagger.v3.oas.models.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import kiver.server.limit.Limits;
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

    /** Says what every entry is held to, whether or not the entry itself says more. */
    @SuppressWarnings("rawtypes")
    private static void sayLimits(Schema property) {
        boolean unsaid = property.getDescription() == null && property.get$ref() == null;
        if (unsaid && "date".equals(property.getFormat())) {
            property.setDescription("A day from " + Limits.FIRST_DAY + " to " + Limits.LAST_DAY + ".");
        } else if (unsaid && "double".equals(property.getFormat())) {
            property.setDescription("A finite number, at most 10^12 either way.");
        } else if (unsaid
                && property.getTypes() != null
                && property.getTypes().contains("string")
                && property.getFormat() == null
                && property.getEnum() == null) {
            property.setDescription(
                    "At most " + (property.getMaxLength() == null ? Limits.MOST_LETTERS : property.getMaxLength())
                            + " letters, no control characters.");
        }
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void require(Schema schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.setRequired(null);
        ((Map<String, Schema>) schema.getProperties()).values().forEach(InterfaceDescription::sayLimits);
        ((Map<String, Schema>) schema.getProperties()).forEach((name, property) -> {
            if (property.getExtensions() == null || !property.getExtensions().containsKey(NULLABLE)) {
                schema.addRequiredItem(name);
            } else if (property.getTypes() != null) {
                property.addType("null");
            }
        });
    }
}
