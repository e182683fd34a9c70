package kiver.server.today;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.media.Recipe;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.seed.PacketSays;
import kiver.core.sow.PacketBeside;
import kiver.core.sow.SeedHandling;
import kiver.core.sow.TrayCompany;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.media.MediaBook;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.TrialBook;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** What is to be sown on a day, grouped by mix, container and depth as one hand does it; and what to soak for the next. */
@Component
class SowingList {

    private static final double MILLILITRES_IN_LITRE = 1000;

    private final WorkAhead work;
    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final MediaBook media;
    private final TrialBook trials;
    private final FromTheStore store;
    private final NurseryClock clock;

    SowingList(
            WorkAhead work,
            BatchAnalyst analyst,
            SeasonService seasons,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            MediaBook media,
            TrialBook trials,
            FromTheStore store,
            NurseryClock clock) {
        this.work = work;
        this.analyst = analyst;
        this.seasons = seasons;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.media = media;
        this.trials = trials;
        this.store = store;
        this.clock = clock;
    }

    /**
     * Cells of a tray that wait for a batch's seed.
     *
     * @param trial that gave them to one of its ways; missing where none did
     */
    record RunToSow(
            int tray,
            String code,
            int rows,
            int columns,
            int firstCell,
            int lastCell,
            @Nullable TrialRun trial) {}

    /**
     * A row or tray of a trial.
     *
     * @param name of the trial
     * @param way that these cells got
     * @param firstCell of the row or tray, also when part of it is sown
     */
    record TrialRun(int number, String name, String way, int firstCell) {}

    /**
     * One batch to be sown.
     *
     * @param seeds that it takes
     * @param grams of them
     * @param seedsLeft in its packet
     * @param place where the trays are put, by name
     * @param warmth °C that it is kept at there, on average
     * @param days about how many days until half are up there
     * @param packet what the packet says beside that
     * @param handling what the hand must know
     * @param caution where the work can hurt somebody; empty where it cannot
     */
    record Sowing(
            int batch,
            String variety,
            String crop,
            long lotId,
            String lot,
            String supplier,
            int seedsPerCell,
            int seeds,
            double grams,
            int seedsLeft,
            long placeId,
            String place,
            double warmth,
            double days,
            int soakHours,
            List<PacketBeside> packet,
            List<SeedHandling> handling,
            String caution,
            List<RunToSow> runs) {}

    /**
     * What is sown in one go: the same mix, container and depth.
     *
     * @param recipe by which the mix is usually made; missing where there is no usual one
     * @param litres of it that the cells take
     * @param depth mm of cover
     */
    record Group(
            @Nullable String recipe,
            @Nullable String recipeName,
            ContainerCode container,
            String containerName,
            int trays,
            double litres,
            double depth,
            boolean needsLight,
            List<Sowing> sowings) {}

    /** Seed to be laid in water: the evening before, or where few hours do the same morning. */
    record Soak(int batch, String variety, String lot, int seeds, int hours, LocalDate sowDay) {}

    /**
     * A tray that is shared by crops which do badly together.
     *
     * @param fitting what of the day's sowing would go with the first, and with the second
     */
    record Company(int tray, TrayCompany against, List<GoesTogether> fitting) {}

    /** What goes with a crop in one tray, of what is to be sown the same day in the same container. */
    record GoesTogether(String crop, List<String> with) {}

    /** The day's sowing, and what is fetched for it in walking order. */
    record SowingListView(
            LocalDate day,
            List<Group> groups,
            List<FromTheStore.StoreStop> store,
            List<Soak> soak,
            List<Company> company) {}

    /** The list of a day. */
    SowingListView on(LocalDate day) {
        List<BatchOutlook> batches = toSow(day);
        Map<String, List<Sowing>> sowings = new TreeMap<>();
        Map<Integer, List<TrialBook.TrialUnit>> units = trials.units();
        Map<String, PacketSays> packets = seeds.packets();
        Map<String, BatchOutlook> firsts = new LinkedHashMap<>();
        for (BatchOutlook batch : batches) {
            String key = key(batch);
            firsts.putIfAbsent(key, batch);
            sowings.computeIfAbsent(key, each -> new ArrayList<>())
                    .add(sowing(batch, units.getOrDefault(batch.number(), List.of()), packets));
        }
        List<Group> groups = new ArrayList<>();
        sowings.forEach((key, own) -> groups.add(group(firsts.get(key), own)));
        return new SowingListView(day, groups, store.stops(groups), soak(day), company(batches));
    }

    private List<BatchOutlook> toSow(LocalDate day) {
        Set<Integer> numbers = work.between(day, day).stream()
                .filter(each -> each.kind() == WorkAhead.WorkKind.SOW)
                .map(WorkAhead.Work::batch)
                .collect(Collectors.toCollection(TreeSet::new));
        return analyst.all().stream()
                .filter(batch -> numbers.contains(batch.number())
                        && !batch.file().toSow().isEmpty())
                .sorted(Comparator.comparingInt(BatchOutlook::number))
                .toList();
    }

    private static Container container(BatchOutlook batch) {
        return batch.containers().containers().get(0);
    }

    /** Rising by mix, then container, then depth. */
    private static String key(BatchOutlook batch) {
        return "%s %s %05.1f %s"
                .formatted(
                        use(container(batch)),
                        container(batch).code().written(),
                        batch.crop().seed().depth(),
                        batch.crop().seed().needsLight());
    }

    private static Recipe.Use use(Container container) {
        return container.kind() == Container.Kind.BLOCKS ? Recipe.Use.BLOCKS : Recipe.Use.SOWING;
    }

    private Group group(BatchOutlook first, List<Sowing> sowings) {
        Container container = container(first);
        Recipe recipe = media.usual(use(container)).orElse(null);
        int cells = sowings.stream()
                .flatMap(sowing -> sowing.runs().stream())
                .mapToInt(run -> run.lastCell() - run.firstCell() + 1)
                .sum();
        double packing = recipe == null ? 1 : recipe.handling().packing();
        return new Group(
                recipe == null ? null : recipe.code().written(),
                recipe == null ? null : recipe.name(),
                container.code(),
                container.name(),
                (int) sowings.stream()
                        .flatMap(sowing -> sowing.runs().stream())
                        .map(RunToSow::tray)
                        .distinct()
                        .count(),
                cells
                        * container.cellVolume()
                        / MILLILITRES_IN_LITRE
                        * packing
                        * (1 + media.mixing().waste()),
                first.crop().seed().depth(),
                first.crop().seed().needsLight(),
                sowings);
    }

    private Sowing sowing(BatchOutlook batch, List<TrialBook.TrialUnit> units, Map<String, PacketSays> packets) {
        Crop crop = batch.crop();
        SeedLot lot = seeds.lot(batch.file().batch().lot());
        int seedsPerCell = batch.file().batch().seedsPerCell();
        int taken = batch.file().toSow().stream().mapToInt(CellRun::length).sum() * seedsPerCell;
        double warmth = warmth(batch);
        return new Sowing(
                batch.number(),
                batch.file().batch().variety(),
                crop.name(),
                lot.id().number(),
                lot.code(),
                lot.supplier(),
                seedsPerCell,
                taken,
                taken * crop.seed().thousandSeedWeight() / 1000,
                lot.seedsLeft(),
                batch.way().emergence().number(),
                seasons.placeNames().get(batch.way().emergence()),
                warmth,
                crop.emergence().daysAt(warmth),
                crop.seed().soakHours(),
                PacketBeside.of(
                        packets.getOrDefault(lot.code(), PacketSays.NOTHING),
                        crop,
                        warmth,
                        clock.today().getYear()),
                SeedHandling.of(crop, container(batch), place(batch.way().emergence())),
                crop.planting().caution(),
                batch.file().toSow().stream()
                        .flatMap(run -> runs(run, units).stream())
                        .toList());
    }

    private Place place(PlaceId id) {
        return seasons.season().places().stream()
                .filter(place -> place.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private double warmth(BatchOutlook batch) {
        return seasons.season().meanTemperature(batch.way().emergence(), clock.today(), 7);
    }

    /** The run, or the rows of it that a trial gave to its ways, with what lies between them. */
    private List<RunToSow> runs(CellRun run, List<TrialBook.TrialUnit> units) {
        int newest = units.stream().mapToInt(TrialBook.TrialUnit::trial).max().orElse(0);
        List<RunToSow> runs = new ArrayList<>();
        int next = run.first();
        for (TrialBook.TrialUnit unit : units.stream()
                .filter(each -> each.trial() == newest && each.run().overlaps(run))
                .sorted(Comparator.comparingInt(each -> each.run().first()))
                .toList()) {
            int first = Math.max(next, unit.run().first());
            int last = Math.min(run.last(), unit.run().last());
            if (first > next) {
                runs.add(run(run.tray(), next, first - 1, null));
            }
            runs.add(run(
                    run.tray(),
                    first,
                    last,
                    new TrialRun(
                            unit.trial(), unit.name(), unit.way(), unit.run().first())));
            next = last + 1;
        }
        if (next <= run.last()) {
            runs.add(run(run.tray(), next, run.last(), null));
        }
        return runs;
    }

    private RunToSow run(TrayId id, int first, int last, @Nullable TrialRun trial) {
        Tray tray = trays.tray(id);
        Container container = tray.of(crops.container(tray.container()));
        return new RunToSow(tray.number(), tray.code(), container.rows(), container.columns(), first, last, trial);
    }

    /** What goes into water on the day: of what is sown then, and of what is sown the day after. */
    private List<Soak> soak(LocalDate day) {
        return Stream.of(day, day.plusDays(1))
                .flatMap(sowDay -> toSow(sowDay).stream()
                        .filter(batch -> batch.crop().seed().soakHours() > 0
                                && batch.crop().seed().soakDay(sowDay).equals(day))
                        .map(batch -> {
                            Sowing sowing = sowing(batch, List.of(), Map.of());
                            return new Soak(
                                    batch.number(),
                                    sowing.variety(),
                                    sowing.lot(),
                                    sowing.seeds(),
                                    sowing.soakHours(),
                                    sowDay);
                        }))
                .toList();
    }

    private List<GoesTogether> fitting(List<BatchOutlook> pair, List<BatchOutlook> batches) {
        return pair.stream()
                .map(batch -> new GoesTogether(
                        batch.crop().name(),
                        TrayCompany.fitting(batch.crop(), others(batch, batches), warmth(batch)).stream()
                                .map(Crop::name)
                                .toList()))
                .toList();
    }

    private static List<Crop> others(BatchOutlook batch, List<BatchOutlook> batches) {
        return batches.stream()
                .filter(other -> container(other).equals(container(batch))
                        && other.way().emergence().equals(batch.way().emergence()))
                .map(BatchOutlook::crop)
                .distinct()
                .toList();
    }

    /** Each pair of crops that share a tray and do badly in it. */
    private List<Company> company(List<BatchOutlook> batches) {
        Map<Integer, List<BatchOutlook>> byTray = new TreeMap<>();
        for (BatchOutlook batch : batches) {
            batch.file().toSow().stream()
                    .map(run -> trays.tray(run.tray()).number())
                    .distinct()
                    .forEach(tray -> byTray.computeIfAbsent(tray, each -> new ArrayList<>())
                            .add(batch));
        }
        List<Company> found = new ArrayList<>();
        byTray.forEach((tray, own) -> {
            for (int first = 0; first < own.size(); first++) {
                for (int second = first + 1; second < own.size(); second++) {
                    BatchOutlook one = own.get(first);
                    BatchOutlook other = own.get(second);
                    TrayCompany.between(one.crop(), other.crop(), warmth(one))
                            .forEach(against ->
                                    found.add(new Company(tray, against, fitting(List.of(one, other), batches))));
                }
            }
        });
        return found;
    }
}
