package kiver.server.number;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import kiver.core.batch.BatchId;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.json.JsonMapper;

/** Makes the database and JSON know the numbers of lots, lines and batches. */
@Configuration
public class TypedNumbers {

    /** Stands as its number alone. */
    private abstract static class PlainNumber {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        PlainNumber(@SuppressWarnings("unused") long number) {}

        @JsonValue
        abstract long number();
    }

    @Bean
    ConfigurationCustomizer numbersInColumns() {
        return configuration -> {
            var handlers = configuration.getTypeHandlerRegistry();
            handlers.register(LotId.class, new NumberColumn<>(LotId::new, LotId::number));
            handlers.register(LineId.class, new NumberColumn<>(LineId::new, LineId::number));
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
                .addMixIn(BatchId.class, PlainNumber.class);
    }
}
