package kiver.core.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.RecordedChange;
import kiver.core.crop.Container;
import kiver.core.space.Rates;
import kiver.core.tray.TrayId;

/**
 * What was spent on plants, as their record tells it: seed sown, mix in cells that were sown or potted into, labels, hours of
 * sowing and potting, and bench room from the day on which a tray was filled to the last change of the plants in it.
 *
 * @param seed cost of it
 * @param mix cost of it
 * @param labels cost of them
 * @param room cost of bench room
 * @param work cost of hours
 */
public record Spent(double seed, double mix, double labels, double room, double work) {

    /** Nothing. */
    public static final Spent NOTHING = new Spent(0, 0, 0, 0, 0);

    private static final double SECONDS_IN_HOUR = 3600;
    private static final double MILLILITRES_IN_LITRE = 1000;
    private static final double DAYS_IN_WEEK = 7;

    /** All of it. */
    public double cost() {
        return seed + mix + labels + room + work;
    }

    /** Both together. */
    public Spent plus(Spent other) {
        return new Spent(
                seed + other.seed, mix + other.mix, labels + other.labels, room + other.room, work + other.work);
    }

    /**
     * What was spent on a batch until a day.
     *
     * @param state of its record
     * @param containers that trays are
     * @param rates of the nursery
     * @param today until which room is counted where plants still stand
     */
    public static Spent of(BatchState state, Function<TrayId, Container> containers, Rates rates, LocalDate today) {
        double seeds = 0;
        double millilitres = 0;
        double seconds = 0;
        Map<TrayId, Stood> trays = new HashMap<>();
        for (RecordedChange recorded : standing(state)) {
            if (recorded.change() instanceof BatchChange.Sown sown) {
                int cells = sown.run().length();
                seeds += cells * (double) sown.seedsPerCell();
                millilitres += cells * containers.apply(sown.run().tray()).cellVolume();
                seconds += cells * rates.secondsToSow();
                stood(trays, sown.run().tray(), cells, recorded.day());
            } else if (recorded.change() instanceof BatchChange.BroughtIn arrived) {
                stood(trays, arrived.run().tray(), arrived.run().length(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.PottedOn potted) {
                int plants = potted.cells().size();
                millilitres += plants * containers.apply(potted.goal()).cellVolume();
                seconds += plants * rates.secondsToPot();
                stood(trays, potted.goal(), plants, recorded.day());
                last(trays, potted.from(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.PrickedOut pricked) {
                seconds += pricked.cells().size() * rates.secondsToPot();
                stood(trays, pricked.goal(), pricked.cells().size(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.CellsMoved moved) {
                stood(trays, moved.goal(), moved.cells().size(), recorded.day());
                last(trays, moved.from(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.Released released) {
                last(trays, released.tray(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.Lost lost) {
                last(trays, lost.tray(), recorded.day());
            } else if (recorded.change() instanceof BatchChange.Counted counted) {
                last(trays, counted.tray(), recorded.day());
            }
        }
        double slotDays = 0;
        for (Map.Entry<TrayId, Stood> tray : trays.entrySet()) {
            Container container = containers.apply(tray.getKey());
            boolean stands = !state.cellsIn(tray.getKey(), CellCondition.ALIVE).isEmpty()
                    || !state.cellsIn(tray.getKey(), CellCondition.WAITING).isEmpty();
            LocalDate until = stands ? today : tray.getValue().last;
            double share = Math.min(1, tray.getValue().cells / (double) container.cells());
            slotDays += container.slots() * share * Math.max(0, ChronoUnit.DAYS.between(tray.getValue().first, until));
        }
        return new Spent(
                seeds * (1 + rates.seedWaste()) / 1000 * rates.seedPerThousand(),
                millilitres / MILLILITRES_IN_LITRE * (1 + rates.mixLoss()) * rates.mixPerLitre(),
                trays.size() * (1 + rates.labelWaste()) * rates.label(),
                slotDays / DAYS_IN_WEEK * rates.slotWeek(),
                seconds / SECONDS_IN_HOUR * rates.hour());
    }

    /** A tray, how many of its cells the batch had, and the days between which it stood there. */
    private static final class Stood {
        private final LocalDate first;
        private LocalDate last;
        private int cells;

        private Stood(LocalDate first) {
            this.first = first;
            last = first;
        }
    }

    private static void stood(Map<TrayId, Stood> trays, TrayId tray, int cells, LocalDate day) {
        Stood stood = trays.computeIfAbsent(tray, each -> new Stood(day));
        stood.cells += cells;
        last(trays, tray, day);
    }

    private static void last(Map<TrayId, Stood> trays, TrayId tray, LocalDate day) {
        Stood stood = trays.get(tray);
        if (stood != null && day.isAfter(stood.last)) {
            stood.last = day;
        }
    }

    private static List<RecordedChange> standing(BatchState state) {
        return state.changes().stream()
                .filter(recorded -> !state.isCorrected(recorded.sequence()))
                .sorted((one, other) -> one.day().compareTo(other.day()))
                .toList();
    }
}
