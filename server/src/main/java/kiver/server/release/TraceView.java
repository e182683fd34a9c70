package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;

/** Where plants came from, and where everything went that came from one lot or mix. */
final class TraceView {

    private TraceView() {}

    /**
     * A delivery note, followed back.
     *
     * @param takenBack whether nothing of it is with the grower any more
     */
    record OfNote(
            int note, int order, String grower, String site, LocalDate day, boolean takenBack, List<LineBack> lines) {}

    /** A line of a note. */
    record LineBack(int line, String variety, String crop, int plants, List<Back> origins, List<SeedGone> seed) {}

    /**
     * Plants of one sowing that left from one tray.
     *
     * @param tray they left from, its number
     * @param startedIn tray they were sown or arrived in, its number
     * @param day on which they were sown, or arrived
     * @param medium empty for plants raised elsewhere
     * @param stays at places, earliest first
     * @param counts of seedlings and losses, as they were recorded
     * @param hands of those who recorded anything of their batch
     */
    record Back(
            int plants,
            boolean mixed,
            int batch,
            int tray,
            int startedIn,
            LocalDate day,
            LotNamed lot,
            String medium,
            List<Stay> stays,
            List<Noted> counts,
            List<String> hands) {}

    /** A lot by its code. */
    record LotNamed(long id, String code, String supplier) {}

    /**
     * A stay at a place.
     *
     * @param until last day; null where they still stand there, or left from there
     * @param mean °C over the stay; null where the season no longer reaches back to it
     */
    record Stay(
            String place,
            LocalDate from,
            @Nullable LocalDate until,
            @Nullable Double mean) {}

    /**
     * What a count of a tray found, or what was lost.
     *
     * @param cells with something up, or lost
     */
    record Noted(LocalDate day, Kind kind, int cells, String by) {
        /** What was noted. */
        enum Kind {
            COUNTED,
            LOST
        }
    }

    /**
     * What came of a lot or a mix.
     *
     * @param lot which; null where a mix is followed
     * @param variety of the lot; null where a mix is followed
     * @param medium which; empty where a lot is followed
     * @param seeds sown of it
     * @param standing living plants in hand
     * @param gone plants and seed with growers
     * @param promised plants of its batches that are promised and have not gone
     */
    record Forward(
            @Nullable LotNamed lot,
            @Nullable String variety,
            String medium,
            int seeds,
            List<SownFrom> batches,
            List<Standing> standing,
            List<Gone> gone,
            List<SeedGone> seedGone,
            List<Awaited> promised) {}

    /** A sowing or arrival. */
    record SownFrom(int batch, String variety, LocalDate day, int seeds, LotNamed lot) {}

    /** Living plants in a tray. */
    record Standing(
            int batch, String variety, int tray, @Nullable String place, int plants, boolean mixed) {}

    /** Plants that a grower has. */
    record Gone(
            String grower,
            String site,
            int order,
            int line,
            int note,
            LocalDate day,
            int batch,
            String variety,
            int plants,
            boolean mixed) {}

    /** Seed that a grower has, to be sown in place. */
    record SeedGone(
            String grower, String site, int order, int line, int note, String variety, int seeds, LotNamed lot) {}

    /** Plants that a grower waits for. */
    record Awaited(String grower, int order, int line, int batch, String variety, int plants, LocalDate target) {}

    /** A mix that was sown in, by its words. */
    record MixNamed(String medium, int batches) {}
}
