package kiver.core.space;

import java.util.List;
import kiver.core.crop.Container;
import kiver.core.plan.ContainerPath;
import kiver.core.sow.SowingOption;

/**
 * What a path through containers takes.
 *
 * @param slotDays bench room, trays times days
 * @param mostSlots trays at its widest
 * @param mix litres for all its containers
 * @param seeds from the store
 * @param labels one for each tray of each container
 * @param hours of sowing and potting
 * @param cost of all of it at the nursery's rates
 */
public record Outlay(double slotDays, double mostSlots, double mix, int seeds, int labels, double hours, double cost) {

    private static final double SECONDS_IN_HOUR = 3600;
    private static final double MILLILITRES_IN_LITRE = 1000;

    /**
     * The outlay of a plan.
     *
     * @param path through containers
     * @param option how it is sown
     * @param plants moved on at each potting
     * @param stays on benches
     * @param rates of the nursery
     */
    public static Outlay of(ContainerPath path, SowingOption option, int plants, List<Stay> stays, Rates rates) {
        double mix = 0;
        int labels = 0;
        for (int index = 0; index < path.containers().size(); index++) {
            Container container = path.containers().get(index);
            int trays = (int) Math.ceil((index == 0 ? option.cells() : plants) / (double) container.cells());
            mix += trays * container.mixVolume() / MILLILITRES_IN_LITRE;
            labels += trays;
        }
        mix *= 1 + rates.mixLoss();
        labels = (int) Math.ceil(labels * (1 + rates.labelWaste()));
        int seeds = (int) Math.ceil(option.seeds() * (1 + rates.seedWaste()));
        int moves = path.containers().size() - 1;
        double slotDays =
                stays.stream().mapToDouble(stay -> stay.slots() * stay.days()).sum();
        double hours =
                (option.cells() * rates.secondsToSow() + moves * plants * rates.secondsToPot()) / SECONDS_IN_HOUR;
        return new Outlay(
                slotDays,
                stays.stream().mapToDouble(Stay::slots).max().orElse(0),
                mix,
                seeds,
                labels,
                hours,
                mix * rates.mixPerLitre()
                        + seeds / 1000.0 * rates.seedPerThousand()
                        + labels * rates.label()
                        + slotDays / 7 * rates.slotWeek()
                        + hours * rates.hour());
    }
}
