package kiver.core.weather;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Objects;
import java.util.Optional;

/**
 * What people know of the climate where they grow without having measured it.
 *
 * @param coldest mean lowest and highest of the days of the coldest month, °C
 * @param warmest the same of the warmest month; not colder than the coldest
 * @param frosts when air frost comes and goes; empty where there is hardly any
 * @param northern whether it lies north of the equator
 */
public record ToldClimate(DailyRange coldest, DailyRange warmest, Optional<Frosts> frosts, boolean northern) {

    /**
     * Usual dates of frost in the air.
     *
     * @param last usually in spring
     * @param lastAtWorst one year in ten later
     * @param first usually in autumn
     * @param firstAtWorst one year in ten sooner
     */
    public record Frosts(MonthDay last, MonthDay lastAtWorst, MonthDay first, MonthDay firstAtWorst) {}

    /** What cannot be so. */
    public enum Fault {
        /** The warmest month is colder than the coldest. */
        MONTHS_TURNED_ROUND,
        /** Frost that ends in autumn and begins in spring: dates of the other half of the earth. */
        OTHER_HALF_OF_THE_EARTH,
        /** In one year of ten the last frost is later than usual, not sooner. */
        LAST_SOONER_AT_WORST,
        /** In one year of ten the first frost is sooner than usual, not later. */
        FIRST_LATER_AT_WORST,
        /** The frosts of spring and of autumn meet. */
        FROST_ALL_SUMMER
    }

    public ToldClimate {
        Objects.requireNonNull(frosts);
        fault(coldest, warmest, frosts, northern).ifPresent(fault -> {
            throw new IllegalArgumentException(fault.name());
        });
    }

    /** What is wrong with what was told; nothing when it can be so. */
    public static Optional<Fault> fault(
            DailyRange coldest, DailyRange warmest, Optional<Frosts> frosts, boolean northern) {
        if (warmest.minimum() < coldest.minimum() || warmest.maximum() < coldest.maximum()) {
            return Optional.of(Fault.MONTHS_TURNED_ROUND);
        }
        return frosts.flatMap(told -> fault(told, northern));
    }

    private static Optional<Fault> fault(Frosts told, boolean northern) {
        int last = seasonDay(told.last(), northern);
        int first = seasonDay(told.first(), northern);
        int lastAtWorst = seasonDay(told.lastAtWorst(), northern);
        int firstAtWorst = seasonDay(told.firstAtWorst(), northern);
        if (last > first) {
            return Optional.of(Fault.OTHER_HALF_OF_THE_EARTH);
        }
        if (lastAtWorst < last) {
            return Optional.of(Fault.LAST_SOONER_AT_WORST);
        }
        if (firstAtWorst > first) {
            return Optional.of(Fault.FIRST_LATER_AT_WORST);
        }
        return lastAtWorst >= firstAtWorst ? Optional.of(Fault.FROST_ALL_SUMMER) : Optional.empty();
    }

    /** Days from the beginning of the season; any year without a 29 February will do. */
    static int seasonDay(MonthDay day, boolean northern) {
        return EstimatedClimate.seasonDay(
                LocalDate.of(
                        2027,
                        day.getMonth(),
                        Math.min(day.getDayOfMonth(), day.getMonth().minLength())),
                northern);
    }
}
