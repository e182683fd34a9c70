package kiver.server.today;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.crop.Container;
import kiver.core.growth.DateSpread;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.PlaceId;
import kiver.core.today.TaskKind;
import kiver.core.today.WorkPace;
import kiver.core.today.WorkSize;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** The work that is coming, day by day, as forecasts stand; for sheets on the wall and for calendars. */
@Component
public class WorkAhead {

    private final SeasonService seasons;
    private final RoundService round;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final NurseryClock clock;
    private final TaskMarks marks;
    private final HandsBook hands;
    private final Wording wording;

    WorkAhead(
            SeasonService seasons,
            RoundService round,
            TrayBook trays,
            SeedStore seeds,
            NurseryClock clock,
            TaskMarks marks,
            HandsBook hands,
            Wording wording) {
        this.marks = marks;
        this.hands = hands;
        this.trays = trays;
        this.seeds = seeds;
        this.wording = wording;
        this.seasons = seasons;
        this.round = round;
        this.clock = clock;
    }

    /** Kinds of work. */
    public enum WorkKind {
        SOAK,
        SOW,
        TAKE_IN,
        LOOK_FOR_FROST,
        COUNT,
        DECIDE,
        MOVE,
        POT_ON,
        HARDEN,
        RELEASE,
        CLEAR,
        WATCH,
        FEED,
        TEND;

        static WorkKind of(TaskKind task) {
            return switch (task) {
                case SOAK -> SOAK;
                case SOW -> SOW;
                case TAKE_IN -> TAKE_IN;
                case LOOK_FOR_FROST -> LOOK_FOR_FROST;
                case COUNT -> COUNT;
                case DECIDE_ON_FAILING -> DECIDE;
                case UNCOVER, MOVE_TO_GROW_ON -> MOVE;
                case POT_ON -> POT_ON;
                case START_HARDENING, HARDEN, END_HARDENING -> HARDEN;
                case RELEASE -> RELEASE;
                case CLEAR_SPARES -> CLEAR;
                case WATCH_DATE -> WATCH;
                case FEED -> FEED;
                case BRUSH, PINCH, TAKE_FLOWERS -> TEND;
            };
        }
    }

    /**
     * One piece of work on a day.
     *
     * @param day on which it most likely falls
     * @param kind of it
     * @param batch number
     * @param variety of its plants
     * @param words what is to be done, in one line
     * @param place where, by name
     * @param placeId where
     * @param growerId who gets the plants; missing for work that is the nursery's own
     * @param spread of days; missing for a fixed day
     * @param task which it is on the round
     * @param minutes of one pair of hands, about
     * @param trays in which it lies, or that are set aside for it, by the number on it
     * @param lot code of the lot or consignment it comes from
     */
    public record Work(
            LocalDate day,
            WorkKind kind,
            int batch,
            String variety,
            Said words,
            String place,
            long placeId,
            @Nullable Long growerId,
            @Nullable DateSpread spread,
            TaskKind task,
            double minutes,
            List<Integer> trays,
            String lot) {

        private Work forGrower(long grower) {
            return new Work(
                    day, kind, batch, variety, words, place, placeId, grower, spread, task, minutes, trays, lot);
        }

        private Work in(List<Integer> itsTrays, String itsLot, double itsMinutes) {
            return new Work(
                    day,
                    kind,
                    batch,
                    variety,
                    words,
                    place,
                    placeId,
                    growerId,
                    spread,
                    task,
                    itsMinutes,
                    itsTrays,
                    itsLot);
        }

        /** The same on the day to which it was put off. */
        private Work notBefore(Optional<LocalDate> until) {
            return until.filter(later -> later.isAfter(day))
                    .map(later -> new Work(
                            later, kind, batch, variety, words, place, placeId, growerId, spread, task, minutes, trays,
                            lot))
                    .orElse(this);
        }
    }

    /**
     * The work between two days, both inclusive, by day and then in walking order. Today's is that of the round; what is
     * to come is forecast.
     */
    public List<Work> between(LocalDate from, LocalDate to) {
        LocalDate today = clock.today();
        List<Work> works = new ArrayList<>();
        Map<PlaceId, String> names = seasons.placeNames();
        List<RoundService.Stop> stops = round.stops();
        for (RoundService.Stop stop : stops) {
            BatchOutlook batch = stop.batch();
            stop.tasks()
                    .forEach(task -> works.add(work(
                            today,
                            task.kind(),
                            batch,
                            stop.place(),
                            names,
                            Optional.empty(),
                            Said.of("{task}. {why}")
                                    .with("task", Said.of("task." + task.kind()).with("plants", plants(batch)))
                                    .with("why", wording.say((Record) task.why(), today, Map.of())))));
            boolean met = batch.file().stillWanted() == 0;
            if (!met
                    && batch.trouble().isEmpty()
                    && !Set.of(BatchStage.RELEASED, BatchStage.FAILED).contains(batch.stage())) {
                List<Work> ahead = new ArrayList<>();
                add(batch, names, ahead);
                ahead.stream().filter(work -> work.day().isAfter(today)).forEach(works::add);
            }
        }
        Map<TaskMarks.Key, TaskMarks.Mark> noted = marks.all();
        works.replaceAll(work ->
                work.notBefore(Optional.ofNullable(noted.get(new TaskMarks.Key(work.batch(), work.task())))
                        .flatMap(mark -> mark.waitsUntil(work.day()))));
        works.removeIf(work -> work.day().isBefore(from) || work.day().isAfter(to));
        works.sort(Comparator.comparing(Work::day)
                .thenComparing(Work::kind)
                .thenComparing(Work::placeId)
                .thenComparing(Work::batch));
        Map<Integer, BatchFile> files = new HashMap<>();
        stops.forEach(stop -> files.put(stop.batch().number(), stop.batch().file()));
        Map<TrayId, Integer> numbers = trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::number));
        WorkPace pace = hands.pace();
        return works.stream()
                .map(work -> {
                    BatchFile file = files.get(work.batch());
                    List<Integer> itsTrays = trays(file, numbers);
                    return work.in(
                            itsTrays,
                            seeds.lot(file.lotSown()).code(),
                            pace.minutes(work.task(), size(file, itsTrays.size())));
                })
                .toList();
    }

    /** How much there is of a batch to be sown, counted, potted and carried. */
    public static WorkSize size(BatchFile file, int trays) {
        BatchState state = file.state();
        boolean sown = state.sownOn().isPresent();
        int toSow = file.toSow().stream().mapToInt(CellRun::length).sum();
        int standing = state.balance().alive() + state.balance().waiting();
        return new WorkSize(
                toSow > 0 ? toSow : standing,
                sown ? state.balance().alive() : file.batch().plants(),
                trays);
    }

    private static String plants(BatchOutlook batch) {
        return batch.file().batch().variety() + " (" + batch.crop().name().toLowerCase(Locale.ROOT) + ")";
    }

    private void add(BatchOutlook batch, Map<PlaceId, String> names, List<Work> works) {
        Batch planned = batch.file().batch();
        String plants = plants(batch);
        var way = batch.way();
        boolean sown = batch.file().state().sownOn().isPresent();
        LocalDate soakDay = batch.crop().seed().soakDay(planned.sowDay());
        if (!sown && !planned.isBoughtIn() && batch.crop().seed().soakHours() > 0 && soakDay.isAfter(clock.today())) {
            works.add(work(
                    soakDay,
                    TaskKind.SOAK,
                    batch,
                    way.emergence(),
                    names,
                    Optional.empty(),
                    Said.of("task.SOAK").with("plants", plants)));
        }
        if (!sown) {
            works.add(
                    planned.isBoughtIn()
                            ? work(
                                    planned.sowDay(),
                                    TaskKind.TAKE_IN,
                                    batch,
                                    way.emergence(),
                                    names,
                                    Optional.empty(),
                                    Said.of("Take in {cells} {plants}")
                                            .with("cells", planned.cells())
                                            .with("plants", plants))
                            : work(
                                    planned.sowDay(),
                                    TaskKind.SOW,
                                    batch,
                                    way.emergence(),
                                    names,
                                    Optional.empty(),
                                    Said.of("Sow {cells} cells of {plants}, {seeds} a cell")
                                            .with("cells", planned.cells())
                                            .with("plants", plants)
                                            .with("seeds", planned.seedsPerCell())));
        }
        if (batch.stage().compareTo(BatchStage.GROWING_ON) < 0 && !planned.isBoughtIn()) {
            batch.forecast().emerged().ifPresent(spread -> {
                works.add(work(
                        spread.middle(),
                        TaskKind.COUNT,
                        batch,
                        way.emergence(),
                        names,
                        Optional.of(spread),
                        Said.of("task.COUNT").with("plants", plants)));
                if (!way.emergence().equals(way.growingOn())) {
                    works.add(work(
                            spread.middle().plusDays(2),
                            TaskKind.MOVE_TO_GROW_ON,
                            batch,
                            way.growingOn(),
                            names,
                            Optional.of(spread),
                            Said.of("task.MOVE_TO_GROW_ON").with("plants", plants)));
                }
            });
        }
        List<Container> containers = batch.containers().containers();
        for (int index = 0; index < batch.forecast().pottings().size(); index++) {
            DateSpread spread = batch.forecast().pottings().get(index);
            Container into = containers.get(batch.standing().pottingsDone() + index + 1);
            works.add(work(
                    spread.middle(),
                    TaskKind.POT_ON,
                    batch,
                    way.growingOn(),
                    names,
                    Optional.of(spread),
                    Said.of("Pot on {plants} into {into}")
                            .with("plants", plants)
                            .with("into", into.name().toLowerCase(Locale.ROOT))));
        }
        if (batch.stage().compareTo(BatchStage.HARDENING_OFF) < 0) {
            batch.forecast()
                    .stageReached()
                    .ifPresent(spread -> works.add(work(
                            later(
                                    spread.middle(),
                                    batch.forecast().hardeningFrom().orElse(planned.target())),
                            TaskKind.START_HARDENING,
                            batch,
                            way.hardening(),
                            names,
                            Optional.of(spread),
                            hardening(plants, planned.hardeningProgramme().days()))));
        }
        Map<LineId, Integer> released = batch.file().releasedByLine();
        batch.file().promises().stream()
                .filter(promise -> released.getOrDefault(promise.line(), 0) < promise.accepted())
                .forEach(promise -> works.add(work(
                                promise.target(),
                                TaskKind.RELEASE,
                                batch,
                                way.hardening(),
                                names,
                                batch.forecast().ready(),
                                Said.of("Release {number} {plants} to {grower}")
                                        .with("number", promise.plants())
                                        .with("plants", plants)
                                        .with("grower", promise.grower()))
                        .forGrower(promise.growerId())));
    }

    private static Said hardening(String plants, int days) {
        return days == 0
                ? Said.of("Put {plants} out").with("plants", plants)
                : Said.of("Harden off {plants}, {days, plural, one {# day} other {# days}}")
                        .with("plants", plants)
                        .with("days", days);
    }

    /** Where it lies by now; where it is to be sown as long as nothing is. */
    private static List<Integer> trays(BatchFile file, Map<TrayId, Integer> numbers) {
        return (file.state().trays().isEmpty()
                        ? file.runs().stream().map(CellRun::tray)
                        : file.state().trays().stream())
                .map(numbers::get)
                .distinct()
                .toList();
    }

    private Work work(
            LocalDate day,
            TaskKind task,
            BatchOutlook batch,
            PlaceId place,
            Map<PlaceId, String> names,
            Optional<DateSpread> spread,
            Said words) {
        return new Work(
                day,
                WorkKind.of(task),
                batch.file().batch().number(),
                batch.file().batch().variety(),
                words,
                names.get(place),
                place.number(),
                null,
                spread.filter(each -> !each.isCertain()).orElse(null),
                task,
                0,
                List.of(),
                "");
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }
}
