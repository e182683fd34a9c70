package kiver.server.place;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.ProbeReading;
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
    private static final double NOISE = 0.25;
    private static final int MINUTES_A_DAY = 1440;
    private static final int MINUTES_BETWEEN = 15;
    private static final double LOWEST_AT = 5;
    /** Minutes over which what the evening before was warmer or cooler is made up for. */
    private static final double CARRIED_OVER = 240;

    private static final double HIGHEST_AT = 15;
    private static final LocalDate FIRST_FAULT = LocalDate.of(2027, 4, 15);
    /** Of the luck that faults come by; with this one something is to be seen on the opening day. */
    private static final long SALT = 84_068;

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

    @Override
    public List<ProbeReading> readings(
            Place place, LocalDate day, DailyRange before, DailyRange outside, LocalDateTime until) {
        DailyRange range = read(place, day, outside);
        DailyRange yesterday = read(place, day.minusDays(1), before);
        double atMidnight = within(yesterday, height(MINUTES_A_DAY));
        Fault fault = fault(place, day);
        SplittableRandom random =
                new SplittableRandom(day.toEpochDay() * 2003 + place.id().number());
        List<ProbeReading> readings = new ArrayList<>();
        for (int minute = 0; minute < MINUTES_A_DAY; minute += MINUTES_BETWEEN) {
            double noise = NOISE * random.nextGaussian();
            double wet = 4 * random.nextGaussian();
            LocalDateTime at = day.atStartOfDay().plusMinutes(minute);
            if (at.isAfter(until) || fault == Fault.BATTERY_EMPTY && minute > 150) {
                break;
            }
            double height = height(minute);
            double celsius = within(range, height);
            double carriedOver = (atMidnight - within(range, height(0))) * Math.max(0, 1 - minute / CARRIED_OVER);
            // Neither end of the day is passed by noise, and both are reached.
            double shown = height == 0 || height == 1
                    ? celsius
                    : Math.min(Math.max(celsius + carriedOver + noise, range.minimum()), range.maximum());
            double humid = Math.min(Math.max(82 - 30 * height + wet, 20), 99);
            readings.add(
                    new ProbeReading(at, toTenth(shown - fault.cools(minute)), OptionalDouble.of(Math.round(humid))));
        }
        return readings;
    }

    private static double within(DailyRange range, double height) {
        return range.minimum() + (range.maximum() - range.minimum()) * height;
    }

    /** The share of the day's swing at a minute: lowest at five, highest at three in the afternoon. */
    private static double height(int minute) {
        double hour = minute / 60.0;
        double sinceLowest = hour < LOWEST_AT ? hour + 24 - LOWEST_AT : hour - LOWEST_AT;
        double rise = HIGHEST_AT - LOWEST_AT;
        return sinceLowest <= rise
                ? 0.5 * (1 - Math.cos(Math.PI * sinceLowest / rise))
                : 0.5 * (1 + Math.cos(Math.PI * (sinceLowest - rise) / (24 - rise)));
    }

    /** What goes wrong with a place or its probe now and then. */
    private enum Fault {
        NONE,
        /** Somebody pulled the plug in the evening before. */
        HEAT_LEFT_OFF,
        /** For three quarters of an hour in the morning. */
        DOOR_LEFT_OPEN,
        BATTERY_EMPTY;

        /** K at a minute of the day. */
        double cools(int minute) {
            return switch (this) {
                case HEAT_LEFT_OFF -> minute < 150 ? 0 : Math.min((minute - 150) / 30.0, 8);
                case DOOR_LEFT_OPEN -> minute >= 390 && minute < 435 ? 5 : 0;
                case NONE, BATTERY_EMPTY -> 0;
            };
        }
    }

    /** The winter before the demonstration opens went by without. */
    private static Fault fault(Place place, LocalDate day) {
        if (day.isBefore(FIRST_FAULT)) {
            return Fault.NONE;
        }
        double luck =
                new SplittableRandom(SALT + day.toEpochDay() * 557 + place.id().number()).nextDouble();
        boolean heated = place.climate() instanceof PlaceClimate.SetPoints;
        if (luck < 0.01) {
            return heated ? Fault.HEAT_LEFT_OFF : Fault.NONE;
        }
        return luck < 0.03 ? Fault.DOOR_LEFT_OPEN : luck < 0.035 ? Fault.BATTERY_EMPTY : Fault.NONE;
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
