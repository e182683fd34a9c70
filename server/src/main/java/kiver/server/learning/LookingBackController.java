package kiver.server.learning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.BatchState;
import kiver.core.batch.DatedRelease;
import kiver.core.growth.GrowingYear;
import kiver.core.learning.Kept;
import kiver.core.learning.Waterfall;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.limit.Limits;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.release.ToldLosses;
import kiver.server.seed.SeedStore;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What became of what was sown in a growing year, and what was promised against what was kept. */
@RestController
class LookingBackController {

    private final BatchBook batches;
    private final OrderBook orders;
    private final ToldLosses losses;
    private final CropBook crops;
    private final SeedStore seeds;
    private final SeasonService seasons;
    private final NurseryClock clock;

    LookingBackController(
            BatchBook batches,
            OrderBook orders,
            ToldLosses losses,
            CropBook crops,
            SeedStore seeds,
            SeasonService seasons,
            NurseryClock clock) {
        this.batches = batches;
        this.orders = orders;
        this.losses = losses;
        this.crops = crops;
        this.seeds = seeds;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** What sowings are taken together by. */
    enum Together {
        CROP,
        LOT,
        PLACE,
        MIX,
        MONTH
    }

    /**
     * Sowings taken together.
     *
     * @param name of the crop, lot, place or mix; the first day of the month
     * @param batches of it
     */
    record FallOfGroup(String name, int batches, Waterfall fall) {}

    /**
     * A growing year looked back on.
     *
     * @param year of its spring
     * @param all sowings of it
     * @param groups of them, the largest first; months in their order
     * @param kept what was promised for days until today
     * @param keptShare share of those lines that were whole in time, 0 to 1
     */
    record LookingBackView(
            int year, Together together, Waterfall all, List<FallOfGroup> groups, Kept kept, double keptShare) {}

    @GetMapping("/api/looking-back")
    LookingBackView lookingBack(
            @RequestParam Optional<Integer> year, @RequestParam(defaultValue = "CROP") Together by) {
        GrowingYear present = GrowingYear.of(clock.today(), clock.latitude());
        GrowingYear asked = year.map(Limits::year)
                .map(number -> new GrowingYear(number, present.south()))
                .orElse(present);
        List<BatchFile> sown = Stream.concat(batches.files().stream(), batches.filesPutAway(asked).stream())
                .filter(file -> !file.batch().isBoughtIn()
                        && file.state()
                                .sownOn()
                                .filter(day -> !day.isBefore(asked.firstDay()) && !day.isAfter(asked.lastDay()))
                                .isPresent())
                .toList();
        Map<Integer, Integer> lost = lost(sown, asked);
        Map<String, List<BatchFile>> groups = sown.stream().collect(Collectors.groupingBy(name(by)));
        Kept kept = Kept.of(lines(asked));
        return new LookingBackView(
                asked.number(),
                by,
                fall(sown, lost),
                groups.entrySet().stream()
                        .map(group ->
                                new FallOfGroup(group.getKey(), group.getValue().size(), fall(group.getValue(), lost)))
                        .sorted(
                                by == Together.MONTH
                                        ? Comparator.comparing(FallOfGroup::name)
                                        : Comparator.comparing((FallOfGroup group) ->
                                                        -group.fall().sown())
                                                .thenComparing(FallOfGroup::name))
                        .toList(),
                kept,
                kept.share());
    }

    private static Waterfall fall(List<BatchFile> files, Map<Integer, Integer> lost) {
        return files.stream()
                .map(file -> Waterfall.of(
                        file.state(), lost.getOrDefault(file.batch().number(), 0)))
                .reduce(Waterfall.NOTHING, Waterfall::plus);
    }

    private Function<BatchFile, String> name(Together by) {
        return switch (by) {
            case CROP -> file -> crops.crop(file.batch().crop()).name();
            case LOT -> file -> seeds.lot(file.lotSown()).code();
            case PLACE ->
                file -> seasons.season().place(file.batch().way().growingOn()).name();
            case MIX ->
                file -> first(file.state())
                        .map(sowing -> sowing.sown().medium())
                        .orElse("");
            case MONTH ->
                file -> file.state().sownOn().orElseThrow().withDayOfMonth(1).toString();
        };
    }

    private static Optional<BatchState.Sowing> first(BatchState state) {
        return state.sowings().values().stream().findFirst();
    }

    /** What growers told lost, by the batch it came from; of a note that drew on several the first that gave plants. */
    private Map<Integer, Integer> lost(List<BatchFile> files, GrowingYear year) {
        Map<Integer, Integer> lost = new HashMap<>();
        for (ToldLosses.ToldLoss told : losses.since(year.firstDay())) {
            files.stream()
                    .filter(file -> file.releases().stream()
                            .anyMatch(gone -> gone.release() == told.release()
                                    && gone.line().equals(told.line())))
                    .findFirst()
                    .ifPresent(file -> lost.merge(file.batch().number(), told.plants(), Integer::sum));
        }
        return lost;
    }

    /** The lines whose day has come, each with the day on which it was whole; what is sown in place is not among them. */
    private List<Kept.Line> lines(GrowingYear year) {
        LocalDate today = clock.today();
        List<OrderedLine> due = orders.wanted(year.firstDay(), year.lastDay()).stream()
                .flatMap(order -> order.lines().stream())
                .filter(line -> line.cancelledOn() == null && line.target().isBefore(today))
                .toList();
        Map<LineId, TreeMap<LocalDate, Integer>> gone = new HashMap<>();
        for (BatchFile file : batches.filesOf(due.stream().map(OrderedLine::id).collect(Collectors.toSet()))) {
            for (DatedRelease release : file.state().releases()) {
                gone.computeIfAbsent(release.plants().line(), line -> new TreeMap<>())
                        .merge(release.day(), file.plantsOf(release.plants()), Integer::sum);
            }
        }
        Map<LineId, Integer> again = losses.givenAgain();
        List<Kept.Line> lines = new ArrayList<>();
        for (OrderedLine line : due) {
            int accepted = OrderLine.accepted(line.plants() - again.getOrDefault(line.id(), 0), line.under());
            lines.add(new Kept.Line(line.target(), whole(accepted, gone.getOrDefault(line.id(), new TreeMap<>()))));
        }
        return lines;
    }

    private static Optional<LocalDate> whole(int accepted, TreeMap<LocalDate, Integer> gone) {
        int sum = 0;
        for (Map.Entry<LocalDate, Integer> part : gone.entrySet()) {
            sum += part.getValue();
            if (sum >= accepted) {
                return Optional.of(part.getKey());
            }
        }
        return Optional.empty();
    }
}
