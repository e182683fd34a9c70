package kiver.server.wording;

import io.swagger.v3.oas.models.media.Schema;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** Messages leave the server as words: in answers, and in the description of the interface, they are text. */
@Configuration
class SaidAsWords {

    static {
        SpringDocUtils.getConfig().replaceWithSchema(Said.class, new Schema<String>().type("string"));
    }

    @Bean
    JsonMapperBuilderCustomizer messagesAreWords(Wording wording) {
        return builder -> builder.addModule(new SimpleModule().addSerializer(Said.class, new Words(wording)));
    }

    private static final class Words extends StdSerializer<Said> {

        private final Wording wording;

        Words(Wording wording) {
            super(Said.class);
            this.wording = wording;
        }

        @Override
        public void serialize(Said said, JsonGenerator generator, SerializationContext context) {
            generator.writeString(wording.say(said));
        }
    }
}
