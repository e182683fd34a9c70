package kiver.server.wording;

import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Describes each family of reasons as one of its kinds, told apart by {@code kind}: the web's types become unions, and a
 * kind for which there are no words does not compile there.
 */
@Configuration
class FamiliesDescription {

    private static final String NULLABLE = "x-nullable";
    private static final String REFERENCE = "#/components/schemas/";

    @Bean
    OpenApiCustomizer familiesAreUnions() {
        return description -> {
            Families.ALL.forEach(family -> describe(description, family));
            Families.ALL.forEach(family ->
                    description.getComponents().getSchemas().values().forEach(schema -> nameWhereUsed(schema, family)));
        };
    }

    @SuppressWarnings("rawtypes")
    private static void describe(OpenAPI description, Class<?> family) {
        Map<String, Schema> schemas = description.getComponents().getSchemas();
        Discriminator discriminator = new Discriminator().propertyName("kind");
        List<Schema> kinds = new ArrayList<>();
        Families.kinds(family).forEach(kind -> {
            Map<String, Schema> read = ModelConverters.getInstance(true).readAll(kind);
            String name = family.getSimpleName() + kind.getSimpleName();
            schemas.put(name, ofKind(kind, read.get(kind.getSimpleName())));
            schemas.remove(kind.getSimpleName());
            kinds.add(new Schema<>().$ref(REFERENCE + name));
            discriminator.mapping(kind.getSimpleName(), REFERENCE + name);
        });
        schemas.put(family.getSimpleName(), new Schema<>().oneOf(kinds).discriminator(discriminator));
    }

    /** Where the family is used, its kinds stand one by one; its name is put there instead. */
    @SuppressWarnings({"rawtypes", "unchecked"})
    private static void nameWhereUsed(Schema schema, Class<?> family) {
        if (schema.getProperties() == null) {
            return;
        }
        ((Map<String, Schema>) schema.getProperties()).replaceAll((name, property) -> {
            if (isFamily(property, family)) {
                return new Schema<>().$ref(REFERENCE + family.getSimpleName());
            }
            if (property.getItems() != null && isFamily(property.getItems(), family)) {
                property.setItems(new Schema<>().$ref(REFERENCE + family.getSimpleName()));
            }
            return property;
        });
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static boolean isFamily(Schema schema, Class<?> family) {
        if (schema.getOneOf() == null) {
            return false;
        }
        List<String> named = ((List<Schema>) schema.getOneOf())
                .stream().map(Schema::get$ref).sorted().toList();
        return named.equals(Families.kinds(family)
                .map(kind -> REFERENCE + kind.getSimpleName())
                .sorted()
                .toList());
    }

    @SuppressWarnings({"rawtypes", "unchecked"})
    private static Schema ofKind(Class<?> kind, Schema parts) {
        Schema schema = new Schema<>();
        schema.setTypes(Set.of("object"));
        Schema name = new StringSchema();
        name.setTypes(Set.of("string"));
        name.setEnum(List.of(kind.getSimpleName()));
        schema.addProperty("kind", name);
        schema.addRequiredItem("kind");
        for (RecordComponent component : kind.getRecordComponents()) {
            Schema part = ((Map<String, Schema>) parts.getProperties()).get(component.getName());
            schema.addProperty(component.getName(), part);
            if (component.getType() == Optional.class) {
                part.addExtension(NULLABLE, true);
            } else {
                schema.addRequiredItem(component.getName());
            }
        }
        return schema;
    }
}
