package kiver.server.sheet;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.sheet.Column;
import kiver.core.sheet.ForeignSheet;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Wording;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** By which names the columns of sheets go, and how somebody matched those of a file the last time. */
@Component
class ColumnMatches {

    private final Map<String, Map<String, List<String>>> names;
    private final ColumnWords words;
    private final Wording wording;
    private final MatchMapper mapper;
    private final JsonMapper json;

    ColumnMatches(
            JsonMapper json,
            @Value("${kiver.library}") Path folder,
            ColumnWords words,
            Wording wording,
            MatchMapper mapper) {
        this.json = json;
        this.words = words;
        this.wording = wording;
        this.mapper = mapper;
        try {
            names = json.readValue(Files.readString(folder.resolve("column-names.json")), new TypeReference<>() {});
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /**
     * What a column of ours is filled from, as it is sent and remembered.
     *
     * @param column of theirs, counted from 0; null where all rows have the same
     * @param same what stands in all rows; null where it is a column of theirs
     */
    record SourceEntry(Integer column, String same) {

        static SourceEntry of(ForeignSheet.Source source) {
            return source instanceof ForeignSheet.Source.Theirs theirs
                    ? new SourceEntry(theirs.column(), null)
                    : new SourceEntry(null, ((ForeignSheet.Source.Same) source).entry());
        }

        Optional<ForeignSheet.Source> source(int columns) {
            if (column != null) {
                return column >= 0 && column < columns
                        ? Optional.of(new ForeignSheet.Source.Theirs(column))
                        : Optional.empty();
            }
            return same == null || same.isBlank() ? Optional.empty() : Optional.of(new ForeignSheet.Source.Same(same));
        }
    }

    /** Each column with the names it goes by: its own, what it is called on the screen, and what others call it. */
    Map<String, List<String>> namesOf(SheetBook.Shape shape) {
        Map<String, List<String>> all = new LinkedHashMap<>();
        for (Column column : shape.columns()) {
            List<String> goesBy = new ArrayList<>();
            goesBy.add(column.name().replace('_', ' '));
            goesBy.add(wording.say(words.name(shape.name(), column.name())));
            goesBy.addAll(names.getOrDefault(shape.name(), Map.of()).getOrDefault(column.name(), List.of()));
            all.put(column.name(), goesBy);
        }
        return all;
    }

    /** As somebody matched a file with the same headings the last time. */
    Optional<Map<String, SourceEntry>> remembered(String sheet, List<String> headings) {
        return mapper.find(sheet, key(headings)).map(text -> json.readValue(text, new TypeReference<>() {}));
    }

    void remember(String sheet, List<String> headings, Map<String, SourceEntry> sources) {
        mapper.put(sheet, key(headings), json.writeValueAsString(sources));
    }

    private static String key(List<String> headings) {
        return String.join("\n", headings);
    }

    /** The table of matches. */
    @Mapper
    interface MatchMapper {

        @Select("select sources from column_match where sheet = #{sheet} and headings = #{headings}")
        Optional<String> find(@Param("sheet") String sheet, @Param("headings") String headings);

        @Insert("""
                insert into column_match (sheet, headings, sources) values (#{sheet}, #{headings}, #{sources}::jsonb)
                on conflict (sheet, headings) do update set sources = excluded.sources
                """)
        int put(@Param("sheet") String sheet, @Param("headings") String headings, @Param("sources") String sources);
    }
}
