package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.release.Sharing;

/**
 * All that is to go until a day: shared out, picked and loaded.
 *
 * @param rule by which shortages are shared
 * @param groups of lines that draw on the same plants; those that are short first
 * @param walk where what is picked stands, in walking order
 * @param round the sites, as they are driven to
 */
record LoadingView(LocalDate until, Sharing rule, List<GroupView> groups, List<PickStop> walk, List<Drop> round) {

    /**
     * Lines that draw on the same plants.
     *
     * @param ready plants that they may share
     * @param wanted by all of them
     * @param kept left over once all have theirs
     * @param reserve that is wished to be left over for replacements
     * @param substitutes other varieties of the crop of which plants are free, where these are short
     */
    record GroupView(
            String variety,
            String crop,
            String container,
            int ready,
            int wanted,
            int kept,
            int reserve,
            List<ShareView> lines,
            List<Substitute> substitutes) {}

    /**
     * What a line gets.
     *
     * @param wanted plants that it still wants
     * @param share that it may have
     * @param byHand whether somebody set that
     * @param picked plants found for it
     */
    record ShareView(
            int order,
            int line,
            String grower,
            LocalDate target,
            LocalDate placedOn,
            int wanted,
            int share,
            boolean byHand,
            int picked) {}

    /** Ready plants of another variety that nobody was promised. */
    record Substitute(int batch, String variety, int plants) {}

    /** A place with what is picked there. */
    record PickStop(String place, List<TrayPick> picks) {}

    /**
     * What is picked of a tray for a line.
     *
     * @param cells to take, by number
     * @param wholeTray whether nothing living is left in it
     * @param load position on the vehicle, from 1 for what is loaded first
     */
    record TrayPick(
            int tray,
            int rows,
            int columns,
            List<Integer> cells,
            int plants,
            boolean wholeTray,
            int batch,
            String variety,
            int order,
            int line,
            String grower,
            int load) {}

    /**
     * A site that is driven to.
     *
     * @param stop from 1; missing where nothing goes there
     * @param load from 1 for what is loaded first, which is handed over last; missing where nothing goes there
     */
    record Drop(
            long site,
            String name,
            String grower,
            int altitude,
            @Nullable Integer stop,
            @Nullable Integer load,
            List<Going> orders) {}

    /** What goes with an order. */
    record Going(int order, LocalDate target, List<GoingLine> lines) {}

    /** What goes with a line, to be released as it is picked. */
    record GoingLine(int line, String variety, int plants, int wanted) {}
}
