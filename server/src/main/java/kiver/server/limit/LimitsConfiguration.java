package kiver.server.limit;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import kiver.server.wording.Said;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** Holds every entry of a body, an address or a query to {@link Limits}. */
@Configuration
class LimitsConfiguration implements WebMvcConfigurer {

    @Bean
    JsonMapperBuilderCustomizer limited() {
        SimpleModule module = new SimpleModule("limits");
        module.addDeserializer(LocalDate.class, new Day());
        module.addDeserializer(String.class, new Text());
        module.addDeserializer(Double.class, new Number());
        return builder -> builder.addModule(module)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS);
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, LocalDate.class, text -> Limits.day(LocalDate.parse(text.strip())));
        registry.addConverter(String.class, String.class, Limits::text);
    }

    private static final class Day extends StdDeserializer<LocalDate> {
        Day() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            if (parser.currentToken() != JsonToken.VALUE_STRING) {
                return (LocalDate) context.handleUnexpectedToken(LocalDate.class, parser);
            }
            try {
                return Limits.day(LocalDate.parse(parser.getString().strip()));
            } catch (DateTimeParseException noDay) {
                throw new BeyondLimits(
                        Said.of("There is no such day. Enter one like {day}.").with("day", LocalDate.of(2027, 5, 12)));
            }
        }
    }

    private static final class Text extends StdDeserializer<String> {
        Text() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            if (parser.currentToken() != JsonToken.VALUE_STRING) {
                return (String) context.handleUnexpectedToken(String.class, parser);
            }
            return Limits.text(parser.getString());
        }
    }

    private static final class Number extends StdDeserializer<Double> {
        Number() {
            super(Double.class);
        }

        @Override
        public Double deserialize(JsonParser parser, DeserializationContext context) {
            if (!parser.currentToken().isNumeric()) {
                return (Double) context.handleUnexpectedToken(Double.class, parser);
            }
            return Limits.number(parser.getDoubleValue());
        }
    }
}
