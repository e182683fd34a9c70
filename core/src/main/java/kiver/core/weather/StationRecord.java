package kiver.core.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * An unbroken run of days measured by a weather station.
 *
 * @param firstDay the day of the first entry
 * @param days one range for each day, without gaps; not empty
 */
public record StationRecord(LocalDate firstDay, List<DailyRange> days) {

    public StationRecord {
        days = List.copyOf(days);
        if (days.isEmpty()) {
            throw new IllegalArgumentException("A station record needs at least one day.");
        }
    }

    /** The last day measured. */
    public LocalDate lastDay() {
        return firstDay.plusDays(days.size() - 1L);
    }

    /** Whether that day was measured. */
    public boolean covers(LocalDate day) {
        long index = indexOf(day);
        return index >= 0 && index < days.size();
    }

    private long indexOf(LocalDate day) {
        return day.toEpochDay() - firstDay.toEpochDay();
    }

    /**
     * The range measured on a day.
     *
     * @throws IllegalArgumentException when the day lies outside the record
     */
    public DailyRange on(LocalDate day) {
        if (!covers(day)) {
            throw new IllegalArgumentException(
                    "The record runs from " + firstDay + " to " + lastDay() + " and has no " + day + ".");
        }
        return days.get((int) indexOf(day));
    }

    /**
     * The ranges of days one after another.
     *
     * @param first inside the record
     * @param last inside the record, inclusive, not before {@code first}
     */
    public List<DailyRange> between(LocalDate first, LocalDate last) {
        return days.subList((int) indexOf(first), (int) indexOf(last) + 1);
    }

    /**
     * The scenarios of what may come: what was measured up to today, then the forecast while it lasts, then the same
     * calendar days of each past year. Every past year that is measured whole over the horizon gives one scenario.
     *
     * @param today the last day that counts as known, inside the record
     * @param forecast the days after today, in order; may be empty
     * @param firstDayWanted where the scenarios start; inside the record
     * @param lastDayWanted where they end, inclusive; after today
     * @throws IllegalArgumentException when the record holds no whole past year
     */
    public List<StationRecord> scenarios(
            LocalDate today, List<DailyRange> forecast, LocalDate firstDayWanted, LocalDate lastDayWanted) {
        List<StationRecord> scenarios = new ArrayList<>();
        for (int yearsBack : yearsBack(today, lastDayWanted)) {
            List<DailyRange> course = new ArrayList<>(between(firstDayWanted, today));
            int ahead = 0;
            for (LocalDate day = today.plusDays(1); !day.isAfter(lastDayWanted); day = day.plusDays(1), ahead++) {
                course.add(ahead < forecast.size() ? forecast.get(ahead) : on(day.minusYears(yearsBack)));
            }
            scenarios.add(new StationRecord(firstDayWanted, course));
        }
        if (scenarios.isEmpty()) {
            throw new IllegalArgumentException("The station record from " + firstDay + " to " + lastDay()
                    + " holds no whole year before " + today + "; at least one is needed to look ahead.");
        }
        return List.copyOf(scenarios);
    }

    /**
     * By how many years each past year lies back that is measured whole over the days ahead, the nearest first: those of
     * which {@link #scenarios} makes its scenarios, in their order.
     *
     * @param today the last day that counts as known
     * @param lastDayWanted after today
     */
    public List<Integer> yearsBack(LocalDate today, LocalDate lastDayWanted) {
        List<Integer> years = new ArrayList<>();
        for (int yearsBack = 1; covers(firstDayAhead(today, yearsBack)); yearsBack++) {
            if (!lastDayWanted.minusYears(yearsBack).isAfter(lastDay())) {
                years.add(yearsBack);
            }
        }
        return List.copyOf(years);
    }

    private static LocalDate firstDayAhead(LocalDate today, int yearsBack) {
        return today.plusDays(1).minusYears(yearsBack);
    }
}
