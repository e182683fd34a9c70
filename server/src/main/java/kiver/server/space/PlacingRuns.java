package kiver.server.space;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** Keeps the run that places the season, so that any instance can tell how far it is, stop it, or take what it found. */
@Component
class PlacingRuns {

    /** In which messages keep their parts: what was found is told in the language of whoever asks. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .addModule(new SimpleModule()
                    .addSerializer(Said.class, new SaidWritten())
                    .addDeserializer(Said.class, new SaidRead()))
            .build();

    private final RunMapper mapper;

    PlacingRuns(RunMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A run as it is kept.
     *
     * @param token tells it from those before it
     * @param heard whether it, while running, was heard of lately
     */
    record RunRow(UUID token, double progress, boolean stop, String outcome, String failure, boolean heard) {

        boolean isOver() {
            return outcome != null || failure != null || !heard;
        }

        Optional<Placings> found() {
            return Optional.ofNullable(outcome).map(json -> JSON.readValue(json, Placings.class));
        }
    }

    /** Begins a run, unless another is under way. */
    boolean begin(UUID token) {
        return mapper.begin(token) == 1;
    }

    Optional<RunRow> present() {
        return mapper.present();
    }

    /** Says how far it is, and answers whether it is to go on. */
    boolean goOn(UUID token, double progress) {
        return mapper.progress(token, progress).map(stop -> !stop).orElse(false);
    }

    void stop() {
        mapper.stop();
    }

    void found(UUID token, Placings outcome) {
        mapper.found(token, JSON.writeValueAsString(outcome));
    }

    void failed(UUID token, String why) {
        mapper.failed(token, why);
    }

    /** Takes what was found away; false when somebody else has. */
    boolean taken(UUID token) {
        return mapper.taken(token) == 1;
    }

    private static final class SaidWritten extends StdSerializer<Said> {
        SaidWritten() {
            super(Said.class);
        }

        @Override
        public void serialize(Said said, JsonGenerator generator, SerializationContext context) {
            generator.writeStartObject();
            generator.writeStringProperty("message", said.message());
            generator.writeObjectPropertyStart("parts");
            said.parts().forEach((name, value) -> {
                generator.writeObjectPropertyStart(name);
                generator.writeStringProperty(value instanceof LocalDate ? "day" : "text", String.valueOf(value));
                generator.writeEndObject();
            });
            generator.writeEndObject();
            generator.writeEndObject();
        }
    }

    private static final class SaidRead extends StdDeserializer<Said> {
        SaidRead() {
            super(Said.class);
        }

        @Override
        public Said deserialize(JsonParser parser, DeserializationContext context) {
            JsonNode node = context.readTree(parser);
            Map<String, Object> parts = new HashMap<>();
            node.get("parts")
                    .properties()
                    .forEach(part -> parts.put(
                            part.getKey(),
                            part.getValue().has("day")
                                    ? LocalDate.parse(part.getValue().get("day").asString())
                                    : part.getValue().get("text").asString()));
            return new Said(node.get("message").asString(), parts);
        }
    }

    /** The table of the one run. */
    @Mapper
    interface RunMapper {

        @Insert("""
                insert into placing_run (token) values (#{token})
                on conflict (only_one) do update
                    set token = excluded.token, progress = 0, stop = false, outcome = null, failure = null, heard_of = now()
                    where placing_run.outcome is not null or placing_run.failure is not null
                       or placing_run.heard_of < now() - interval '30 seconds'
                """)
        int begin(@Param("token") UUID token);

        @Select("""
                select token, progress, stop, outcome::text as outcome, failure,
                       heard_of >= now() - interval '30 seconds' as heard
                from placing_run
                """)
        Optional<RunRow> present();

        @Select(value = """
                update placing_run set progress = #{progress}, heard_of = now() where token = #{token} returning stop
                """, affectData = true)
        Optional<Boolean> progress(@Param("token") UUID token, @Param("progress") double progress);

        @Update("update placing_run set stop = true")
        int stop();

        @Update("update placing_run set outcome = #{outcome}::jsonb, progress = 1 where token = #{token}")
        int found(@Param("token") UUID token, @Param("outcome") String outcome);

        @Update("update placing_run set failure = #{why} where token = #{token}")
        int failed(@Param("token") UUID token, @Param("why") String why);

        @Delete("delete from placing_run where token = #{token} and outcome is not null")
        int taken(@Param("token") UUID token);
    }
}
