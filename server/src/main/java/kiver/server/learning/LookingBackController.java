package kiver.server.learning;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.Container;
import kiver.core.growth.GrowingYear;
import kiver.core.learning.Kept;
import kiver.core.learning.Spent;
import kiver.core.learning.Waterfall;
import kiver.core.outlook.BatchFile;
import kiver.core.space.Rates;
import kiver.core.tray.TrayId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.limit.Limits;
import kiver.server.release.ToldLosses;
import kiver.server.seed.SeedStore;
import kiver.server.space.RateBook;
import kiver.server.tray.TrayBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What became of what was sown in a growing year, what it cost, and what was promised against what was kept. */
@RestController
class LookingBackController {

    /** A week around a day in earlier years. */
    private static final int DAYS_AROUND = 3;

    private static final int YEARS_BACK = 10;

    private final YearLookedBack years;
    private final BatchBook batches;
    private final ToldLosses losses;
    private final CropBook crops;
    private final SeedStore seeds;
    private final SeasonService seasons;
    private final RateBook rates;
    private final TrayBook trays;
    private final NurseryClock clock;

    LookingBackController(
            YearLookedBack years,
            BatchBook batches,
            ToldLosses losses,
            CropBook crops,
            SeedStore seeds,
            SeasonService seasons,
            RateBook rates,
            TrayBook trays,
            NurseryClock clock) {
        this.years = years;
        this.batches = batches;
        this.losses = losses;
        this.crops = crops;
        this.seeds = seeds;
        this.seasons = seasons;
        this.rates = rates;
        this.trays = trays;
        this.clock = clock;
    }

    /** What sowings are taken together by. */
    enum Together {
        CROP,
        LOT,
        PLACE,
        MIX,
        MONTH,
        PERSON
    }

    /**
     * What plants cost.
     *
     * @param all spent so far
     * @param gone spent on batches of which nothing is here any more
     * @param handedOver plants of these that went to growers
     */
    record CostView(Spent all, double gone, int handedOver) {}

    /**
     * Sowings taken together.
     *
     * @param name of the crop, lot, place, mix or person; the first day of the month
     * @param batches of it
     */
    record FallOfGroup(String name, int batches, Waterfall fall, CostView cost) {}

    /**
     * A growing year looked back on.
     *
     * @param year of its spring
     * @param all sowings of it
     * @param cost of all of them
     * @param groups of them, the largest first; months in their order
     * @param kept what was promised for days until today
     * @param keptShare share of those lines that were whole in time, 0 to 1
     */
    record LookingBackView(
            int year,
            Together together,
            Waterfall all,
            CostView cost,
            List<FallOfGroup> groups,
            Kept kept,
            double keptShare) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/looking-back")
    LookingBackView lookingBack(
            @RequestParam Optional<Integer> year, @RequestParam(defaultValue = "CROP") Together by) {
        GrowingYear asked = years.year(year);
        List<BatchFile> sown = years.sown(asked);
        Map<Integer, Integer> lost = lost(sown, asked);
        Map<Integer, Spent> spent = spent(sown);
        Map<String, List<BatchFile>> groups = sown.stream().collect(Collectors.groupingBy(name(by, asked)));
        Kept kept = Kept.of(List.copyOf(years.due(asked).values()));
        return new LookingBackView(
                asked.number(),
                by,
                fall(sown, lost),
                cost(sown, spent),
                groups.entrySet().stream()
                        .map(group -> new FallOfGroup(
                                group.getKey(),
                                group.getValue().size(),
                                fall(group.getValue(), lost),
                                cost(group.getValue(), spent)))
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

    /** What was noted in the same week of earlier years, the newest first. */
    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/notes")
    List<BatchBook.NoteOfDay> notes(@RequestParam LocalDate around) {
        LocalDate day = Limits.day(around);
        return IntStream.rangeClosed(1, YEARS_BACK)
                .mapToObj(day::minusYears)
                .flatMap(then -> batches.notes(then.minusDays(DAYS_AROUND), then.plusDays(DAYS_AROUND)).stream())
                .toList();
    }

    private static Waterfall fall(List<BatchFile> files, Map<Integer, Integer> lost) {
        return files.stream()
                .map(file -> Waterfall.of(
                        file.state(), lost.getOrDefault(file.batch().number(), 0)))
                .reduce(Waterfall.NOTHING, Waterfall::plus);
    }

    private Map<Integer, Spent> spent(List<BatchFile> files) {
        Rates rate = rates.rates();
        LocalDate today = clock.today();
        Map<TrayId, Container> containers = new HashMap<>();
        trays.all().forEach(tray -> containers.put(tray.trayId(), crops.container(tray.container())));
        return files.stream()
                .collect(Collectors.toMap(
                        file -> file.batch().number(), file -> Spent.of(file.state(), containers::get, rate, today)));
    }

    private static CostView cost(List<BatchFile> files, Map<Integer, Spent> spent) {
        List<BatchFile> gone =
                files.stream().filter(file -> file.plantsAlive() == 0).toList();
        return new CostView(
                files.stream().map(file -> spent.get(file.batch().number())).reduce(Spent.NOTHING, Spent::plus),
                gone.stream()
                        .mapToDouble(file -> spent.get(file.batch().number()).cost())
                        .sum(),
                gone.stream()
                        .mapToInt(file -> file.state().balance().released())
                        .sum());
    }

    private Function<BatchFile, String> name(Together by, GrowingYear year) {
        return switch (by) {
            case CROP -> file -> crops.crop(file.batch().crop()).name();
            case LOT -> file -> seeds.lot(file.lotSown()).code();
            case PLACE ->
                file -> seasons.season().place(file.batch().way().growingOn()).name();
            case MIX ->
                file -> file.state().sowings().values().stream()
                        .findFirst()
                        .map(sowing -> sowing.sown().medium())
                        .orElse("");
            case MONTH ->
                file -> file.state().sownOn().orElseThrow().withDayOfMonth(1).toString();
            case PERSON -> {
                Map<Integer, String> sowers = batches.sowers(year.firstDay(), year.lastDay());
                yield file -> sowers.getOrDefault(file.batch().number(), "");
            }
        };
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
}
