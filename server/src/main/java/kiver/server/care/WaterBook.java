package kiver.server.care;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.care.TrayWeight;
import kiver.core.care.WaterRecord;
import kiver.core.care.WaterSeen;
import kiver.core.crop.Container;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** What was done and seen of the water in trays, and what filled containers weigh. */
@Component
public class WaterBook {

    private static final double MILLILITRES_IN_LITRE = 1000;

    private final WaterMapper mapper;

    WaterBook(WaterMapper mapper) {
        this.mapper = mapper;
    }

    /** Kinds of sightings as they are kept. */
    public enum Kind {
        WEIGHED,
        LIFTED,
        SURFACE,
        WATERED
    }

    /**
     * One sighting of one tray.
     *
     * @param grams of a tray that was weighed
     * @param word of the others
     */
    public record Seen(
            int tray,
            LocalDateTime at,
            Kind kind,
            @Nullable Double grams,
            @Nullable String word) {

        /** As the core takes it. */
        WaterRecord.Sighting sighting(TrayWeight weight) {
            return new WaterRecord.Sighting(
                    at,
                    switch (kind) {
                        case WEIGHED -> new WaterSeen.Weighed(weight.share(grams));
                        case LIFTED -> new WaterSeen.Lifted(WaterSeen.Heft.valueOf(word));
                        case SURFACE -> new WaterSeen.Surface(word.equals("DARK"));
                        case WATERED -> new WaterSeen.Watered(WaterSeen.How.valueOf(word));
                    });
        }
    }

    /** What is done with trays, in the words in which it is kept. */
    public record Done(
            Kind kind, @Nullable Double grams, @Nullable String word) {}

    /** What some trays' water was from a moment on, each tray's in the order in which it happened. */
    public Map<Integer, List<Seen>> since(LocalDateTime from) {
        return mapper.since(from).stream().collect(Collectors.groupingBy(Seen::tray));
    }

    /** The sightings of a tray as the core takes them. */
    public static List<WaterRecord.Sighting> sightings(List<Seen> seen, TrayWeight weight) {
        return seen.stream().map(each -> each.sighting(weight)).toList();
    }

    /** A mark that is another once something more was weighed. */
    public long weighings() {
        return mapper.newestWeighing();
    }

    /** Keeps what was done with or seen of some trays at a moment. */
    public void note(@Nullable UUID request, List<Integer> trays, LocalDateTime at, Done done, @Nullable Long by) {
        trays.forEach(tray -> mapper.insert(request, tray, at, done.kind(), done.grams(), done.word(), by, null));
    }

    /** Keeps what a scale said; answers false where it had said so before. */
    public boolean weighed(long device, int tray, LocalDateTime at, double grams) {
        return mapper.insert(null, tray, at, Kind.WEIGHED, grams, null, null, device) == 1;
    }

    /** What filled containers weigh, of those that somebody weighed dry and soaked. */
    public Map<String, TrayWeight> weights() {
        return mapper.weights().stream()
                .collect(Collectors.toMap(Weight::container, each -> new TrayWeight(each.dry(), each.soaked())));
    }

    /** What a tray weighs: as its container was weighed, of a cut tray its part; or as worked out from its mix. */
    public static TrayWeight weight(Map<String, TrayWeight> weighed, Container whole, Container present) {
        double part = present.rows() / (double) whole.rows();
        TrayWeight own = weighed.get(whole.code().written());
        return own == null
                ? TrayWeight.ofMix(present.mixVolume() / MILLILITRES_IN_LITRE)
                : new TrayWeight(own.dry() * part, own.full() * part);
    }

    /** Says what a container weighs. */
    public void weigh(Container container, TrayWeight weight) {
        mapper.putWeight(container.code().written(), weight.dry(), weight.full());
    }

    /** A container that was weighed. */
    record Weight(String container, double dry, double soaked) {}

    /** The tables of water. */
    @Mapper
    interface WaterMapper {
        @Select("""
                select tray_number as tray, happened_at as at, kind, grams, word from water_seen
                where happened_at >= #{from} order by happened_at, id
                """)
        List<Seen> since(@Param("from") LocalDateTime from);

        @Select("select coalesce(max(id), 0) from water_seen where kind = 'WEIGHED'")
        long newestWeighing();

        @Insert("""
                insert into water_seen (request_id, tray_number, happened_at, kind, grams, word, seen_by, device_id)
                values (#{request}, #{tray}, #{at}, #{kind}, #{grams}, #{word}, #{by}, #{device})
                on conflict do nothing
                """)
        int insert(
                @Param("request") @Nullable UUID request,
                @Param("tray") int tray,
                @Param("at") LocalDateTime at,
                @Param("kind") Kind kind,
                @Param("grams") @Nullable Double grams,
                @Param("word") @Nullable String word,
                @Param("by") @Nullable Long by,
                @Param("device") @Nullable Long device);

        @Select("select container, dry, soaked from container_weight")
        List<Weight> weights();

        @Insert("""
                insert into container_weight (container, dry, soaked) values (#{container}, #{dry}, #{soaked})
                on conflict (container) do update set dry = #{dry}, soaked = #{soaked}
                """)
        void putWeight(@Param("container") String container, @Param("dry") double dry, @Param("soaked") double soaked);
    }
}
