package kiver.core.space;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;

/**
 * How full every place may be on every day: the same plans in many equally likely ways the season may go. A warm spring
 * brings batches on together, a cold one keeps them standing, so that a place which has room as most likely may have none
 * in one year of ten.
 */
public final class OccupancySpread {

    private static final double CROWDED = 1e-6;

    private final List<Place> places;
    private final LocalDate firstDay;

    /** Slots by place, then by way and day. */
    private final Map<PlaceId, double[][]> used;

    private OccupancySpread(List<Place> places, LocalDate firstDay, Map<PlaceId, double[][]> used) {
        this.places = places;
        this.firstDay = firstDay;
        this.used = used;
    }

    /**
     * Days on end on which a place may lack room.
     *
     * @param from first day
     * @param until day after the last
     * @param share of the ways in which it lacks room on one of them at least, 0 to 1
     * @param overInHalf tray places that lack at the worst of them in half of those ways, at most
     * @param overInNineOfTen the same in nine of ten of those ways
     */
    public record Risk(
            Place place, LocalDate from, LocalDate until, double share, double overInHalf, double overInNineOfTen) {}

    /**
     * The spread of some ways.
     *
     * @param places of the nursery, in walking order
     * @param firstDay of the span
     * @param days of the span, 1 or more; what lies outside it is left out
     * @param ways in which the season may go, 1 or more
     * @param batches the stays of each, one list for each way; looked at one after another and not kept, since of thousands of
     *     batches they fill the memory
     */
    public static OccupancySpread of(
            List<Place> places, LocalDate firstDay, int days, int ways, Stream<List<List<Stay>>> batches) {
        if (ways < 1) {
            throw new IllegalArgumentException("A spread needs at least one way the season may go.");
        }
        Map<PlaceId, double[][]> used = new HashMap<>();
        places.forEach(place -> used.put(place.id(), new double[ways][days]));
        batches.forEach(batch -> {
            for (int way = 0; way < ways; way++) {
                for (Stay stay : batch.get(way)) {
                    double[][] there = used.get(stay.place());
                    if (there != null) {
                        add(there[way], stay, firstDay);
                    }
                }
            }
        });
        return new OccupancySpread(List.copyOf(places), firstDay, used);
    }

    private static void add(double[] slots, Stay stay, LocalDate firstDay) {
        long from = Math.max(0, ChronoUnit.DAYS.between(firstDay, stay.from()));
        long until = Math.min(slots.length, ChronoUnit.DAYS.between(firstDay, stay.until()));
        for (long day = from; day < until; day++) {
            slots[(int) day] += stay.slots();
        }
    }

    /** The first day. */
    public LocalDate firstDay() {
        return firstDay;
    }

    /**
     * The slots that are enough at a place in a share of the ways, one entry for each day.
     *
     * @param share above 0, at most 1; 0.5 for half of the years
     */
    public double[] enoughIn(PlaceId place, double share) {
        double[][] there = used.get(place);
        double[] enough = new double[there[0].length];
        for (int day = 0; day < enough.length; day++) {
            enough[day] = quantile(there, day, share);
        }
        return enough;
    }

    /**
     * Runs of days on each of which a place lacks room in a share of the ways at least, in walking order and then by day.
     *
     * @param least above 0, at most 1
     */
    public List<Risk> risks(double least) {
        List<Risk> risks = new ArrayList<>();
        for (Place place : places) {
            double[][] over = over(place);
            int days = over[0].length;
            for (int day = 0; day < days; day++) {
                int from = day;
                while (day < days && shareOver(over, day) >= least - CROWDED) {
                    day++;
                }
                if (day > from) {
                    risks.add(risk(place, over, from, day));
                }
            }
        }
        return List.copyOf(risks);
    }

    private Risk risk(Place place, double[][] over, int from, int until) {
        double[] worst = Arrays.stream(over)
                .mapToDouble(way -> Arrays.stream(way, from, until).max().orElseThrow())
                .filter(most -> most > CROWDED)
                .sorted()
                .toArray();
        return new Risk(
                place,
                firstDay.plusDays(from),
                firstDay.plusDays(until),
                worst.length / (double) over.length,
                at(worst, 0.5),
                at(worst, 0.9));
    }

    /** Slots lacking by way and day. */
    private double[][] over(Place place) {
        double[][] there = used.get(place.id());
        double[][] over = new double[there.length][there[0].length];
        for (int day = 0; day < over[0].length; day++) {
            int room = place.slotsOn(firstDay.plusDays(day));
            for (int way = 0; way < over.length; way++) {
                over[way][day] = Math.max(0, there[way][day] - room);
            }
        }
        return over;
    }

    private static double shareOver(double[][] over, int day) {
        return Arrays.stream(over).filter(way -> way[day] > CROWDED).count() / (double) over.length;
    }

    private static double quantile(double[][] used, int day, double share) {
        double[] sorted =
                Arrays.stream(used).mapToDouble(way -> way[day]).sorted().toArray();
        return at(sorted, share);
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.ceil(share * sorted.length - CROWDED) - 1];
    }
}
