package kiver.core.place;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import kiver.core.weather.HoursAhead;

/** Holds what was read at a place in the last day against what it is heated to and what stands there. */
public final class PlaceWatch {

    /** A probe that reports every quarter of an hour and is silent for so long has died, or its battery has. */
    private static final Duration SILENT_AFTER = Duration.ofHours(3);

    /** A door that was open for a moment is no heater that is off. */
    private static final Duration OFF_AFTER = Duration.ofMinutes(45);

    private static final Duration LAST_NIGHT = Duration.ofHours(15);

    /** K below the lower set point; heaters swing by one or two. */
    private static final double OFF_BELOW = 3;

    private PlaceWatch() {}

    /**
     * A batch that stands there.
     *
     * @param batch number
     * @param floor °C, the lowest that it bears
     * @param ceiling °C at which it stops growing
     */
    public record Standing(int batch, double floor, double ceiling) {}

    /**
     * What to see to, the probe first.
     *
     * @param place whose thermometers they are
     * @param readings of the last day, in order of time
     * @param now the nursery's own time
     * @param standing what stands there
     * @param ahead what is expected from this afternoon to tomorrow morning; empty where nothing is known of it
     */
    public static List<PlaceWarning> warnings(
            Place place,
            List<ProbeReading> readings,
            LocalDateTime now,
            List<Standing> standing,
            Optional<HoursAhead> ahead) {
        if (readings.isEmpty()) {
            return List.of();
        }
        List<PlaceWarning> warnings = new ArrayList<>();
        ProbeReading last = readings.get(readings.size() - 1);
        if (last.at().plus(SILENT_AFTER).isBefore(now)) {
            warnings.add(new PlaceWarning(
                    PlaceWarning.Kind.SILENT, last.celsius(), last.celsius(), last.at(), Optional.empty(), List.of()));
        }
        heatOff(place, readings).ifPresent(warnings::add);
        lowest(readings, now)
                .ifPresent(coldest -> harmed(
                                standing.stream()
                                        .filter(each -> coldest.celsius() < each.floor())
                                        .toList(),
                                PlaceWarning.Kind.TOO_COLD,
                                coldest,
                                limit -> ahead.flatMap(hours -> hours.firstWhen(now, celsius -> celsius < limit)))
                        .ifPresent(warnings::add));
        ProbeReading hottest = readings.stream()
                .max(Comparator.comparingDouble(ProbeReading::celsius))
                .orElseThrow();
        harmed(
                        standing.stream()
                                .filter(each -> hottest.celsius() >= each.ceiling())
                                .toList(),
                        PlaceWarning.Kind.TOO_HOT,
                        hottest,
                        limit -> ahead.filter(hours -> hours.at(now) >= limit)
                                .flatMap(hours -> hours.firstWhen(now, celsius -> celsius < limit)))
                .ifPresent(warnings::add);
        return warnings;
    }

    /** Of last night; what the night before did was told yesterday. */
    private static Optional<ProbeReading> lowest(List<ProbeReading> readings, LocalDateTime now) {
        return readings.stream()
                .filter(reading -> reading.at().isAfter(now.minus(LAST_NIGHT)))
                .min(Comparator.comparingDouble(ProbeReading::celsius));
    }

    private static Optional<PlaceWarning> harmed(
            List<Standing> harmed,
            PlaceWarning.Kind kind,
            ProbeReading reading,
            DoubleFunction<Optional<LocalDateTime>> until) {
        if (harmed.isEmpty()) {
            return Optional.empty();
        }
        double limit = kind == PlaceWarning.Kind.TOO_COLD
                ? harmed.stream().mapToDouble(Standing::floor).max().orElseThrow()
                : harmed.stream().mapToDouble(Standing::ceiling).min().orElseThrow();
        return Optional.of(new PlaceWarning(
                kind,
                reading.celsius(),
                limit,
                reading.at(),
                until.apply(limit),
                harmed.stream().map(Standing::batch).toList()));
    }

    /** Told while it lasts: the latest readings, for long enough, are all far below the lower set point. */
    private static Optional<PlaceWarning> heatOff(Place place, List<ProbeReading> readings) {
        if (!(place.climate() instanceof PlaceClimate.SetPoints set)) {
            return Optional.empty();
        }
        ProbeReading last = readings.get(readings.size() - 1);
        LocalDateTime since = null;
        for (int index = readings.size() - 1; index >= 0; index--) {
            if (readings.get(index).celsius() > set.night() - OFF_BELOW) {
                break;
            }
            since = readings.get(index).at();
        }
        return since == null || since.plus(OFF_AFTER).isAfter(last.at())
                ? Optional.empty()
                : Optional.of(new PlaceWarning(
                        PlaceWarning.Kind.HEAT_OFF, last.celsius(), set.night(), since, Optional.empty(), List.of()));
    }
}
