package kiver.core.plan;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.order.OutdoorSeason;

/**
 * When a crop can be sown at all for a site, whatever day a grower has in mind: the dates that frost, soil and dark set
 * when they are counted back, to be held beside the rules of thumb.
 *
 * @param from sown earlier, plants would be past their best before they may go out; empty when that is over
 * @param until sown later, plants would go out too late to be harvested; empty when nothing ends the season as far as
 *     is looked at
 */
public record SowingSeason(Optional<LocalDate> from, Optional<LocalDate> until) {

    /**
     * Counts back from the first and the last day on which plants may go out.
     *
     * @param outdoors when the crop may stand at the site
     * @param countBack along the path its plants take
     * @param today the first day that can be answered
     */
    public static SowingSeason of(OutdoorSeason outdoors, CountBack countBack, LocalDate today) {
        Optional<LocalDate> from = Optional.of(outdoors.from())
                .filter(out -> out.isAfter(today))
                .flatMap(out -> countBack.windowFor(out, today))
                .filter(window -> window.earliestBecause() != SowWindow.Limit.TODAY)
                .map(SowWindow::earliest);
        Optional<LocalDate> until = outdoors.until()
                .filter(out -> out.isAfter(today))
                .flatMap(out -> countBack.windowFor(out, today))
                .map(SowWindow::latest)
                .filter(latest -> !latest.isBefore(today));
        return new SowingSeason(from, until);
    }
}
