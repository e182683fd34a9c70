package kiver.server.question;

import java.util.List;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LeafStage;
import kiver.core.order.Protection;

/**
 * One thing that is asked for, as far as it was said. Lists hold all that fit equally well: none where nothing was said.
 *
 * @param amount how many
 * @param varieties numbers of those that were meant: one when it was named, all of the crop when the crop was
 * @param day on which they are wanted, or the days
 * @param daysLater than what was asked before; negative for earlier
 * @param sites numbers, where they are to stand
 * @param containers codes, in what
 * @param stage at which
 * @param protection they will stand under
 */
record Asked(
        Optional<Amount> amount,
        List<Long> varieties,
        Optional<DaySpan> day,
        Optional<Integer> daysLater,
        List<Long> sites,
        List<ContainerCode> containers,
        Optional<LeafStage> stage,
        Optional<Protection> protection) {

    Asked {
        varieties = List.copyOf(varieties);
        sites = List.copyOf(sites);
        containers = List.copyOf(containers);
    }

    /**
     * How many of something.
     *
     * @param number 1 or more
     * @param trays whether whole trays are counted, not plants
     */
    record Amount(int number, boolean trays) {}
}
