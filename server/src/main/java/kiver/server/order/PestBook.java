package kiver.server.order;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.order.Pest;
import kiver.core.order.PestSpan;
import kiver.core.order.PestTime;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** When pests are about: usually, from the library, and at a site, by what was seen there. */
@Component
public class PestBook {

    private final List<PestSpan> spans;
    private final PestMapper mapper;
    private final NurseryClock clock;
    private final Kept<Map<Long, List<PestSpan.Seen>>> seen;

    PestBook(
            PestMapper mapper,
            NurseryClock clock,
            Revisions revisions,
            JsonMapper json,
            @Value("${kiver.library}") Path folder) {
        this.mapper = mapper;
        this.clock = clock;
        try {
            spans = json.readValue(Files.readString(folder.resolve("pests.json")), Library.class).pests().stream()
                    .map(LibraryPest::span)
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        seen = new Kept<>(() -> mapper.all().stream()
                .collect(Collectors.groupingBy(
                        PestMapper.SightingRow::siteId,
                        Collectors.mapping(row -> new PestSpan.Seen(row.pest(), row.seenOn()), Collectors.toList()))));
        revisions.whenChanged("pest_sighting", seen::discard);
    }

    /** The library's file. */
    record Library(String note, List<LibraryPest> pests) {}

    /** A pest as it stands there; days as 04-25. */
    record LibraryPest(Pest pest, String from, String until, int established, boolean coverHelps, List<String> crops) {
        PestSpan span() {
            return new PestSpan(
                    pest,
                    crops.stream().map(CropCode::new).collect(Collectors.toSet()),
                    MonthDay.parse("--" + from),
                    MonthDay.parse("--" + until),
                    established,
                    coverHelps);
        }
    }

    /** A pest at a site with the crops it goes for. */
    public record AtSite(PestTime time, List<CropCode> crops, List<LocalDate> seenOn) {}

    /** The pests of a crop at a site, around a day. */
    public List<PestTime> at(Site site, Crop crop, LocalDate day) {
        return spans.stream()
                .filter(span -> span.crops().contains(crop.code()))
                .map(span -> at(site, span, day))
                .toList();
    }

    /** All pests at a site, around a day, in the order in which they come. */
    public List<AtSite> all(Site site, LocalDate day) {
        return spans.stream()
                .map(span -> new AtSite(
                        at(site, span, day),
                        List.copyOf(span.crops()),
                        seenAt(site).stream()
                                .filter(each -> each.pest() == span.pest())
                                .map(PestSpan.Seen::day)
                                .sorted()
                                .toList()))
                .sorted((one, other) -> one.time().from().compareTo(other.time().from()))
                .toList();
    }

    private PestTime at(Site site, PestSpan span, LocalDate day) {
        Nursery nursery = clock.nursery().orElseThrow();
        return span.at(site.altitude() - nursery.stationAltitude(), nursery.latitude() >= 0, seenAt(site), day);
    }

    private List<PestSpan.Seen> seenAt(Site site) {
        return seen.get().getOrDefault(site.id(), List.of());
    }

    /** Notes the first of a pest in a year; the same noted again changes nothing. */
    void note(Site site, Pest pest, LocalDate day, long person) {
        mapper.insert(site.id(), pest, day, person);
        seen.forget();
    }

    /** Takes a sighting back; false where there was none. */
    boolean takeBack(Site site, Pest pest, LocalDate day) {
        boolean taken = mapper.delete(site.id(), pest, day) > 0;
        seen.forget();
        return taken;
    }
}

/** The table of sightings. */
@Mapper
interface PestMapper {

    /** A sighting as it is stored. */
    record SightingRow(long siteId, Pest pest, LocalDate seenOn) {}

    @Select("select site_id, pest, seen_on from pest_sighting order by seen_on")
    List<SightingRow> all();

    @Insert("""
            insert into pest_sighting (site_id, pest, seen_on, seen_by) values (#{site}, #{pest}, #{day}, #{by})
            on conflict do nothing
            """)
    int insert(@Param("site") long site, @Param("pest") Pest pest, @Param("day") LocalDate day, @Param("by") long by);

    @Delete("delete from pest_sighting where site_id = #{site} and pest = #{pest} and seen_on = #{day}")
    int delete(@Param("site") long site, @Param("pest") Pest pest, @Param("day") LocalDate day);
}
