package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * Stands in for a real station: a valley at about 600 m. It draws its whole life from one seed, so that the weather
 * of a day is the same whenever and wherever it is asked for; a forecast errs the more the further it looks.
 */
@Component
@Profile("!play")
class SimulatedStation implements WeatherStation {

    private static final LocalDate FIRST_DAY = LocalDate.of(1996, 1, 1);
    private static final int DAYS = 60 * 366;
    private static final long SEED = 600_413;
    private static final int FORECAST_DAYS = 5;
    private static final double ERROR_PER_DAY = 0.6;
    /** m/s. */
    private static final double USUAL_GUST = 7;

    private static final double GUSTINESS = 0.42;
    private static final double WET_DAYS = 0.4;
    /** mm on a wet day. */
    private static final double MEAN_RAIN = 6;
    /** °C. */
    private static final double HAIL_ABOVE = 19;

    private static final StationClimate VALLEY = new StationClimate(9.2, 10.2, 10.5, 3.2, 0.72);

    private final StationRecord life = StationSimulator.draw(VALLEY, new SplittableRandom(SEED), FIRST_DAY, DAYS);

    private final NurseryClock clock;

    SimulatedStation(NurseryClock clock) {
        this.clock = clock;
    }

    /** Only the demonstration has it; elsewhere it would be taken for a measurement. */
    @Override
    public boolean isThere() {
        return clock.nursery().map(Nursery::demo).orElse(true);
    }

    @Override
    public LocalDate firstDay() {
        return FIRST_DAY;
    }

    @Override
    public DailyRange measured(LocalDate day) {
        return life.on(day);
    }

    @Override
    public List<DayAhead> forecast(LocalDate madeOn) {
        SplittableRandom random = new SplittableRandom(SEED + madeOn.toEpochDay());
        List<DayAhead> days = new ArrayList<>();
        for (int ahead = 0; ahead < FORECAST_DAYS; ahead++) {
            DailyRange truth = life.on(madeOn.plusDays(ahead));
            double error = random.nextGaussian() * ERROR_PER_DAY * (ahead + 1);
            days.add(new DayAhead(
                    new DailyRange(toTenth(truth.minimum() + error), toTenth(truth.maximum() + error)),
                    sky(madeOn.plusDays(ahead), truth)));
        }
        return List.copyOf(days);
    }

    /** Wind by the day's own luck, rain on dull days, hail out of the towers of close ones. */
    private static Sky sky(LocalDate day, DailyRange truth) {
        SplittableRandom random = new SplittableRandom(SEED * 31 + day.toEpochDay());
        double sun = Math.min(1, Math.max(0, (truth.swing() - 3) / 14));
        double gust = USUAL_GUST * Math.exp(GUSTINESS * random.nextGaussian());
        boolean wet = random.nextDouble() < WET_DAYS * (1.6 - 1.4 * sun);
        double rain = wet ? -Math.log(1 - random.nextDouble()) * MEAN_RAIN : 0;
        boolean close = truth.maximum() > HAIL_ABOVE && wet;
        double hail = close ? 0.1 + 0.3 * random.nextDouble() : 0;
        return new Sky(
                OptionalDouble.of(toTenth(gust)),
                OptionalDouble.of(toTenth(rain)),
                OptionalDouble.of(Math.round(100 * hail) / 100.0),
                OptionalDouble.of(Math.round(100 * sun) / 100.0));
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
