package kiver.core.space;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;

/** What stands on the benches while batches are being placed: every place's load by day, and each batch's options. */
final class Benches {

    private final int days;
    private final long firstDay;
    private final int placeCount;
    private final double[] capacity;
    private final double[] load;
    private final Option[][] options;

    /**
     * A candidate in positions.
     *
     * @param cost how little it suits
     * @param growing position of its growing place
     * @param place of each stay
     * @param from first day of each stay
     * @param until day after the last of each stay
     * @param slots of each stay
     * @param places a bit for each place it stands at; beyond 64 places bits are shared
     * @param first day on which it stands anywhere
     * @param last day after the last on which it stands anywhere
     */
    record Option(
            double cost,
            int growing,
            int[] place,
            int[] from,
            int[] until,
            double[] slots,
            long places,
            int first,
            int last) {

        static Option of(double cost, int growing, int[] place, int[] from, int[] until, double[] slots) {
            long places = 0;
            for (int each : place) {
                places |= 1L << (each & 63);
            }
            return new Option(
                    cost,
                    growing,
                    place,
                    from,
                    until,
                    slots,
                    places,
                    Arrays.stream(from).min().orElse(0),
                    Arrays.stream(until).max().orElse(0));
        }

        /** Room taken, in tray places times days. */
        double room() {
            double room = 0;
            for (int stay = 0; stay < place.length; stay++) {
                room += slots[stay] * (until[stay] - from[stay]);
            }
            return room;
        }

        /** Whether both stand at some place on the same day. */
        boolean meets(Option other) {
            for (int stay = 0; stay < place.length; stay++) {
                for (int against = 0; against < other.place.length; against++) {
                    if (place[stay] == other.place[against] && overlap(stay, other, against)) {
                        return true;
                    }
                }
            }
            return false;
        }

        /** Whether both grow on at the same place on the same day. */
        boolean growsBeside(Option other) {
            if (growing != other.growing) {
                return false;
            }
            for (int stay = 0; stay < place.length; stay++) {
                for (int against = 0; against < other.place.length; against++) {
                    if (place[stay] == growing && other.place[against] == growing && overlap(stay, other, against)) {
                        return true;
                    }
                }
            }
            return false;
        }

        private boolean overlap(int stay, Option other, int against) {
            return from[stay] < other.until[against] && other.from[against] < until[stay];
        }
    }

    Benches(List<Place> places, List<ToPlace> batches) {
        long first = batches.stream()
                .flatMap(batch -> batch.candidates().stream())
                .flatMap(candidate -> candidate.stays().stream())
                .mapToLong(stay -> stay.from().toEpochDay())
                .min()
                .orElse(0);
        long last = batches.stream()
                .flatMap(batch -> batch.candidates().stream())
                .flatMap(candidate -> candidate.stays().stream())
                .mapToLong(stay -> stay.until().toEpochDay())
                .max()
                .orElse(1);
        firstDay = first;
        days = (int) (last - first) + 1;
        Map<PlaceId, Integer> position = new HashMap<>();
        placeCount = places.size();
        capacity = new double[placeCount * days];
        for (int place = 0; place < placeCount; place++) {
            position.put(places.get(place).id(), place);
            for (int day = 0; day < days; day++) {
                capacity[place * days + day] = places.get(place).slotsOn(LocalDate.ofEpochDay(first + day));
            }
        }
        options = batches.stream()
                .map(batch -> batch.candidates().stream()
                        .map(candidate -> option(candidate, position))
                        .toArray(Option[]::new))
                .toArray(Option[][]::new);
        load = new double[capacity.length];
    }

    int places() {
        return placeCount;
    }

    int days() {
        return days;
    }

    int batches() {
        return options.length;
    }

    Option[] options(int batch) {
        return options[batch];
    }

    /** Room at a place on a day; places stand one after the other, each with all its days. */
    double capacity(int placeAndDay) {
        return capacity[placeAndDay];
    }

    /** Takes everything off. */
    void clear() {
        Arrays.fill(load, 0);
    }

    /** Slots over capacity that an option would add, summed over days. */
    double added(Option option) {
        double over = 0;
        for (int stay = 0; stay < option.place().length; stay++) {
            int place = option.place()[stay];
            double slots = option.slots()[stay];
            for (int index = place * days + option.from()[stay]; index < place * days + option.until()[stay]; index++) {
                double free = capacity[index] - load[index];
                if (slots > free) {
                    over += Math.min(slots, slots - free);
                }
            }
        }
        return over;
    }

    /** Sets an option down, or with -1 takes it up. */
    void put(Option option, int sign) {
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * days;
            for (int index = row + option.from()[stay]; index < row + option.until()[stay]; index++) {
                load[index] += sign * option.slots()[stay];
            }
        }
    }

    /** Sets down what is chosen for every batch, on empty benches. */
    void fill(int[] chosen) {
        clear();
        for (int batch = 0; batch < options.length; batch++) {
            put(options[batch][chosen[batch]], 1);
        }
    }

    /** Cost of what is chosen, with the overflow that stands on the benches. */
    double total(int[] chosen) {
        double cost = 0;
        for (int batch = 0; batch < options.length; batch++) {
            cost += options[batch][chosen[batch]].cost();
        }
        return cost + Assignment.OVERFLOW_COST * overflow();
    }

    /** Slots over capacity, summed over places and days. */
    double overflow() {
        double over = 0;
        for (int index = 0; index < load.length; index++) {
            over += Math.max(0, load[index] - capacity[index]);
        }
        return over < 1e-7 ? 0 : over;
    }

    private Option option(Candidate candidate, Map<PlaceId, Integer> position) {
        int count = candidate.stays().size();
        int growing = position.getOrDefault(candidate.way().growingOn(), -1);
        int[] places = new int[count];
        int[] from = new int[count];
        int[] until = new int[count];
        double[] slots = new double[count];
        for (int index = 0; index < count; index++) {
            Stay stay = candidate.stays().get(index);
            Integer place = position.get(stay.place());
            if (place == null) {
                throw new IllegalArgumentException(
                        "There is no place " + stay.place().number() + ".");
            }
            places[index] = place;
            from[index] = dayOf(stay.from());
            until[index] = dayOf(stay.until());
            slots[index] = stay.slots();
        }
        return Option.of(candidate.cost(), growing, places, from, until, slots);
    }

    private int dayOf(LocalDate day) {
        return (int) (day.toEpochDay() - firstDay);
    }
}
