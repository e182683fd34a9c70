package kiver.server.sow;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The tables of trials. */
@Mapper
interface TrialMapper {

    /** A trial. */
    record TrialRow(int number, String name, String practice, double matters, long seed, LocalDate begunOn) {}

    /** A way that it compares. */
    record WayRow(int trial, int position, String name) {}

    /** Cells that a way got, by the number of their batch. */
    record CellsRow(int trial, int position, int batch, long trayId, int firstCell, int lastCell) {}

    /** What was found of a way, added up. */
    record FindingRow(int trial, int position, String toldBy, int well, int ofPlants) {}

    @Select("select number, name, practice, matters, seed, begun_on from trial order by number desc")
    List<TrialRow> trials();

    @Select("select trial, position, name from trial_way order by trial, position")
    List<WayRow> ways();

    @Select("""
            select cells.trial, cells.position, batch.number as batch, cells.tray_id, cells.first_cell, cells.last_cell
            from trial_cells cells join batch on batch.id = cells.batch_id
            order by cells.trial, cells.position, cells.tray_id, cells.first_cell
            """)
    List<CellsRow> cells();

    @Select("""
            select trial, position, told_by, sum(well)::int as well, sum(of_plants)::int as of_plants from trial_finding
            group by trial, position, told_by order by trial, position
            """)
    List<FindingRow> findings();

    @Select("""
            insert into trial (name, practice, matters, seed, begun_on, begun_by)
            values (#{name}, #{practice}, #{matters}, #{seed}, #{day}, #{by}) returning number
            """)
    int add(
            @Param("name") String name,
            @Param("practice") String practice,
            @Param("matters") double matters,
            @Param("seed") long seed,
            @Param("day") LocalDate day,
            @Param("by") Long by);

    @Insert("insert into trial_way (trial, position, name) values (#{trial}, #{position}, #{name})")
    void addWay(WayRow way);

    @Insert("""
            insert into trial_cells (trial, position, batch_id, tray_id, first_cell, last_cell)
            select #{trial}, #{position}, id, #{trayId}, #{firstCell}, #{lastCell} from batch where number = #{batch}
            """)
    void addCells(CellsRow cells);

    @Insert("""
            insert into trial_finding (request_id, trial, position, told_by, well, of_plants, found_on, found_by)
            values (#{request}, #{trial}, #{position}, #{toldBy}, #{well}, #{of}, #{day}, #{by})
            """)
    void addFinding(
            @Param("request") UUID request,
            @Param("trial") int trial,
            @Param("position") int position,
            @Param("toldBy") String toldBy,
            @Param("well") int well,
            @Param("of") int of,
            @Param("day") LocalDate day,
            @Param("by") Long by);
}
