package kiver.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * A quantity spread over a period, a little and often. The days are those on which plants are to be ready: spread
 * evenly, they ask for sowings that lie closer together in spring, when later sowings catch up with earlier ones.
 *
 * @param parts in order of their days, at least one
 */
public record Succession(List<Part> parts) {

    /** More parts than this are a typing error. */
    public static final int MOST_PARTS = 60;

    /**
     * One part.
     *
     * @param ready day on which it is to be ready
     * @param plants of it, 1 or more
     */
    public record Part(LocalDate ready, int plants) {}

    public Succession {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new IllegalArgumentException(
                    "A succession has from 1 to " + MOST_PARTS + " parts, not " + parts.size() + ".");
        }
    }

    /**
     * A quantity divided over so many days, the first and the last included.
     *
     * @param plants in all, at least one for each part
     * @param from first day
     * @param to last day, not before the first
     * @param count of parts, 1 or more; no more than there are days
     */
    public static Succession dividing(int plants, LocalDate from, LocalDate to, int count) {
        long days = ChronoUnit.DAYS.between(from, to);
        if (days < 0) {
            throw new IllegalArgumentException("The last day lies before the first.");
        }
        if (count < 1 || count > MOST_PARTS || count > days + 1) {
            throw new IllegalArgumentException(
                    "Choose from 1 to " + Math.min(MOST_PARTS, days + 1) + " sowings for this period.");
        }
        if (plants < count) {
            throw new IllegalArgumentException(plants + " plants cannot be divided into " + count + " sowings.");
        }
        List<Part> parts = new ArrayList<>();
        for (int index = 0; index < count; index++) {
            long away = count == 1 ? 0 : Math.round(days * index / (double) (count - 1));
            int share = (int) ((long) plants * (index + 1) / count - (long) plants * index / count);
            parts.add(new Part(from.plusDays(away), share));
        }
        return new Succession(parts);
    }

    /**
     * A standing order: the same quantity every so many days.
     *
     * @param plants each time
     * @param from first day
     * @param until last day, inclusive
     * @param every days, 1 or more; 14 is a fortnight
     */
    public static Succession standing(int plants, LocalDate from, LocalDate until, int every) {
        if (every < 1) {
            throw new IllegalArgumentException("A standing order comes every day at most.");
        }
        List<Part> parts = new ArrayList<>();
        for (LocalDate day = from; !day.isAfter(until) && parts.size() <= MOST_PARTS; day = day.plusDays(every)) {
            parts.add(new Part(day, plants));
        }
        return new Succession(parts);
    }

    /** All plants of all parts. */
    public int plants() {
        return parts.stream().mapToInt(Part::plants).sum();
    }
}
