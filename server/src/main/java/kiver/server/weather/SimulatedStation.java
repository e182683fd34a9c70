package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;
import org.springframework.stereotype.Component;

/**
 * Stands in for a real station: a valley at about 600 m. It draws its whole life from one seed, so that the weather
 * of a day is the same whenever and wherever it is asked for; a forecast errs the more the further it looks.
 */
@Component
class SimulatedStation implements WeatherStation {

    private static final LocalDate FIRST_DAY = LocalDate.of(1996, 1, 1);
    private static final int DAYS = 60 * 366;
    private static final long SEED = 600_413;
    private static final int FORECAST_DAYS = 5;
    private static final double ERROR_PER_DAY = 0.6;
    private static final StationClimate VALLEY = new StationClimate(9.2, 10.2, 10.5, 3.2, 0.72);

    private final StationRecord life = StationSimulator.draw(VALLEY, new SplittableRandom(SEED), FIRST_DAY, DAYS);

    @Override
    public LocalDate firstDay() {
        return FIRST_DAY;
    }

    @Override
    public DailyRange measured(LocalDate day) {
        return life.on(day);
    }

    @Override
    public List<DailyRange> forecast(LocalDate madeOn) {
        SplittableRandom random = new SplittableRandom(SEED + madeOn.toEpochDay());
        List<DailyRange> days = new ArrayList<>();
        for (int ahead = 0; ahead < FORECAST_DAYS; ahead++) {
            DailyRange truth = life.on(madeOn.plusDays(ahead));
            double error = random.nextGaussian() * ERROR_PER_DAY * (ahead + 1);
            days.add(new DailyRange(toTenth(truth.minimum() + error), toTenth(truth.maximum() + error)));
        }
        return List.copyOf(days);
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
