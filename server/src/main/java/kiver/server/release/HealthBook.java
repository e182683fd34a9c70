package kiver.server.release;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.crop.CropCode;
import kiver.core.order.LineId;
import kiver.server.order.OrderedLine;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** What local rules want to be written of plants that are handed over, kept with each release as it was then. */
@Component
class HealthBook {

    private final HealthMapper mapper;

    HealthBook(HealthMapper mapper) {
        this.mapper = mapper;
    }

    /** Where an entry comes from. */
    enum Source {
        /** Always the same words: the number under which the nursery is registered, for example. */
        TEXT,
        /** The botanical name of the crop. */
        BOTANICAL_NAME,
        /** The seed lots, or consignments, that the plants came from. */
        SEED_LOT,
        /** The numbers of their batches. */
        BATCH,
        /** The day on which they went. */
        DAY
    }

    /**
     * An entry.
     *
     * @param label before it, as the rules want it: "A", "Botanical name"
     * @param words for {@link Source#TEXT}; on a release also the botanical name
     */
    record HealthEntry(String label, Source source, String words) {}

    /** What is to be written, in its order; empty where nothing is. */
    List<HealthEntry> entries() {
        return mapper.entries().stream().map(HealthMapper.EntryRow::entry).toList();
    }

    /** Botanical names by the code of the crop. */
    Map<String, String> names() {
        return mapper.names().stream()
                .collect(Collectors.toMap(
                        HealthMapper.NameRow::crop, HealthMapper.NameRow::name, (a, b) -> a, TreeMap::new));
    }

    void set(List<HealthEntry> entries) {
        mapper.clear();
        for (int index = 0; index < entries.size(); index++) {
            mapper.put(index + 1, entries.get(index));
        }
    }

    /** Sets the botanical name of a crop, or takes it away where it is empty. */
    void name(CropCode crop, String name) {
        if (name.isEmpty()) {
            mapper.forget(crop);
        } else {
            mapper.name(crop, name);
        }
    }

    /** Keeps what is to be written with a line of a release. */
    void keep(int release, OrderedLine line) {
        List<HealthMapper.EntryRow> entries = mapper.entries();
        Map<String, String> names = entries.isEmpty() ? Map.of() : names();
        for (HealthMapper.EntryRow row : entries) {
            HealthEntry entry = row.source() == Source.BOTANICAL_NAME
                    ? new HealthEntry(
                            row.label(),
                            row.source(),
                            names.getOrDefault(line.crop().written(), ""))
                    : row.entry();
            mapper.keep(release, line.id(), row.position(), entry);
        }
    }

    /** What is written on a release, by the line. */
    Map<LineId, List<HealthEntry>> of(int release) {
        return mapper.of(release).stream()
                .collect(Collectors.groupingBy(
                        row -> new LineId(row.lineId()),
                        Collectors.mapping(
                                row -> new HealthEntry(row.label(), row.source(), row.words()), Collectors.toList())));
    }
}

/** The tables of it. */
@Mapper
interface HealthMapper {

    /** An entry as it is stored. */
    record EntryRow(int position, String label, HealthBook.Source source, String words) {

        HealthBook.HealthEntry entry() {
            return new HealthBook.HealthEntry(label, source, words);
        }
    }

    /** A botanical name. */
    record NameRow(String crop, String name) {}

    /** An entry of a release. */
    record KeptRow(long lineId, String label, HealthBook.Source source, String words) {}

    @Select("select position, label, source, words from health_field order by position")
    List<EntryRow> entries();

    @Select("select crop, name from botanical_name")
    List<NameRow> names();

    @Delete("delete from health_field")
    void clear();

    @Insert("""
            insert into health_field (position, label, source, words)
            values (#{position}, #{entry.label}, #{entry.source}, #{entry.words})
            """)
    void put(@Param("position") int position, @Param("entry") HealthBook.HealthEntry entry);

    @Insert("""
            insert into botanical_name (crop, name) values (#{crop}, #{name})
            on conflict (crop) do update set name = excluded.name
            """)
    void name(@Param("crop") CropCode crop, @Param("name") String name);

    @Delete("delete from botanical_name where crop = #{crop}")
    void forget(@Param("crop") CropCode crop);

    @Insert("""
            insert into release_health (release, line_id, position, label, source, words)
            values (#{release}, #{line}, #{position}, #{entry.label}, #{entry.source}, #{entry.words})
            """)
    void keep(
            @Param("release") int release,
            @Param("line") LineId line,
            @Param("position") int position,
            @Param("entry") HealthBook.HealthEntry entry);

    @Select("""
            select line_id, label, source, words from release_health where release = #{release} order by line_id, position
            """)
    List<KeptRow> of(@Param("release") int release);
}
