package kiver.server.place;

import java.time.LocalDate;
import java.util.SplittableRandom;
import kiver.core.place.Place;
import kiver.core.weather.DailyRange;
import org.springframework.stereotype.Component;

/**
 * Stands in for a real thermometer: the place's own climate, with the day-to-day unevenness of heaters and vents, and
 * a bias of its own that makes each place a little warmer or cooler than its set points say.
 */
@Component
class SimulatedProbe implements PlaceProbe {

    private static final double BIAS = 0.6;
    private static final double UNEVENNESS = 0.7;

    @Override
    public DailyRange read(Place place, LocalDate day, DailyRange outside) {
        DailyRange model = place.climate().inside(outside);
        double bias = BIAS * new SplittableRandom(31 * place.id().number()).nextGaussian();
        SplittableRandom random =
                new SplittableRandom(day.toEpochDay() * 1009 + place.id().number());
        double minimum = toTenth(model.minimum() + bias + UNEVENNESS * random.nextGaussian());
        double maximum = toTenth(model.maximum() + bias + UNEVENNESS * random.nextGaussian());
        return new DailyRange(Math.min(minimum, maximum), Math.max(minimum, maximum));
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
