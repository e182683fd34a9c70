package kiver.server.release;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.order.LineId;
import kiver.core.release.PlantingAdvice;
import kiver.core.release.ReadyCheck;
import kiver.core.release.ReadySample;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What was seen of plants before they went, and what their site asked then; kept with the release. */
@Component
class LookedAtBook {

    private final LookedAtMapper mapper;
    private final JsonMapper json;

    LookedAtBook(LookedAtMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
    }

    /** What is kept for a line. */
    record LookedAt(ReadySample sample, List<PlantingAdvice> advice) {}

    void put(int release, LineId line, LookedAt looked) {
        // Written as the family, so that each member names its kind.
        String advice = json.writerFor(json.getTypeFactory().constructCollectionType(List.class, PlantingAdvice.class))
                .writeValueAsString(looked.advice());
        mapper.insert(
                release,
                line,
                looked.sample().plants(),
                looked.sample().held().stream().map(Enum::name).sorted().toArray(String[]::new),
                advice);
    }

    /** By the line; a line of an earlier Kiver is missing. */
    Map<LineId, LookedAt> of(int release) {
        return mapper.of(release).stream().collect(Collectors.toMap(row -> new LineId(row.lineId()), this::lookedAt));
    }

    private LookedAt lookedAt(LookedAtMapper.Row row) {
        Set<ReadyCheck> held = row.held().isEmpty()
                ? Set.of()
                : Arrays.stream(row.held().split(",")).map(ReadyCheck::valueOf).collect(Collectors.toSet());
        return new LookedAt(
                new ReadySample(row.sample(), held),
                Arrays.asList(json.readValue(row.advice(), PlantingAdvice[].class)));
    }
}

/** The table of it. */
@Mapper
interface LookedAtMapper {

    /** A row. */
    record Row(long lineId, int sample, String held, String advice) {}

    @Insert("""
            insert into release_look (release, line_id, sample, held, advice)
            values (#{release}, #{line}, #{sample},
                    #{held, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}, #{advice}::jsonb)
            """)
    void insert(
            @Param("release") int release,
            @Param("line") LineId line,
            @Param("sample") int sample,
            @Param("held") String[] held,
            @Param("advice") String advice);

    @Select("""
            select line_id, sample, array_to_string(held, ',') as held, advice::text as advice
            from release_look where release = #{release}
            """)
    List<Row> of(@Param("release") int release);
}
