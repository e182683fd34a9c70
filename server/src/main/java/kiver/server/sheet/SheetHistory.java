package kiver.server.sheet;

import jakarta.annotation.Nullable;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.sheet.SheetRow;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What was changed on the sheets, row by row; it is kept as the record is, and undone by changing it back. */
@Component
class SheetHistory {

    private static final int SHOWN = 60;

    private final ChangeMapper mapper;
    private final Clock calendar;
    private final JsonMapper json;

    SheetHistory(ChangeMapper mapper, Clock calendar, JsonMapper json) {
        this.mapper = mapper;
        this.calendar = calendar;
        this.json = json;
    }

    /**
     * A change of a row.
     *
     * @param number of the change
     * @param sheet it was on
     * @param before the row as it was; empty where it was added
     * @param after the row as it is since
     * @param by who changed it
     * @param at when
     * @param undoes the change that this one takes back; null where it takes none back
     * @param undone whether it was taken back
     */
    record Change(
            long number,
            String sheet,
            Optional<Map<String, String>> before,
            Map<String, String> after,
            String by,
            OffsetDateTime at,
            @Nullable Long undoes,
            boolean undone) {}

    /** The rows of a sheet by their key. */
    static Map<String, Map<String, String>> rowsByKey(SheetBook book) {
        Map<String, Map<String, String>> rows = new LinkedHashMap<>();
        for (SheetRow row : book.rows()) {
            rows.put(key(book.shape().key(row)), entries(book, row));
        }
        return rows;
    }

    /** Keeps whatever differs between before and now. */
    void keep(SheetBook book, Map<String, Map<String, String>> before, long by, @Nullable Long undoes) {
        OffsetDateTime now = calendar.instant().atOffset(ZoneOffset.UTC);
        rowsByKey(book).forEach((key, after) -> {
            Map<String, String> was = before.get(key);
            if (!after.equals(was)) {
                mapper.insert(
                        book.shape().name(),
                        key,
                        was == null ? null : json.writeValueAsString(was),
                        json.writeValueAsString(after),
                        by,
                        now,
                        undoes);
            }
        });
    }

    /** The last changes of a sheet, the newest first. */
    List<Change> of(String sheet) {
        return mapper.last(sheet, SHOWN).stream().map(this::change).toList();
    }

    Optional<Change> change(String sheet, long number) {
        return mapper.one(sheet, number).map(this::change);
    }

    /** A key in one text. */
    static String key(List<String> parts) {
        return String.join("\n", parts);
    }

    private static Map<String, String> entries(SheetBook book, SheetRow row) {
        Map<String, String> entries = new LinkedHashMap<>();
        book.shape().names().forEach(column -> entries.put(column, row.text(column)));
        return entries;
    }

    private Change change(ChangeRow row) {
        return new Change(
                row.number(),
                row.sheet(),
                Optional.ofNullable(row.before()).map(this::read),
                read(row.after()),
                row.changedBy(),
                row.changedAt(),
                row.undoes(),
                row.undone());
    }

    private Map<String, String> read(String text) {
        return json.readValue(text, new TypeReference<LinkedHashMap<String, String>>() {});
    }

    /** A change as it is stored. */
    record ChangeRow(
            long number,
            String sheet,
            String before,
            String after,
            String changedBy,
            OffsetDateTime changedAt,
            Long undoes,
            boolean undone) {}

    /** The table of changes. */
    @Mapper
    interface ChangeMapper {

        String COLUMNS = """
                select c.number, c.sheet, c.before, c.after, a.name as changed_by, c.changed_at, c.undoes,
                       exists (select from sheet_change u where u.undoes = c.number) as undone
                from sheet_change c join account a on a.id = c.changed_by
                """;

        @Insert("""
                insert into sheet_change (sheet, row_key, before, after, changed_by, changed_at, undoes)
                values (#{sheet}, #{key}, #{before}::jsonb, #{after}::jsonb, #{by}, #{at}, #{undoes})
                """)
        int insert(
                @Param("sheet") String sheet,
                @Param("key") String key,
                @Param("before") @Nullable String before,
                @Param("after") String after,
                @Param("by") long by,
                @Param("at") OffsetDateTime at,
                @Param("undoes") @Nullable Long undoes);

        @Select(COLUMNS + " where c.sheet = #{sheet} order by c.number desc limit #{most}")
        List<ChangeRow> last(@Param("sheet") String sheet, @Param("most") int most);

        @Select(COLUMNS + " where c.sheet = #{sheet} and c.number = #{number}")
        Optional<ChangeRow> one(@Param("sheet") String sheet, @Param("number") long number);
    }
}
