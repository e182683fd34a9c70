package kiver.server.sow;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.outlook.BatchFile;
import kiver.core.sow.TrialCount;
import kiver.core.sow.TwoShares;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Trials: how they lie, and what they tell. */
@RestController
class TrialController {

    private static final int MOST_BATCHES = 12;
    private static final int MOST_WAYS = 6;
    private static final int MOST_PLANTS = 100_000;

    private final TrialBook trials;
    private final TrialMapper mapper;
    private final BatchBook batches;
    private final TrayBook trays;

    TrialController(TrialBook trials, TrialMapper mapper, BatchBook batches, TrayBook trays) {
        this.trials = trials;
        this.mapper = mapper;
        this.batches = batches;
        this.trays = trays;
    }

    /**
     * A trial to be laid out.
     *
     * @param matters the difference between two shares that would matter, 0.02 to 0.5
     * @param seed of the layout; the same draws the same again
     */
    record TrialEntry(
            @NotNull UUID requestId,

            @NotBlank(message = "Enter a name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotNull(message = "Say what is compared.") TrialPractice practice,

            @NotNull(message = "Say which difference would matter.")
            @DecimalMin(value = "0.02", message = "Enter 2 to 50 %.")
            @DecimalMax(value = "0.5", message = "Enter 2 to 50 %.")
            Double matters,

            @NotNull(message = "Name the ways.") @Size(max = MOST_WAYS, message = "At most six ways at once.")
            List<@NotNull(message = "A way has no name.") @Size(max = 60, message = "Use at most 60 letters.") String>
                    ways,

            @NotEmpty(message = "Choose a batch.")
            @Size(max = MOST_BATCHES, message = "At most twelve batches at once.")
            List<@NotNull(message = "A batch is missing.") Integer> batches,

            @NotNull(message = "Say a number to draw the layout from.")
            Long seed) {}

    /** What a hand graded or a grower told. */
    record FindingEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say who told it.") TrialBook.ToldBy toldBy,

            @NotNull(message = "Say how many did well.") @Min(value = 0, message = "Not fewer than none.")
            Integer well,

            @NotNull(message = "Say of how many.")
            @Min(value = 1, message = "Of at least one.")
            @Max(value = MOST_PLANTS, message = "At most 100,000.")
            Integer of) {}

    /** A trial by its number. */
    record TrialNumber(int number) {}

    /** Cells of a tray that a way got. */
    record TrialCells(int batch, int tray, String trayCode, int firstCell, int lastCell) {}

    /**
     * How a way does in one respect, held against the first way.
     *
     * @param well that did well
     * @param of tried
     * @param difference of the shares, less that of the first way; missing for the first, and while nothing is known
     * @param low the difference lies nineteen times in twenty above this
     * @param high and below this
     * @param byChance how often chance alone gives as much, of all ways that are compared; exact
     * @param moreToTell cells more that each would need for a difference that matters to be found four times in five
     */
    record WayShare(
            int well,
            int of,
            @Nullable Double difference,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double byChance,
            @Nullable Integer moreToTell) {}

    /**
     * A way that a trial compares.
     *
     * @param waiting cells in which something may yet come up
     */
    record WayView(
            int position,
            String name,
            List<TrialCells> cells,
            int waiting,
            WayShare emerged,
            WayShare grown,
            @Nullable WayShare graded,
            @Nullable WayShare reported) {}

    /** A trial with what it tells by now. */
    record PracticeTrial(
            int number,
            String name,
            TrialPractice practice,
            double matters,
            long seed,
            LocalDate begunOn,
            List<WayView> ways) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/trials")
    TrialNumber layOut(@Valid @RequestBody TrialEntry entry, @AuthenticationPrincipal Person person) {
        return new TrialNumber(trials.layOut(
                entry.requestId(),
                new TrialBook.Wanted(
                        entry.name(), entry.practice(), entry.matters(), entry.ways(), entry.batches(), entry.seed()),
                person.id()));
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/trials/{number}/ways/{position}/findings")
    void find(
            @PathVariable int number,
            @PathVariable int position,
            @Valid @RequestBody FindingEntry entry,
            @AuthenticationPrincipal Person person) {
        trials.find(entry.requestId(), number, position, entry.toldBy(), entry.well(), entry.of(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/trials")
    List<PracticeTrial> trials() {
        Map<Integer, List<TrialMapper.WayRow>> ways =
                mapper.ways().stream().collect(Collectors.groupingBy(TrialMapper.WayRow::trial));
        List<TrialMapper.CellsRow> cells = mapper.cells();
        List<TrialMapper.FindingRow> findings = mapper.findings();
        Map<Integer, BatchFile> files = new HashMap<>();
        return mapper.trials().stream()
                .map(trial -> view(trial, ways.getOrDefault(trial.number(), List.of()), cells, findings, files))
                .toList();
    }

    private PracticeTrial view(
            TrialMapper.TrialRow trial,
            List<TrialMapper.WayRow> ways,
            List<TrialMapper.CellsRow> cells,
            List<TrialMapper.FindingRow> findings,
            Map<Integer, BatchFile> files) {
        List<WayView> views = new ArrayList<>();
        for (TrialMapper.WayRow way : ways) {
            List<TrialMapper.CellsRow> mine = cells.stream()
                    .filter(row -> row.trial() == trial.number() && row.position() == way.position())
                    .toList();
            TrialCount count = count(mine, files);
            WayView first = views.isEmpty() ? null : views.get(0);
            int compared = Math.max(1, ways.size() - 1);
            views.add(new WayView(
                    way.position(),
                    way.name(),
                    mine.stream().map(this::cells).toList(),
                    count.waiting(),
                    share(count.emerged(), count.cells(), first == null ? null : first.emerged(), trial, compared),
                    share(count.grown(), count.cells(), first == null ? null : first.grown(), trial, compared),
                    found(
                            findings,
                            trial,
                            way,
                            TrialBook.ToldBy.GRADE,
                            first == null ? null : first.graded(),
                            compared),
                    found(
                            findings,
                            trial,
                            way,
                            TrialBook.ToldBy.GROWER,
                            first == null ? null : first.reported(),
                            compared)));
        }
        return new PracticeTrial(
                trial.number(),
                trial.name(),
                TrialPractice.valueOf(trial.practice()),
                trial.matters(),
                trial.seed(),
                trial.begunOn(),
                views);
    }

    private TrialCount count(List<TrialMapper.CellsRow> rows, Map<Integer, BatchFile> files) {
        TrialCount sum = new TrialCount(0, 0, 0, 0);
        Map<Integer, List<CellRun>> byBatch = rows.stream()
                .collect(Collectors.groupingBy(
                        TrialMapper.CellsRow::batch,
                        Collectors.mapping(
                                row -> new CellRun(new TrayId(row.trayId()), row.firstCell(), row.lastCell()),
                                Collectors.toList())));
        for (Map.Entry<Integer, List<CellRun>> each : byBatch.entrySet()) {
            BatchFile file = files.computeIfAbsent(each.getKey(), batches::file);
            sum = sum.plus(TrialCount.of(file.state(), each.getValue()));
        }
        return sum;
    }

    private TrialCells cells(TrialMapper.CellsRow row) {
        Tray tray = trays.tray(new TrayId(row.trayId()));
        return new TrialCells(row.batch(), tray.number(), tray.code(), row.firstCell(), row.lastCell());
    }

    private static @Nullable WayShare found(
            List<TrialMapper.FindingRow> findings,
            TrialMapper.TrialRow trial,
            TrialMapper.WayRow way,
            TrialBook.ToldBy toldBy,
            @Nullable WayShare first,
            int compared) {
        return findings.stream()
                .filter(row -> row.trial() == trial.number()
                        && row.position() == way.position()
                        && row.toldBy().equals(toldBy.name()))
                .findFirst()
                .map(row -> share(row.well(), row.ofPlants(), first, trial, compared))
                .orElse(null);
    }

    /** Where several ways are held against the first, chance has as many tries, and is counted as often (Bonferroni). */
    private static WayShare share(
            int well, int of, @Nullable WayShare first, TrialMapper.TrialRow trial, int compared) {
        if (first == null || of == 0 || first.of() == 0) {
            return new WayShare(well, of, null, null, null, null, null);
        }
        TwoShares two = new TwoShares(well, of, first.well(), first.of());
        TwoShares.Interval interval = two.newcombe();
        return new WayShare(
                well,
                of,
                two.difference(),
                interval.low(),
                interval.high(),
                Math.min(1, compared * two.boschloo()),
                two.moreToTell(trial.matters()));
    }
}
