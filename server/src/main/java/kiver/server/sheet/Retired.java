package kiver.server.sheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** Which rows of sheets are no longer used: nothing offers or plans them any more, and what was done with them stays. */
@Component
public class Retired {

    private final RetiredMapper mapper;
    private final Kept<Set<String>> kept;

    Retired(RetiredMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        this.kept = new Kept<>(() -> mapper.all().stream()
                .map(row -> whole(row.sheet(), row.rowKey()))
                .collect(Collectors.toSet()));
        revisions.whenChanged("retired", kept::discard);
    }

    /** Whether a row is retired, told by its key columns. */
    public boolean is(String sheet, String... key) {
        Set<String> all = kept.get();
        return !all.isEmpty() && all.contains(whole(sheet, SheetHistory.key(List.of(key))));
    }

    void set(String sheet, List<String> key, boolean retired) {
        if (retired) {
            mapper.insert(sheet, SheetHistory.key(key));
        } else {
            mapper.delete(sheet, SheetHistory.key(key));
        }
        kept.forget();
    }

    private static String whole(String sheet, String key) {
        return sheet + '\n' + key;
    }

    /** A row by its sheet and key. */
    record RetiredRow(String sheet, String rowKey) {}

    /** The table of what is retired. */
    @Mapper
    interface RetiredMapper {

        @Select("select sheet, row_key from retired")
        List<RetiredRow> all();

        @Insert("insert into retired (sheet, row_key) values (#{sheet}, #{key}) on conflict do nothing")
        int insert(@Param("sheet") String sheet, @Param("key") String key);

        @Delete("delete from retired where sheet = #{sheet} and row_key = #{key}")
        int delete(@Param("sheet") String sheet, @Param("key") String key);
    }
}
