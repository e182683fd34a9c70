package kiver.core.weather;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import java.util.function.DoublePredicate;

/**
 * The temperature from an afternoon to the next morning, hour by hour: half a cosine from the day's highest at 15 h down to
 * the lowest at 5 h, as in {@link DayCurve}.
 *
 * @param day whose afternoon it is
 * @param highest °C, of that day
 * @param lowest °C, of the morning after
 */
public record HoursAhead(LocalDate day, double highest, double lowest) {

    private static final LocalTime WARMEST = LocalTime.of(15, 0);
    private static final int HOURS_OF_FALL = 14;
    private static final Duration STEP = Duration.ofMinutes(15);

    /** °C at a moment; before 15 h the highest, after 5 h the lowest. */
    public double at(LocalDateTime moment) {
        double hours = Duration.between(day.atTime(WARMEST), moment).toMinutes() / 60.0;
        double fall = Math.max(0, Math.min(1, hours / HOURS_OF_FALL));
        return lowest + (highest - lowest) * 0.5 * (1 + Math.cos(Math.PI * fall));
    }

    /**
     * The first quarter of an hour of the fall from which on something is true of the temperature.
     *
     * @param from looked at from then on, or from 15 h where that is later
     * @return nothing where it is not true until the morning
     */
    public Optional<LocalDateTime> firstWhen(LocalDateTime from, DoublePredicate wanted) {
        LocalDateTime warmest = day.atTime(WARMEST);
        LocalDateTime coldest = warmest.plusHours(HOURS_OF_FALL);
        for (LocalDateTime moment = from.isAfter(warmest) ? from : warmest;
                !moment.isAfter(coldest);
                moment = moment.plus(STEP)) {
            if (wanted.test(at(moment))) {
                return Optional.of(moment);
            }
        }
        return Optional.empty();
    }
}
