package kiver.server.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.BatchStage;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.place.PlaceId;
import kiver.core.today.DayCleared;
import kiver.core.today.Patience;
import kiver.core.today.TaskKind;
import kiver.core.today.WorkPace;
import kiver.core.today.WorkSize;
import kiver.server.batch.PlanChanges;
import kiver.server.board.Board;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The work of the next days in minutes beside the hands there are, and what goes elsewhere when there is no time. */
@Component
class WeekAhead {

    private static final int DAYS = 7;
    private static final int DAYS_AHEAD = 60;

    /** What one request made is a day's clearing, which has no number of its own. */
    private static final long NO_NUMBER = 0;

    private final WorkAhead work;
    private final HandsBook hands;
    private final TaskMarks marks;
    private final BatchAnalyst analyst;
    private final Board board;
    private final PlanChanges plans;
    private final Requests requests;
    private final SeasonService seasons;
    private final NurseryClock clock;

    WeekAhead(
            WorkAhead work,
            HandsBook hands,
            TaskMarks marks,
            BatchAnalyst analyst,
            Board board,
            PlanChanges plans,
            Requests requests,
            SeasonService seasons,
            NurseryClock clock) {
        this.seasons = seasons;
        this.work = work;
        this.hands = hands;
        this.marks = marks;
        this.analyst = analyst;
        this.board = board;
        this.plans = plans;
        this.requests = requests;
        this.clock = clock;
    }

    /** Seven days from one on, with their minutes. */
    List<WeekController.DayView> days(LocalDate from) {
        requireNear(from);
        LocalDate to = from.plusDays(DAYS - 1L);
        Map<LocalDate, List<WorkAhead.Work>> byDay = byDay(from, to);
        Map<Integer, BatchOutlook> outlooks = outlooks();
        return hands.minutes(from, to).entrySet().stream()
                .map(day -> {
                    List<WorkAhead.Work> works = byDay.getOrDefault(day.getKey(), List.of());
                    List<BatchOutlook> outside = outside(day.getKey(), outlooks);
                    return new WeekController.DayView(
                            day.getKey(),
                            minutes(works) + minutesOutside(outside),
                            day.getValue(),
                            works.size() + outside.size());
                })
                .toList();
    }

    /** The work of a day, with how long it may wait and what a day costs. */
    List<WeekController.TaskOfDay> day(LocalDate day) {
        requireNear(day);
        Map<Integer, BatchOutlook> outlooks = outlooks();
        WorkPace pace = hands.pace();
        Map<PlaceId, String> names = seasons.placeNames();
        Stream<WeekController.TaskOfDay> hardening = outside(day, outlooks).stream()
                .map(outlook -> new WeekController.TaskOfDay(
                        TaskKind.HARDEN,
                        outlook.number(),
                        outlook.file().batch().variety(),
                        names.get(outlook.place()),
                        Said.of("task.HARDEN")
                                .with("plants", outlook.file().batch().variety()),
                        pace.minutes(TaskKind.HARDEN, size(outlook)),
                        null,
                        null,
                        null));
        Stream<WeekController.TaskOfDay> known = byDay(day, day).getOrDefault(day, List.of()).stream()
                .map(each -> {
                    BatchOutlook outlook = outlooks.get(each.batch());
                    Optional<LocalDate> last = lastDay(each, outlook);
                    boolean sowing = each.task() == TaskKind.SOW && last.isPresent() && isUnsown(outlook);
                    return new WeekController.TaskOfDay(
                            each.task(),
                            each.batch(),
                            each.variety(),
                            each.place(),
                            each.words(),
                            each.minutes(),
                            last.orElse(null),
                            sowing ? outlook.chance() : null,
                            sowing
                                    ? board.tried(outlook, plan(outlook).sownOn(day.plusDays(1)))
                                            .chance()
                                    : null);
                });
        return Stream.concat(known, hardening).toList();
    }

    /** What hardens by now and goes out on every day until it leaves; today's round has it already. */
    private List<BatchOutlook> outside(LocalDate day, Map<Integer, BatchOutlook> outlooks) {
        return outlooks.values().stream()
                .filter(outlook -> day.isAfter(clock.today())
                        && outlook.stage() == BatchStage.HARDENING_OFF
                        && day.isBefore(outlook.file().batch().target()))
                .sorted(Comparator.comparingInt(BatchOutlook::number))
                .toList();
    }

    private double minutesOutside(List<BatchOutlook> outside) {
        WorkPace pace = hands.pace();
        return outside.stream()
                .mapToDouble(outlook -> pace.minutes(TaskKind.HARDEN, size(outlook)))
                .sum();
    }

    private static WorkSize size(BatchOutlook outlook) {
        return WorkAhead.size(outlook.file(), outlook.file().state().trays().size());
    }

    /** Leaves a day without hands and moves what of its work may wait. */
    @Transactional(propagation = Propagation.MANDATORY)
    public WeekController.Cleared clear(UUID requestId, LocalDate day, long by) {
        requireNear(day);
        List<DayCleared.Move> moves = new ArrayList<>();
        int[] pieces = {0};
        requests.once(requestId, List.of("day cleared", day, by), () -> {
            Map<Integer, BatchOutlook> outlooks = outlooks();
            List<DayCleared.Piece> work = pieces(day, outlooks);
            pieces[0] = work.size();
            moves.addAll(DayCleared.of(day, work, free(day)));
            hands.set(day, 0, false);
            Map<Integer, BatchPlan> sown = new HashMap<>();
            for (DayCleared.Move move : moves) {
                BatchOutlook outlook = outlooks.get(move.piece().batch());
                if (move.piece().kind() == TaskKind.SOW && isUnsown(outlook)) {
                    sown.put(move.piece().batch(), plan(outlook).sownOn(move.to()));
                } else {
                    marks.putOff(
                            new TaskMarks.Key(move.piece().batch(), move.piece().kind()), day, move.to(), by);
                }
            }
            plans.change(by, Said.of("Move the sowings of {day}").with("day", day), sown);
            return NO_NUMBER;
        });
        return new WeekController.Cleared(moves.size(), pieces[0] - moves.size());
    }

    private List<DayCleared.Piece> pieces(LocalDate day, Map<Integer, BatchOutlook> outlooks) {
        return byDay(day, day).getOrDefault(day, List.of()).stream()
                .map(each -> new DayCleared.Piece(
                        each.batch(), each.task(), each.minutes(), lastDay(each, outlooks.get(each.batch()))))
                .toList();
    }

    /** Minutes that the fortnight after a day has left, days without hands left out. */
    private Map<LocalDate, Double> free(LocalDate day) {
        LocalDate from = day.plusDays(1);
        LocalDate to = day.plusDays(2L * DAYS);
        Map<LocalDate, List<WorkAhead.Work>> byDay = byDay(from, to);
        Map<Integer, BatchOutlook> outlooks = outlooks();
        return hands.minutes(from, to).entrySet().stream()
                .filter(each -> each.getValue() > 0)
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        each -> each.getValue()
                                - minutes(byDay.getOrDefault(each.getKey(), List.of()))
                                - minutesOutside(outside(each.getKey(), outlooks))));
    }

    /** Work by day. */
    private Map<LocalDate, List<WorkAhead.Work>> byDay(LocalDate from, LocalDate to) {
        return work.between(from, to).stream().collect(Collectors.groupingBy(WorkAhead.Work::day));
    }

    private static double minutes(List<WorkAhead.Work> works) {
        return works.stream().mapToDouble(WorkAhead.Work::minutes).sum();
    }

    private Optional<LocalDate> lastDay(WorkAhead.Work each, BatchOutlook outlook) {
        Optional<LocalDate> lastSowDay = each.task() == TaskKind.SOW && isUnsown(outlook)
                ? Optional.ofNullable(plan(outlook).latestSowDay())
                : Optional.empty();
        return Patience.lastDay(each.task(), each.day(), lastSowDay);
    }

    private static boolean isUnsown(BatchOutlook outlook) {
        return outlook.stage() == BatchStage.PLANNED;
    }

    private static BatchPlan plan(BatchOutlook outlook) {
        return outlook.file().batch().plan();
    }

    private Map<Integer, BatchOutlook> outlooks() {
        return analyst.all().stream().collect(Collectors.toMap(BatchOutlook::number, each -> each));
    }

    private void requireNear(LocalDate day) {
        LocalDate today = clock.today();
        if (day.isBefore(today.minusDays(1)) || day.isAfter(today.plusDays(DAYS_AHEAD))) {
            throw new Refusal(
                    "day",
                    Said.of("Choose a day from {first} to {last}.")
                            .with("first", today)
                            .with("last", today.plusDays(DAYS_AHEAD)));
        }
    }
}
