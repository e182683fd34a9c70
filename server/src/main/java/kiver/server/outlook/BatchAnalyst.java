package kiver.server.outlook;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Crop;
import kiver.core.growth.GrowingYear;
import kiver.core.growth.Season;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.LookingAhead;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.kept.Kept;
import kiver.server.limit.Limits;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.space.BatchOutlooks;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Works out how batches stand, from their records, the temperatures they had and the season ahead. */
@Service
public class BatchAnalyst implements BatchOutlooks {

    private static final Logger LOG = LoggerFactory.getLogger(BatchAnalyst.class);

    private final BatchBook batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final CropBook crops;
    private final SeedStore seeds;
    private final LotKnowledge lots;
    private final TrayBook trays;
    private final EveningBook evenings;
    private final Map<Integer, KeptOne> kept = new ConcurrentHashMap<>();

    /** An analysis with all that it rests on. */
    private record KeptOne(BatchFile file, Season season, Germination germination, Kind kind, BatchOutlook analysis) {

        /** The same season and record are the same objects: they are only ever replaced. */
        boolean restsOn(BatchFile otherFile, Season otherSeason, Germination otherGermination, Kind otherKind) {
            return season == otherSeason
                    && file.state() == otherFile.state()
                    && file.batch().equals(otherFile.batch())
                    && file.runs().equals(otherFile.runs())
                    && file.roomOfTrays().equals(otherFile.roomOfTrays())
                    && file.promises().equals(otherFile.promises())
                    && germination.equals(otherGermination)
                    && kind.equals(otherKind);
        }
    }

    /** What is grown and in what, as their sheets stand. */
    private record Kind(Crop crop, ContainerPath containers) {}

    /** All analyses, with the mark of what they rest on. */
    private record KeptAll(String mark, Season season, List<BatchOutlook> analyses) {}

    private volatile KeptAll keptAll;

    BatchAnalyst(
            BatchBook batches,
            SeasonService seasons,
            NurseryClock clock,
            CropBook crops,
            SeedStore seeds,
            LotKnowledge lots,
            TrayBook trays,
            EveningBook evenings) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.crops = crops;
        this.seeds = seeds;
        this.lots = lots;
        this.trays = trays;
        this.evenings = evenings;
    }

    /** All batches as they stand today; worked out anew only when something has changed. */
    @Override
    public List<BatchOutlook> all() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        String mark = batches.mark();
        KeptAll present = keptAll;
        if (present != null && present.season() == season && present.mark().equals(mark)) {
            return present.analyses();
        }
        Set<Integer> safe = evenings.safeOn(today);
        List<BatchOutlook> analyses = analyseAll(season, today).stream()
                .map(batch -> batch.night(season, today.plusDays(1))
                        .filter(night -> night.isTooCold()
                                && !safe.contains(batch.file().batch().number()))
                        .map(night -> batch.losingTonight(night.likelyLoss()))
                        .orElse(batch))
                .toList();
        if (!Kept.writing()) {
            keptAll = new KeptAll(mark, season, analyses);
        }
        return analyses;
    }

    private List<BatchOutlook> analyseAll(Season season, LocalDate today) {
        List<BatchFile> files = batches.files();
        Map<LotId, SeedLot> lotsById =
                seeds.lotsAndConsignments().stream().collect(Collectors.toMap(SeedLot::id, lot -> lot));
        LotKnowledge.OfAll known = lots.ofAll(files);
        LookingAhead ahead = lookingAhead(season, today);
        kept.keySet()
                .retainAll(files.stream().map(file -> file.batch().number()).collect(Collectors.toSet()));
        // Each batch is worked out by itself; nothing in here asks the database.
        return files.parallelStream()
                .map(file -> {
                    try {
                        requirePlausible(file.batch());
                        SeedLot lot = lotsById.get(file.lotSown());
                        Germination germination =
                                known.germination(lot, today, file.batch().number());
                        return keptOrNew(file, germination, ahead);
                    } catch (RuntimeException wrong) {
                        LOG.error("Batch {} cannot be worked out", file.batch().number(), wrong);
                        return BatchOutlook.notComputable(
                                file, kindOf(file).crop(), kindOf(file).containers());
                    }
                })
                .toList();
    }

    /** Days that no season can hold come from an older version or from other hands than Kiver's. */
    private static void requirePlausible(Batch batch) {
        Limits.day(batch.sowDay());
        Limits.day(batch.target());
    }

    private Kind kindOf(BatchFile file) {
        Batch batch = file.batch();
        return new Kind(
                crops.crop(file.descent(), file.batch().number()),
                new ContainerPath(
                        batch.containerPath(),
                        batch.containerCodes().stream().map(crops::container).toList()));
    }

    /** One batch as it stands today, put away or not. */
    public BatchOutlook one(int number) {
        return all().stream()
                .filter(batch -> batch.file().batch().number() == number)
                .findFirst()
                .orElseGet(() -> putAway(batches.file(number)));
    }

    /** The batches that are promised to any of these lines as they stand today, those that are put away among them. */
    public List<BatchOutlook> of(Collection<LineId> lines) {
        Map<Integer, BatchOutlook> inHand = all().stream()
                .collect(Collectors.toMap(batch -> batch.file().batch().number(), Function.identity()));
        return batches.filesOf(lines).stream()
                .map(file ->
                        Optional.ofNullable(inHand.get(file.batch().number())).orElseGet(() -> putAway(file)))
                .toList();
    }

    /** The batches of a growing year that are put away. */
    public List<BatchOutlook> putAway(GrowingYear year) {
        return batches.filesPutAway(year).stream().map(this::putAway).toList();
    }

    /** One that is put away is read and not worked out. */
    private BatchOutlook putAway(BatchFile file) {
        Kind kind = kindOf(file);
        return BatchOutlook.over(file, kind.crop(), kind.containers());
    }

    /** A batch as it would stand, were it planned or promised otherwise; nothing of this is kept. */
    @Override
    public BatchOutlook trial(BatchFile otherwise) {
        LocalDate today = clock.today();
        int number = otherwise.batch().number();
        KeptOne present = kept.get(number);
        Germination germination = present == null
                ? lots.germination(seeds.lot(otherwise.lotSown()), today, batches.files(), number)
                : present.germination();
        return analyse(otherwise, germination, kindOf(otherwise), lookingAhead(seasons.season(today), today));
    }

    private BatchOutlook keptOrNew(BatchFile file, Germination germination, LookingAhead ahead) {
        int number = file.batch().number();
        Kind kind = kindOf(file);
        KeptOne present = kept.get(number);
        if (present != null && present.restsOn(file, ahead.season(), germination, kind)) {
            return present.analysis();
        }
        BatchOutlook analysis = analyse(file, germination, kind, ahead);
        kept.put(number, new KeptOne(file, ahead.season(), germination, kind, analysis));
        return analysis;
    }

    private LookingAhead lookingAhead(Season season, LocalDate today) {
        return new LookingAhead(
                season, today, trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::container)));
    }

    private static BatchOutlook analyse(BatchFile file, Germination germination, Kind kind, LookingAhead ahead) {
        return file.state().stage() == BatchStage.RELEASED
                ? BatchOutlook.over(file, kind.crop(), kind.containers())
                : ahead.of(file, germination, kind.crop(), kind.containers());
    }
}
