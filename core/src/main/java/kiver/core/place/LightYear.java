package kiver.core.place;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.weather.StationRecord;

/** The light of a place week by week through a year, as all the years of a station's record go. */
public final class LightYear {

    private static final int WEEKS = 52;
    private static final int DAYS = 7;

    private LightYear() {}

    /**
     * A week of the year.
     *
     * @param from first day, in the year that was asked for
     * @param low mol m⁻² d⁻¹, the mean of a dull week: one year in ten has less
     * @param middle of the middle year
     * @param high of a bright week: one year in ten has more
     */
    public record Week(LocalDate from, double low, double middle, double high) {}

    /**
     * The weeks from the first of January on; those of which the record holds nothing are left out.
     *
     * @param light of the place
     * @param record of the station, of any length
     * @param year in which the weeks' days are told
     */
    public static List<Week> of(DailyLight light, StationRecord record, int year) {
        List<List<Double>> means = new ArrayList<>();
        for (int week = 0; week < WEEKS; week++) {
            means.add(new ArrayList<>());
        }
        LocalDate last = record.firstDay().plusDays(record.days().size() - 1L);
        for (int of = record.firstDay().getYear(); of <= last.getYear(); of++) {
            for (int week = 0; week < WEEKS; week++) {
                LocalDate from = LocalDate.ofYearDay(of, 1 + DAYS * week);
                if (!from.isBefore(record.firstDay())
                        && !from.plusDays(DAYS - 1).isAfter(last)) {
                    means.get(week)
                            .add(from.datesUntil(from.plusDays(DAYS))
                                    .mapToDouble(day -> light.onLeaves(day, record.on(day)))
                                    .average()
                                    .orElseThrow());
                }
            }
        }
        List<Week> weeks = new ArrayList<>();
        for (int week = 0; week < WEEKS; week++) {
            List<Double> sorted = means.get(week).stream().sorted().toList();
            if (!sorted.isEmpty()) {
                weeks.add(new Week(
                        LocalDate.ofYearDay(year, 1 + DAYS * week), at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9)));
            }
        }
        return List.copyOf(weeks);
    }

    private static double at(List<Double> sorted, double share) {
        double place = share * (sorted.size() - 1);
        int below = (int) place;
        double above = sorted.get(Math.min(below + 1, sorted.size() - 1));
        return sorted.get(below) + (place - below) * (above - sorted.get(below));
    }
}
