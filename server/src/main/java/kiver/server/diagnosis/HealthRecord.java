package kiver.server.diagnosis;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.care.ColdNights;
import kiver.core.care.WaterRecord;
import kiver.core.care.WaterSeen;
import kiver.core.crop.ColdNeeds;
import kiver.core.outlook.BatchCourse;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.server.growth.SeasonService;
import kiver.server.water.WaterRound;
import org.springframework.stereotype.Component;

/** What a batch has lived through day by day: warmth, light, leaves as worked out, water, and what was done. */
@Component
class HealthRecord {

    /** Water is told back to here, in steps of half a day. */
    private static final int DAYS_OF_WATER = 14;

    private static final int HOURS = 12;

    private final SeasonService seasons;
    private final WaterRound water;

    HealthRecord(SeasonService seasons, WaterRound water) {
        this.seasons = seasons;
        this.water = water;
    }

    /**
     * A day on which it stood somewhere.
     *
     * @param leaves true leaves on its morning at the crop's mean pace; empty before it was up
     */
    record Day(LocalDate day, double minimum, double maximum, double light, Optional<Double> leaves) {}

    /** What was known of the water in its trays at a moment, as a share of what they hold for plants. */
    record Water(LocalDateTime at, double share) {}

    /** Water that somebody gave. */
    record Given(LocalDate day, WaterSeen.How how) {}

    /** What was done with plants, as a picture marks it. */
    enum Doing {
        SOWN,
        COUNTED,
        POTTED,
        MOVED,
        HARDENED,
        LOST,
        RELEASED
    }

    /** Something done on a day. */
    record Done(LocalDate day, Doing doing) {}

    /** Each day from the beginning to yesterday, as far as the season's record goes back. */
    List<Day> days(BatchOutlook batch, LocalDate today) {
        List<BatchState.Placement> placements = batch.file().state().placements();
        List<Day> days = new ArrayList<>();
        Optional<BatchCourse> course = batch.emerging().course();
        Optional<LocalDate> up = emerged(batch);
        for (LocalDate day = batch.began(); day.isBefore(today); day = day.plusDays(1)) {
            ClimateSeries climate =
                    seasons.season().climate(at(placements, day)).get(0);
            int index = (int) ChronoUnit.DAYS.between(climate.firstDay(), day);
            if (index >= 0 && index < climate.days()) {
                LocalDate now = day;
                days.add(new Day(
                        day,
                        climate.minimum(index),
                        climate.maximum(index),
                        climate.light(index),
                        up.filter(emerged -> !emerged.isAfter(now))
                                .flatMap(emerged -> course.map(made -> made.leavesBetween(emerged, now)))));
            }
        }
        return days;
    }

    private Optional<LocalDate> emerged(BatchOutlook batch) {
        return batch.standing().hasEmerged()
                ? Optional.of(seasons.season().firstDay().plusDays((long)
                        Math.floor(batch.standing().emergedAt())))
                : Optional.empty();
    }

    private static PlaceId at(List<BatchState.Placement> placements, LocalDate day) {
        return placements.stream()
                .filter(placement -> !placement.from().isAfter(day))
                .reduce((earlier, later) -> later)
                .orElse(placements.get(0))
                .place();
    }

    /** What nights did to it since it was up; of plants that came, since they did. */
    static ColdNights cold(BatchOutlook batch, List<Day> days) {
        ColdNeeds usual = batch.crop().cold();
        ColdNeeds needs = batch.file().batch().plan().overWinter()
                ? usual.overWinter(batch.crop().hardiness().floor())
                : usual;
        return ColdNights.of(
                days.stream()
                        .filter(day -> day.leaves().isPresent())
                        .map(day -> new ColdNights.Day(
                                day.minimum(), day.maximum(), day.leaves().orElseThrow()))
                        .toList(),
                needs,
                batch.crop().leaves().temperatures());
    }

    /** How its water went in the tray in which most of it stands; nothing where nobody noted any. */
    List<Water> water(BatchOutlook batch) {
        return own(batch)
                .filter(WaterRound.Called::isNoted)
                .map(HealthRecord::through)
                .orElse(List.of());
    }

    /** Water that it was given in the same tray. */
    List<Given> given(BatchOutlook batch) {
        return own(batch)
                .map(called -> called.record().seen().stream()
                        .filter(each -> each.seen() instanceof WaterSeen.Watered)
                        .map(each -> new Given(each.at().toLocalDate(), ((WaterSeen.Watered) each.seen()).how()))
                        .toList())
                .orElse(List.of());
    }

    private Optional<WaterRound.Called> own(BatchOutlook batch) {
        return water.calls().stream()
                .filter(called -> called.standing().batch().number() == batch.number())
                .max(Comparator.comparingInt(called -> called.standing().plants()));
    }

    private static List<Water> through(WaterRound.Called called) {
        WaterRecord record = called.record();
        List<Water> through = new ArrayList<>();
        LocalDateTime end = record.seen().get(record.seen().size() - 1).at();
        LocalDateTime first = record.seen().get(0).at();
        LocalDateTime from = first.isBefore(end.minusDays(DAYS_OF_WATER)) ? end.minusDays(DAYS_OF_WATER) : first;
        for (LocalDateTime at = from; !at.isAfter(end); at = at.plusHours(HOURS)) {
            LocalDateTime moment = at;
            WaterRecord until = new WaterRecord(
                    record.seen().stream()
                            .filter(each -> !each.at().isAfter(moment))
                            .toList(),
                    record.drinking(),
                    record.air());
            through.add(new Water(moment, until.at(moment, called.pace()).share()));
        }
        return through;
    }

    /** What was done with its plants and not taken back, each once a day. */
    static List<Done> done(BatchOutlook batch) {
        BatchState state = batch.file().state();
        return state.changes().stream()
                .filter(change -> !state.isCorrected(change.sequence()))
                .flatMap(change -> doing(change.change()).map(doing -> new Done(change.day(), doing)).stream())
                .distinct()
                .sorted(Comparator.comparing(Done::day))
                .toList();
    }

    private static Optional<Doing> doing(BatchChange change) {
        if (change instanceof BatchChange.Sown || change instanceof BatchChange.BroughtIn) {
            return Optional.of(Doing.SOWN);
        }
        if (change instanceof BatchChange.Counted) {
            return Optional.of(Doing.COUNTED);
        }
        if (change instanceof BatchChange.PottedOn || change instanceof BatchChange.PrickedOut) {
            return Optional.of(Doing.POTTED);
        }
        if (change instanceof BatchChange.OfPlace) {
            return Optional.of(Doing.MOVED);
        }
        if (change instanceof BatchChange.OfHardening) {
            return Optional.of(Doing.HARDENED);
        }
        if (change instanceof BatchChange.Lost) {
            return Optional.of(Doing.LOST);
        }
        return change instanceof BatchChange.Released ? Optional.of(Doing.RELEASED) : Optional.empty();
    }
}
