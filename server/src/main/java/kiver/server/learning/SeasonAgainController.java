package kiver.server.learning;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.growth.GrowingYear;
import kiver.core.learning.Kept;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.plan.ContainerPath;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.order.Grower;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.promise.PromiseService;
import kiver.server.release.ToldLosses;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * A growing year to be taken again: each line with the day of the week on which it was wanted, a year on, and what it took then.
 * When it is sown this time is for the plan to say, by what was learnt since.
 */
@RestController
class SeasonAgainController {

    private static final int WEEKS_IN_A_YEAR = 52;

    /** An order of the same grower for the same variety so near the day is taken to be the same order. */
    private static final int DAYS_NEAR = 10;

    private final YearLookedBack years;
    private final OrderBook orders;
    private final BatchBook batches;
    private final CropBook crops;
    private final ToldLosses losses;
    private final NurseryClock clock;

    SeasonAgainController(
            YearLookedBack years,
            OrderBook orders,
            BatchBook batches,
            CropBook crops,
            ToldLosses losses,
            NurseryClock clock) {
        this.years = years;
        this.orders = orders;
        this.batches = batches;
        this.crops = crops;
        this.losses = losses;
        this.clock = clock;
    }

    /** Whether a line may be taken again now. */
    enum Standing {
        /** It may. */
        OPEN,
        /** Its day is over, or today. */
        OVER,
        /** Its day is further ahead than plants are promised. */
        TOO_FAR,
        /** The grower has ordered the like for about that day. */
        ORDERED
    }

    /**
     * A line to be taken again.
     *
     * @param wish for this time
     * @param wantedThen the day for which it was wanted
     * @param sownThen the day on which the first of its batches was sown; missing where none was
     * @param wholeThen the day on which it was whole; missing where it was not
     */
    record LineAgain(
            String variety,
            String crop,
            String containerName,
            Wish wish,
            LocalDate wantedThen,
            @Nullable LocalDate sownThen,
            @Nullable LocalDate wholeThen,
            Standing standing) {}

    /** An order to be taken again. */
    record OrderAgain(int number, long growerId, String grower, long siteId, String site, List<LineAgain> lines) {}

    /**
     * A growing year to be taken again.
     *
     * @param lastDay the last for which plants are promised today
     */
    record SeasonAgain(int year, LocalDate lastDay, List<OrderAgain> orders) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/season-again")
    SeasonAgain again(@RequestParam Optional<Integer> year) {
        GrowingYear asked = years.year(year);
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        Map<Long, Site> sites = orders.sites().stream().collect(Collectors.toMap(Site::id, Function.identity()));
        List<Order> then = orders.wanted(asked.firstDay(), asked.lastDay());
        Map<LineId, BatchFile> given = given(then);
        Map<LineId, Kept.Line> due = years.due(asked);
        // What was given again for losses was not wanted at first.
        Map<LineId, Integer> replaced = losses.givenAgain();
        LocalDate today = clock.today();
        List<OrderedLine> ahead = orders.wanted(today, today.plusDays(Wish.DAYS_AHEAD)).stream()
                .flatMap(order -> order.lines().stream())
                .filter(line -> line.cancelledOn() == null)
                .toList();
        return new SeasonAgain(
                asked.number(),
                today.plusDays(Wish.DAYS_AHEAD),
                then.stream()
                        .map(order -> new OrderAgain(
                                order.number(),
                                order.growerId(),
                                growers.getOrDefault(order.growerId(), ""),
                                order.siteId(),
                                sites.get(order.siteId()).name(),
                                order.lines().stream()
                                        .filter(line -> line.cancelledOn() == null)
                                        .map(line -> again(
                                                line,
                                                line.plants() - replaced.getOrDefault(line.id(), 0),
                                                given.get(line.id()),
                                                due.get(line.id()),
                                                ahead))
                                        .sorted(Comparator.comparing(
                                                each -> each.wish().target()))
                                        .toList()))
                        .filter(order -> !order.lines().isEmpty())
                        .toList());
    }

    private Map<LineId, BatchFile> given(List<Order> then) {
        Map<LineId, BatchFile> given = new HashMap<>();
        for (BatchFile file : batches.filesOf(then.stream()
                .flatMap(order -> order.lines().stream())
                .map(OrderedLine::id)
                .collect(Collectors.toSet()))) {
            file.promises()
                    .forEach(promised -> given.merge(
                            promised.line(),
                            file,
                            (one, other) ->
                                    one.batch().sowDay().isAfter(other.batch().sowDay()) ? other : one));
        }
        return given;
    }

    private LineAgain again(
            OrderedLine line, int plants, @Nullable BatchFile file, @Nullable Kept.Line due, List<OrderedLine> ahead) {
        LocalDate target = line.target().plusWeeks(WEEKS_IN_A_YEAR);
        Optional<BatchFile> sown =
                Optional.ofNullable(file).filter(each -> !each.batch().isBoughtIn());
        Wish wish = PromiseService.wishFor(line, plants, target)
                .overWinter(sown.map(each -> each.batch().plan().overWinter()).orElse(false));
        ContainerPath.Kind path = sown.map(each -> each.batch().containerPath()).orElse(null);
        return new LineAgain(
                line.variety(),
                crops.crop(line.crop()).name(),
                crops.container(line.container()).name(),
                path == null || path == ContainerPath.Kind.STRAIGHT ? wish : wish.along(path),
                line.target(),
                sown.flatMap(each -> each.state().sownOn()).orElse(null),
                due == null ? null : due.wholeOn().orElse(null),
                standing(line, target, ahead));
    }

    private Standing standing(OrderedLine line, LocalDate target, List<OrderedLine> ahead) {
        LocalDate today = clock.today();
        if (!target.isAfter(today)) {
            return Standing.OVER;
        }
        if (target.isAfter(today.plusDays(Wish.DAYS_AHEAD))) {
            return Standing.TOO_FAR;
        }
        boolean ordered = ahead.stream()
                .anyMatch(other -> other.growerId() == line.growerId()
                        && other.varietyId() == line.varietyId()
                        && Math.abs(other.target().toEpochDay() - target.toEpochDay()) <= DAYS_NEAR);
        return ordered ? Standing.ORDERED : Standing.OPEN;
    }
}
