package kiver.core.place;

import java.time.LocalDate;
import java.util.Map;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;

/**
 * By how much a place was warmer than its set points, or its gain, let expect, as its latest readings showed.
 *
 * @param after last day with a reading; only days after it are corrected
 * @param byNight K to add to minima
 * @param byDay K to add to maxima
 */
record PlaceBias(LocalDate after, double byNight, double byDay) {

    /** What a place was like longer ago says little of how it is run now. */
    private static final int DAYS_LOOKED_BACK = 21;

    /** As many days without any bias are mixed in, so that one odd reading moves little. */
    private static final double DAYS_OF_DOUBT = 5;

    /** The bias of a place in the past of a scenario; none where nothing was read. */
    static PlaceBias of(Place place, StationRecord weather, Map<LocalDate, DailyRange> readings) {
        LocalDate last = readings.keySet().stream().max(LocalDate::compareTo).orElse(null);
        if (last == null) {
            return new PlaceBias(LocalDate.MAX, 0, 0);
        }
        double night = 0;
        double day = 0;
        int count = 0;
        for (int back = 0; back < DAYS_LOOKED_BACK; back++) {
            LocalDate date = last.minusDays(back);
            DailyRange read = readings.get(date);
            long index = date.toEpochDay() - weather.firstDay().toEpochDay();
            if (read != null && index >= 0 && index < weather.days().size()) {
                DailyRange expected = place.climate().inside(weather.days().get((int) index));
                night += read.minimum() - expected.minimum();
                day += read.maximum() - expected.maximum();
                count++;
            }
        }
        return new PlaceBias(last, night / (count + DAYS_OF_DOUBT), day / (count + DAYS_OF_DOUBT));
    }

    /** What is to be expected of a day. */
    DailyRange on(LocalDate day, DailyRange expected) {
        if (!day.isAfter(after)) {
            return expected;
        }
        double minimum = expected.minimum() + byNight;
        return new DailyRange(minimum, Math.max(minimum, expected.maximum() + byDay));
    }
}
