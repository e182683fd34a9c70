package kiver.server.tray;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.crop.ContainerCode;
import kiver.core.tray.TrayId;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;

/** Keeps the trays. */
@Component
public class TrayBook {

    /** What a tray is that nobody knows yet. */
    private static final ContainerCode NONE = new ContainerCode("");

    private final TrayMapper mapper;

    TrayBook(TrayMapper mapper) {
        this.mapper = mapper;
    }

    /** The tray with that number on it. */
    public Tray numbered(int number) {
        return mapper.byNumber(number)
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no tray T{number}.").with("number", number)));
    }

    /** The tray with that number on it, held until the transaction ends: nobody cuts it meanwhile. */
    public Tray numberedAndHeld(int number) {
        return mapper.byNumberForUpdate(number)
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no tray T{number}.").with("number", number)));
    }

    /** The tray as the core knows it. */
    public Tray tray(TrayId id) {
        return mapper.byId(id.number()).orElseThrow(() -> new NotFound(Said.of("There is no such tray.")));
    }

    /** Some trays, looked up at once. */
    public Map<TrayId, Tray> trays(Collection<TrayId> ids) {
        return mapper.byIds(ids.stream().map(TrayId::number).toArray(Long[]::new)).stream()
                .collect(Collectors.toMap(Tray::trayId, Function.identity()));
    }

    /** All trays. */
    public List<Tray> all() {
        return mapper.all();
    }

    /** The code of each tray's container; all are looked up at once, and only when one is asked for. */
    public Function<TrayId, ContainerCode> containers() {
        Map<Long, ContainerCode> known = new HashMap<>();
        return tray -> {
            if (known.isEmpty()) {
                mapper.all().forEach(each -> known.put(each.id(), each.container()));
            }
            return known.getOrDefault(tray.number(), NONE);
        };
    }

    /** A new tray with the next number. */
    public Tray add(ContainerCode container) {
        return mapper.insert(container);
    }

    /** A new tray: what was cut off another. */
    public Tray addCut(ContainerCode container, int rows, double share) {
        return mapper.insertCut(container, rows, share);
    }

    /** Leaves so many rows of a tray. */
    public void cut(Tray tray, int rows, double share) {
        mapper.cut(tray.id(), rows, share);
    }

    /** The smallest part of a tray that lies about, cut off and used by nobody, and has so many rows. */
    public Optional<Tray> partLyingAbout(ContainerCode container, int rows) {
        return mapper.partLyingAbout(container, rows);
    }

    /** The table of trays. */
    @Mapper
    interface TrayMapper {
        @Select("select id, number, container, rows from tray where number = #{number}")
        Optional<Tray> byNumber(@Param("number") int number);

        @Select("select id, number, container, rows from tray where number = #{number} for update")
        Optional<Tray> byNumberForUpdate(@Param("number") int number);

        @Select("select id, number, container, rows from tray where id = #{id}")
        Optional<Tray> byId(@Param("id") long id);

        @Select("""
                select id, number, container, rows from tray
                where id = any(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
                """)
        List<Tray> byIds(@Param("ids") Long[] ids);

        @Select("select id, number, container, rows from tray order by number")
        List<Tray> all();

        @Select(
                value = "insert into tray (container) values (#{container}) returning id, number, container, rows",
                affectData = true)
        Tray insert(@Param("container") ContainerCode container);

        @Select(value = """
                insert into tray (container, rows, share) values (#{container}, #{rows}, #{share})
                returning id, number, container, rows
                """, affectData = true)
        Tray insertCut(
                @Param("container") ContainerCode container, @Param("rows") int rows, @Param("share") double share);

        @Update("update tray set rows = #{rows}, share = #{share} where id = #{id}")
        void cut(@Param("id") long id, @Param("rows") int rows, @Param("share") double share);

        @Select("""
                select id, number, container, rows from tray
                where container = #{container} and rows >= #{rows}
                and not exists (select from batch_run where tray_id = tray.id)
                and not exists (select from batch_cells where tray_id = tray.id)
                order by rows, number limit 1 for update skip locked
                """)
        Optional<Tray> partLyingAbout(@Param("container") ContainerCode container, @Param("rows") int rows);
    }
}
