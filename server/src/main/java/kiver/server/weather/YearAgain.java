package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.core.weather.StationRecord;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * The weather of a past year once more, for a season that is played: from the day on which the play begins each day is as the
 * same calendar day was then. Its forecast errs the more the further it looks; of the sky nothing is known.
 */
@Component
@Profile("play")
class YearAgain implements WeatherStation {

    private static final int FORECAST_DAYS = 5;
    private static final double ERROR_PER_DAY = 0.6;

    private final WeatherMapper mapper;
    private final LocalDate begins;
    private final int yearsBack;
    private StationRecord known;

    YearAgain(
            WeatherMapper mapper, @Value("${kiver.play.today}") String begins, @Value("${kiver.play.year}") int year) {
        this.mapper = mapper;
        this.begins = LocalDate.parse(begins);
        this.yearsBack = this.begins.getYear() - year;
    }

    @Override
    public boolean isThere() {
        return true;
    }

    /** What was measured then was not measured on these days. */
    @Override
    public boolean measures() {
        return false;
    }

    @Override
    public LocalDate firstDay() {
        return begins;
    }

    @Override
    public DailyRange measured(LocalDate day) {
        return record().on(day.minusYears(yearsBack));
    }

    @Override
    public List<DayAhead> forecast(LocalDate madeOn) {
        SplittableRandom random = new SplittableRandom(madeOn.toEpochDay());
        List<DayAhead> days = new ArrayList<>();
        for (int ahead = 0; ahead < FORECAST_DAYS; ahead++) {
            DailyRange then = measured(madeOn.plusDays(ahead));
            double error = random.nextGaussian() * ERROR_PER_DAY * (ahead + 1);
            days.add(new DayAhead(
                    new DailyRange(toTenth(then.minimum() + error), toTenth(then.maximum() + error)), Sky.UNKNOWN));
        }
        return List.copyOf(days);
    }

    /** What was known when the play began; days that are played are not read again. */
    private synchronized StationRecord record() {
        if (known == null) {
            List<WeatherMapper.StationDay> days = mapper.recordFrom(LocalDate.EPOCH.minusYears(200)).stream()
                    .filter(day -> day.day().isBefore(begins))
                    .toList();
            known = new StationRecord(
                    days.get(0).day(),
                    days.stream()
                            .map(day -> new DailyRange(day.minimum(), day.maximum()))
                            .toList());
        }
        return known;
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
