package kiver.core.weather;

import java.time.LocalDate;
import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * What a past year was like over the same days as those ahead, as people remember years.
 *
 * @param spring mean of the spring's days, °C; empty where none of it lies ahead
 * @param firstFrost first day of the autumn ahead at or below 0 °C, in the days ahead
 * @param earlySummer mean of the highest of the days of June, of December in the south, °C; empty where none lies ahead
 */
public record YearCharacter(OptionalDouble spring, Optional<LocalDate> firstFrost, OptionalDouble earlySummer) {

    private static final Set<Month> SPRING = EnumSet.of(Month.MARCH, Month.APRIL, Month.MAY);
    private static final Set<Month> AUTUMN = EnumSet.of(Month.AUGUST, Month.SEPTEMBER, Month.OCTOBER, Month.NOVEMBER);
    private static final int HALF_A_YEAR = 6;
    private static final int YEAR = 365;

    /**
     * The character of a course of the weather.
     *
     * @param course the weather as it may go, past days first
     * @param today the first day ahead, inside it
     * @param northern whether June is in summer
     */
    public static YearCharacter of(StationRecord course, LocalDate today, boolean northern) {
        int offset = northern ? 0 : HALF_A_YEAR;
        List<LocalDate> days = IntStream.range(0, YEAR)
                .mapToObj(today::plusDays)
                .filter(course::covers)
                .toList();
        return new YearCharacter(
                days.stream()
                        .filter(day -> SPRING.contains(day.getMonth().plus(offset)))
                        .mapToDouble(day ->
                                (course.on(day).minimum() + course.on(day).maximum()) / 2)
                        .average(),
                days.stream()
                        .filter(day -> AUTUMN.contains(day.getMonth().plus(offset)))
                        .filter(day -> course.on(day).minimum() <= 0)
                        .findFirst(),
                days.stream()
                        .filter(day -> day.getMonth().plus(offset) == Month.JUNE)
                        .mapToDouble(day -> course.on(day).maximum())
                        .average());
    }
}
