package kiver.core.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;

/** How full every place is on every day of a span, and by whom. */
public final class Occupancy {

    /** Rounding of half and shared trays. */
    private static final double CROWDED = 1e-6;

    private final LocalDate firstDay;
    private final int days;
    private final List<Place> places;
    private final Map<PlaceId, double[]> used = new HashMap<>();
    private final Map<PlaceId, int[]> room;
    private final Map<Integer, List<Stay>> stays;

    private Occupancy(
            LocalDate firstDay,
            int days,
            List<Place> places,
            Map<PlaceId, int[]> room,
            Map<Integer, List<Stay>> stays) {
        this.room = room;
        this.firstDay = firstDay;
        this.days = days;
        this.places = places;
        this.stays = stays;
    }

    /** A place that has too little room for something, the days and by how many slots at most. */
    public record Lack(Place place, LocalDate from, LocalDate until, double mostOver) {}

    /** Days on end on which a place is over-full, and the batches that stand there. */
    public record Overflow(Place place, LocalDate from, LocalDate until, double mostOver, List<Integer> batches) {}

    /** Slots that a batch takes at a place on a day. */
    public record StandingThere(int batch, double slots) {}

    /**
     * The occupancy of a span.
     *
     * @param places of the nursery
     * @param stays by batch number; what lies outside the span is left out
     * @param firstDay of the span
     * @param days of the span, 1 or more
     */
    public static Occupancy of(List<Place> places, Map<Integer, List<Stay>> stays, LocalDate firstDay, int days) {
        Map<PlaceId, int[]> room = new HashMap<>();
        for (Place place : places) {
            int[] slots = new int[days];
            Arrays.setAll(slots, day -> place.slotsOn(firstDay.plusDays(day)));
            room.put(place.id(), slots);
        }
        Occupancy occupancy = new Occupancy(firstDay, days, List.copyOf(places), room, Map.copyOf(stays));
        places.forEach(place -> occupancy.used.put(place.id(), new double[days]));
        stays.values().forEach(each -> occupancy.add(each, 1));
        return occupancy;
    }

    /** The same with a batch standing otherwise than it did. */
    public Occupancy with(int batch, List<Stay> otherwise) {
        Map<Integer, List<Stay>> changed = new HashMap<>(stays);
        changed.put(batch, otherwise);
        Occupancy copy = new Occupancy(firstDay, days, places, room, changed);
        used.forEach((place, slots) -> copy.used.put(place, slots.clone()));
        copy.add(stays.getOrDefault(batch, List.of()), -1);
        copy.add(otherwise, 1);
        return copy;
    }

    private void add(Collection<Stay> each, int sign) {
        for (Stay stay : each) {
            double[] slots = used.get(stay.place());
            if (slots != null) {
                for (int day = indexOf(stay.from()); day < indexOf(stay.until()); day++) {
                    slots[day] += sign * stay.slots();
                }
            }
        }
    }

    /** The first day of the span. */
    public LocalDate firstDay() {
        return firstDay;
    }

    /** The days of the span. */
    public int days() {
        return days;
    }

    /** Slots used at a place, one entry for each day of the span. */
    public double[] used(PlaceId place) {
        return usedAt(place).clone();
    }

    private double[] usedAt(PlaceId place) {
        double[] slots = used.get(place);
        if (slots == null) {
            throw new IllegalArgumentException("There is no place " + place.number() + " in this nursery.");
        }
        return slots;
    }

    /** The stays of a batch. */
    public List<Stay> staysOf(int batch) {
        return stays.getOrDefault(batch, List.of());
    }

    /** Slots free at a place through all of some days; negative where it is over-full. */
    public double free(PlaceId place, LocalDate from, LocalDate until) {
        double[] slots = usedAt(place);
        double least = place(place).slots();
        for (int day = indexOf(from); day < indexOf(until); day++) {
            least = Math.min(least, capacity(place, day) - slots[day]);
        }
        return least;
    }

    /** The worst lack of room that stays would meet, were they added; empty when all of them fit. */
    public Optional<Lack> lackFor(List<Stay> wanted) {
        return lackFor(wanted, List.of());
    }

    /** The worst lack of room that stays would meet, were they there instead of others. */
    public Optional<Lack> lackFor(List<Stay> wanted, List<Stay> insteadOf) {
        return lacksFor(wanted, insteadOf).stream().max(Comparator.comparingDouble(Lack::mostOver));
    }

    /** Every lack of room that stays would meet, were they there instead of others, in their order. */
    public List<Lack> lacksFor(List<Stay> wanted, List<Stay> insteadOf) {
        List<Lack> lacks = new ArrayList<>();
        for (Stay stay : wanted) {
            double[] slots = used.get(stay.place());
            int first = -1;
            int last = -1;
            double over = 0;
            for (int day = indexOf(stay.from()); slots != null && day < indexOf(stay.until()); day++) {
                double lack =
                        slots[day] + stay.slots() - taken(insteadOf, stay.place(), day) - capacity(stay.place(), day);
                if (lack > CROWDED) {
                    first = first < 0 ? day : first;
                    last = day;
                    over = Math.max(over, lack);
                }
            }
            if (first >= 0) {
                lacks.add(new Lack(place(stay.place()), firstDay.plusDays(first), firstDay.plusDays(last + 1L), over));
            }
        }
        return List.copyOf(lacks);
    }

    private double taken(List<Stay> stays, PlaceId place, int day) {
        double slots = 0;
        for (Stay stay : stays) {
            slots += stay.place().equals(place) && indexOf(stay.from()) <= day && day < indexOf(stay.until())
                    ? stay.slots()
                    : 0;
        }
        return slots;
    }

    /** Every run of days on which a place is over-full, in walking order and then by day. */
    public List<Overflow> overflows() {
        List<Overflow> found = new ArrayList<>();
        for (Place place : places) {
            double[] slots = usedAt(place.id());
            for (int day = 0; day < days; day++) {
                int from = day;
                double most = 0;
                while (day < days && slots[day] > capacity(place.id(), day) + CROWDED) {
                    most = Math.max(most, slots[day] - capacity(place.id(), day));
                    day++;
                }
                if (day > from) {
                    LocalDate first = firstDay.plusDays(from);
                    LocalDate until = firstDay.plusDays(day);
                    found.add(new Overflow(place, first, until, most, batchesAt(place.id(), first, until)));
                }
            }
        }
        return List.copyOf(found);
    }

    /** How much lacks in all: tray places over capacity on each day, summed over places and days. */
    public double overfullness() {
        double over = 0;
        for (Place place : places) {
            double[] slots = usedAt(place.id());
            for (int day = 0; day < days; day++) {
                over += Math.max(0, slots[day] - capacity(place.id(), day));
            }
        }
        return over < CROWDED ? 0 : over;
    }

    /** The batches that stand at a place on any of some days, by number. */
    public List<Integer> batchesAt(PlaceId place, LocalDate from, LocalDate until) {
        return stays.entrySet().stream()
                .filter(entry -> entry.getValue().stream()
                        .anyMatch(stay -> stay.place().equals(place)
                                && stay.from().isBefore(until)
                                && from.isBefore(stay.until())))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    /** What stands at a place on a day, by batch number; its slots add up to what is used. */
    public List<StandingThere> standingAt(PlaceId place, LocalDate day) {
        int index = indexOf(day);
        return stays.entrySet().stream()
                .map(entry -> new StandingThere(entry.getKey(), taken(entry.getValue(), place, index)))
                .filter(each -> each.slots() > 0)
                .sorted(Comparator.comparingInt(StandingThere::batch))
                .toList();
    }

    private int capacity(PlaceId place, int day) {
        return room.get(place)[day];
    }

    private Place place(PlaceId id) {
        return places.stream()
                .filter(place -> place.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private int indexOf(LocalDate day) {
        return (int) Math.min(days, Math.max(0, day.toEpochDay() - firstDay.toEpochDay()));
    }
}
