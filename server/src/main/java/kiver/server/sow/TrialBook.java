package kiver.server.sow;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.Container;
import kiver.core.outlook.BatchFile;
import kiver.core.sow.TrialLayout;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.HeldLayouts;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lays trials out over rows or trays, and keeps them with what was found. */
@Component
public class TrialBook implements HeldLayouts {

    private static final int FEWEST_WAYS = 2;

    private final TrialMapper mapper;
    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final Requests requests;
    private final NurseryClock clock;

    TrialBook(
            TrialMapper mapper,
            BatchBook batches,
            TrayBook trays,
            CropBook crops,
            Requests requests,
            NurseryClock clock) {
        this.mapper = mapper;
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * A trial to be laid out.
     *
     * @param name what people call it
     * @param practice that it compares
     * @param matters the difference between two shares that would matter, 0 to 1
     * @param ways names of what is compared, the usual way first; two or more, none twice
     * @param batches that it lies in, of one variety and lot; where trials compare sowings, one for each way, in their order
     * @param seed of the layout; the same draws the same again
     */
    public record Wanted(
            String name, TrialPractice practice, double matters, List<String> ways, List<Integer> batches, long seed) {}

    /**
     * Lays a trial out.
     *
     * @return its number
     * @throws Refusal when there is too little to share out, or what is compared is not the same seed
     */
    @Transactional
    public int layOut(UUID requestId, Wanted wanted, @Nullable Long by) {
        return (int) requests.once(requestId, Arrays.asList("trial", wanted, by), () -> {
            requireWays(wanted.ways());
            List<BatchFile> files =
                    wanted.batches().stream().distinct().map(batches::file).toList();
            requireOneLot(files);
            List<List<Share>> shares = shares(wanted, files);
            int trial = mapper.add(
                    wanted.name().strip(),
                    wanted.practice().name(),
                    wanted.matters(),
                    wanted.seed(),
                    clock.today(),
                    by);
            for (int way = 0; way < shares.size(); way++) {
                int position = way + 1;
                mapper.addWay(new TrialMapper.WayRow(
                        trial, position, wanted.ways().get(way).strip()));
                shares.get(way)
                        .forEach(share -> mapper.addCells(new TrialMapper.CellsRow(
                                trial,
                                position,
                                share.batch(),
                                share.run().tray().number(),
                                share.run().first(),
                                share.run().last())));
            }
            return trial;
        });
    }

    /** A row or tray of a batch. */
    private record Share(int batch, CellRun run) {}

    private static void requireWays(List<String> ways) {
        Set<String> names = new HashSet<>();
        ways.forEach(way -> {
            if (way.isBlank() || !names.add(way.strip().toLowerCase(Locale.ROOT))) {
                throw new Refusal("ways", Said.of("Give each way a name of its own."));
            }
        });
        if (ways.size() < FEWEST_WAYS) {
            throw new Refusal("ways", Said.of("A trial compares two ways or more; say what with what."));
        }
    }

    private static void requireOneLot(List<BatchFile> files) {
        if (files.stream().map(BatchFile::lotSown).distinct().count() > 1) {
            throw new Refusal(
                    "batches",
                    Said.of(
                            "These batches are not of one seed lot, so seed and practice could not be told apart. Choose batches of the same lot."));
        }
    }

    /** One batch for each way is a trial of sowings; otherwise the rows or trays of all are shared out by lot. */
    private List<List<Share>> shares(Wanted wanted, List<BatchFile> files) {
        int ways = wanted.ways().size();
        if (wanted.practice() == TrialPractice.SOWN_LATER) {
            if (files.size() != ways) {
                throw new Refusal(
                        "batches",
                        Said.of("Sown at different times, each way is a batch of its own: name one for each."));
            }
            return files.stream().map(file -> allOf(file)).toList();
        }
        List<Share> units = files.stream()
                .flatMap(file -> allOf(file).stream())
                .flatMap(share -> wanted.practice().wholeTrays() ? List.of(share).stream() : rows(share).stream())
                .toList();
        if (units.size() < ways) {
            throw new Refusal(
                    "batches",
                    Said.of(
                                    "There {units, plural, one {is # {trays, select, true {tray} other {row}}} other {are # {trays, select, true {trays} other {rows}}}} to be shared by {ways} ways. A trial needs at least one for each; one cell tells nothing.")
                            .with("units", units.size())
                            .when("trays", wanted.practice().wholeTrays())
                            .with("ways", ways));
        }
        return TrialLayout.layOut(units.stream().map(Share::run).toList(), ways, new SplittableRandom(wanted.seed()))
                .stream()
                .map(runs -> runs.stream()
                        .map(run -> units.stream()
                                .filter(unit -> unit.run().equals(run))
                                .findFirst()
                                .orElseThrow())
                        .toList())
                .toList();
    }

    /** The trays, or parts of them, that a batch was sown in or is to be. */
    private static List<Share> allOf(BatchFile file) {
        List<CellRun> runs = new ArrayList<>(file.state().sowings().values().stream()
                .map(sowing -> sowing.sown().run())
                .toList());
        runs.addAll(file.toSow());
        return runs.stream()
                .sorted((one, other) -> {
                    int byTray = Long.compare(one.tray().number(), other.tray().number());
                    return byTray != 0 ? byTray : Integer.compare(one.first(), other.first());
                })
                .map(run -> new Share(file.batch().number(), run))
                .toList();
    }

    private List<Share> rows(Share share) {
        TrayId tray = share.run().tray();
        Container container = crops.container(trays.tray(tray).container());
        int columns = container.columns();
        int firstRow = (share.run().first() - 1) / columns;
        int lastRow = (share.run().last() - 1) / columns;
        return IntStream.rangeClosed(firstRow, lastRow)
                .mapToObj(row -> new Share(
                        share.batch(),
                        new CellRun(
                                tray,
                                Math.max(share.run().first(), row * columns + 1),
                                Math.min(share.run().last(), (row + 1) * columns))))
                .toList();
    }

    /**
     * Cells of a batch that a trial gave to one of its ways.
     *
     * @param trial its number
     * @param name of the trial
     * @param way that it compares
     */
    public record TrialUnit(int trial, String name, String way, CellRun run) {}

    /** What trials gave cells of which ways, by the number of their batch; the newest trial first. */
    public Map<Integer, List<TrialUnit>> units() {
        Map<Integer, String> names = mapper.trials().stream()
                .collect(Collectors.toMap(TrialMapper.TrialRow::number, TrialMapper.TrialRow::name));
        Map<List<Integer>, String> ways = mapper.ways().stream()
                .collect(Collectors.toMap(way -> List.of(way.trial(), way.position()), TrialMapper.WayRow::name));
        return mapper.cells().stream()
                .sorted(Comparator.comparingInt(TrialMapper.CellsRow::trial).reversed())
                .collect(Collectors.groupingBy(
                        TrialMapper.CellsRow::batch,
                        Collectors.mapping(
                                cells -> new TrialUnit(
                                        cells.trial(),
                                        names.get(cells.trial()),
                                        ways.get(List.of(cells.trial(), cells.position())),
                                        new CellRun(new TrayId(cells.trayId()), cells.firstCell(), cells.lastCell())),
                                Collectors.toList())));
    }

    @Override
    public Optional<String> trialOf(int batch) {
        return units().getOrDefault(batch, List.of()).stream()
                .map(TrialUnit::name)
                .findFirst();
    }

    /** Who told of plants of a way. */
    enum ToldBy {
        GRADE,
        GROWER
    }

    /** Notes that of so many plants of a way so many did well. */
    @Transactional
    void find(UUID requestId, int trial, int position, ToldBy toldBy, int well, int of, Long by) {
        if (mapper.ways().stream().noneMatch(way -> way.trial() == trial && way.position() == position)) {
            throw new NotFound(Said.of("There is no such way of a trial."));
        }
        if (well > of) {
            throw new Refusal(
                    "well",
                    Said.of("Of {of} plants {well} cannot have done well.")
                            .with("of", of)
                            .with("well", well));
        }
        requests.once(requestId, Arrays.asList("finding", trial, position, toldBy, well, of, by), () -> {
            mapper.addFinding(requestId, trial, position, toldBy.name(), well, of, clock.today(), by);
            return trial;
        });
    }
}
