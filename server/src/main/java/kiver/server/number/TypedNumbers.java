package kiver.server.number;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import io.swagger.v3.oas.models.media.Schema;
import java.util.function.Function;
import kiver.core.batch.BatchId;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.media.IngredientCode;
import kiver.core.media.RecipeCode;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.std.StdConvertingDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.util.StdConverter;

/** Makes the database and JSON know the numbers of lots, lines and batches, and the codes of crops and containers. */
@Configuration
public class TypedNumbers {

    static {
        SpringDocUtils.getConfig().replaceWithSchema(CropCode.class, text());
        SpringDocUtils.getConfig().replaceWithSchema(ContainerCode.class, text());
    }

    @SuppressWarnings("unchecked")
    private static Schema<String> text() {
        return new Schema<String>().type("string");
    }

    /** Stands as its number alone. */
    private abstract static class PlainNumber {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        PlainNumber(@SuppressWarnings("unused") long number) {}

        @JsonValue
        abstract long number();
    }

    /** Stands as its letters alone. */
    private abstract static class PlainCode {
        @JsonValue
        abstract String written();
    }

    @Bean
    ConfigurationCustomizer numbersInColumns() {
        return configuration -> {
            var handlers = configuration.getTypeHandlerRegistry();
            handlers.register(LotId.class, new NumberColumn<>(LotId::new, LotId::number));
            handlers.register(LineId.class, new NumberColumn<>(LineId::new, LineId::number));
            handlers.register(CropCode.class, new CodeColumn<>(CropCode::new, CropCode::written));
            handlers.register(ContainerCode.class, new CodeColumn<>(ContainerCode::new, ContainerCode::written));
            handlers.register(IngredientCode.class, new CodeColumn<>(IngredientCode::new, IngredientCode::written));
            handlers.register(RecipeCode.class, new CodeColumn<>(RecipeCode::new, RecipeCode::written));
            handlers.register(BatchId.class, new NumberColumn<>(BatchId::new, BatchId::number));
        };
    }

    @Bean
    JsonMapperBuilderCustomizer numbersAreSentPlainly() {
        return TypedNumbers::plain;
    }

    /** Has a mapper write them as plain numbers and read them so. */
    public static JsonMapper.Builder plain(JsonMapper.Builder builder) {
        return builder.addMixIn(LotId.class, PlainNumber.class)
                .addMixIn(LineId.class, PlainNumber.class)
                .addMixIn(BatchId.class, PlainNumber.class)
                .addMixIn(CropCode.class, PlainCode.class)
                .addMixIn(ContainerCode.class, PlainCode.class)
                .addModule(new SimpleModule()
                        .addDeserializer(CropCode.class, read(CropCode::new))
                        .addDeserializer(ContainerCode.class, read(ContainerCode::new)));
    }

    /** Where no letters are, nothing was chosen. */
    private static <T> ValueDeserializer<T> read(Function<String, T> code) {
        return new StdConvertingDeserializer<>(new StdConverter<String, T>() {
            @Override
            public T convert(String letters) {
                return letters.isBlank() ? null : code.apply(letters.strip());
            }
        });
    }
}
