package kiver.server.water;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.care.AfterSowing;
import kiver.core.care.Drinking;
import kiver.core.care.DryingLesson;
import kiver.core.care.DryingPace;
import kiver.core.care.TrayWeight;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterRecord;
import kiver.core.care.WaterSeen;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonsInUse;
import kiver.core.crop.Thirst;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.PlaceId;
import kiver.core.today.Round;
import kiver.core.tray.TrayId;
import kiver.server.care.WaterBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.LessonBook;
import kiver.server.growth.SeasonService;
import kiver.server.learning.DryingTold;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Which trays want water, which a look, and which are left alone. */
@Component
public class WaterRound implements DryingTold {

    private static final int DAYS_BACK = 14;
    private static final int DAYS_LEARNT_FROM = 21;

    private static final int WARMTH_DAYS = 3;

    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final TrayBook trays;
    private final CropBook crops;
    private final WaterBook water;
    private final NurseryClock clock;
    private final LessonBook lessons;
    private Lesson lesson = new Lesson(-1, null, Map.of(), DryingPace.learnt(Map.of()), Map.of());

    /** What was gathered last, with all that it rests on; the outlooks are the same ones while nothing has changed. */
    private record Gathered(
            List<BatchOutlook> batches,
            Map<TrayId, List<Share>> byTray,
            Map<TrayId, Tray> trays,
            Map<String, TrayWeight> weights,
            LocalDate day,
            List<Standing> standing) {}

    private volatile Gathered gathered;

    WaterRound(
            BatchAnalyst analyst,
            SeasonService seasons,
            TrayBook trays,
            CropBook crops,
            WaterBook water,
            NurseryClock clock,
            LessonBook lessons) {
        this.lessons = lessons;
        this.analyst = analyst;
        this.seasons = seasons;
        this.trays = trays;
        this.crops = crops;
        this.water = water;
        this.clock = clock;
    }

    /** Trays that dry alike. */
    public record Group(ContainerCode container, CropCode crop, PlaceId place) {}

    /** What was learnt, as of the newest weighing and of the season in which it was. */
    private record Lesson(
            long weighings,
            @Nullable Season season,
            Map<String, TrayWeight> weights,
            DryingPace.Learnt<Group> learnt,
            Map<CropCode, Set<Integer>> batches) {}

    /**
     * A tray in which something grows or is to come up.
     *
     * @param batch most of it; of several the one with the most cells
     * @param plants that are up
     * @param filled day on which it was sown, potted or taken in, and watered to full
     */
    public record Standing(
            Tray tray,
            Container container,
            BatchOutlook batch,
            Thirst thirst,
            int plants,
            TrayWeight weight,
            Group group,
            WaterRecord.ByDay drinking,
            Optional<AfterSowing> untilUp,
            LocalDate filled) {

        WaterCall.Tray asked() {
            return WaterCall.Tray.of(thirst, untilUp, batch.leavesNow());
        }
    }

    /** A tray with what it wants. */
    public record Called(Standing standing, WaterRecord record, DryingPace pace, WaterCall call) {

        /** Whether anybody noted anything, beside the water that it got with its seed or at its potting. */
        public boolean isNoted() {
            LocalDateTime filled = standing.filled().atTime(LocalTime.NOON);
            return record.seen().stream().anyMatch(each -> !each.at().equals(filled));
        }

        /** When it wants somebody once more today; not said of one that is to be looked at first. */
        public Optional<LocalDateTime> again() {
            return call.advice() == WaterCall.Advice.LOOK ? Optional.empty() : call.again();
        }

        public Optional<LocalDateTime> lastSeen() {
            return record.seen().isEmpty()
                    ? Optional.empty()
                    : Optional.of(record.seen().get(record.seen().size() - 1).at());
        }
    }

    @Override
    public List<DryingLesson> lessons() {
        Season season = seasons.season();
        LocalDateTime now = clock.now();
        Lesson told = learnt(standing(season), season, now);
        return told.learnt().byGroup().entrySet().stream()
                .collect(Collectors.groupingBy(
                        each -> each.getKey().crop(), Collectors.mapping(Map.Entry::getValue, Collectors.toList())))
                .entrySet()
                .stream()
                .map(each -> DryingLesson.of(
                        each.getKey(),
                        each.getValue(),
                        told.batches().getOrDefault(each.getKey(), Set.of()).size()))
                .toList();
    }

    /** Every tray that stands somewhere, with what it wants now. */
    public List<Called> calls() {
        return calls(clock.now());
    }

    private List<Called> calls(LocalDateTime now) {
        Season season = seasons.season();
        AirAlongTheWay air = new AirAlongTheWay(season, now.toLocalDate(), DAYS_BACK);
        Map<Integer, List<WaterBook.Seen>> seen = water.since(now.minusDays(DAYS_BACK));
        List<Standing> standing = standing(season);
        DryingPace.Learnt<Group> learnt = learnt(standing, season, now).learnt();
        LessonsInUse inUse = lessons.inUse();
        LocalDateTime next = now.toLocalDate().plusDays(1).atTime(Round.BEGINS);
        List<Called> calls = new ArrayList<>();
        for (Standing each : standing) {
            WaterRecord record = new WaterRecord(
                    sightings(each, seen.getOrDefault(each.tray().number(), List.of()), now),
                    each.drinking(),
                    air.around(each));
            DryingPace pace =
                    inUse.drying(each.group().crop()).map(DryingLesson::held).orElseGet(() -> learnt.of(each.group()));
            calls.add(new Called(
                    each, record, pace, WaterCall.of(each.asked(), record, pace, notBefore(record, now), next)));
        }
        return calls;
    }

    /** The record of a tray as it stands, with the air of its places. */
    public WaterRecord record(Standing standing) {
        LocalDateTime now = clock.now();
        return new WaterRecord(
                sightings(
                        standing,
                        water.since(now.minusDays(DAYS_BACK))
                                .getOrDefault(standing.tray().number(), List.of()),
                        now),
                standing.drinking(),
                new AirAlongTheWay(seasons.season(), now.toLocalDate(), DAYS_BACK).around(standing));
    }

    /** What was noted, and before that the water that a tray got with its seed or at its potting. */
    public static List<WaterRecord.Sighting> sightings(
            Standing standing, List<WaterBook.Seen> seen, LocalDateTime now) {
        List<WaterRecord.Sighting> noted = WaterBook.sightings(seen, standing.weight());
        LocalDateTime filled = standing.filled().atTime(LocalTime.NOON);
        boolean tells = filled.isAfter(now.minusDays(DAYS_BACK))
                && filled.isBefore(now)
                && noted.stream().noneMatch(each -> each.at().isBefore(filled));
        return tells
                ? Stream.concat(
                                Stream.of(new WaterRecord.Sighting(filled, new WaterSeen.Watered(WaterSeen.How.ABOVE))),
                                noted.stream())
                        .toList()
                : noted;
    }

    /** What was noted on a phone whose clock goes ahead is not to come yet. */
    private static LocalDateTime notBefore(WaterRecord record, LocalDateTime now) {
        if (record.seen().isEmpty()) {
            return now;
        }
        LocalDateTime last = record.seen().get(record.seen().size() - 1).at();
        return last.isAfter(now) ? last : now;
    }

    /** The trays in which something stands or is to come up, by number; gathered anew when anything of them has changed. */
    public List<Standing> standing(Season season) {
        List<BatchOutlook> batches = analyst.all();
        Gathered present = gathered;
        Map<TrayId, List<Share>> byTray =
                present != null && present.batches() == batches ? present.byTray() : byTray(batches);
        Map<TrayId, Tray> known = trays.trays(byTray.keySet());
        Map<String, TrayWeight> weights = water.weights();
        if (present != null
                && present.batches() == batches
                && present.trays().equals(known)
                && present.weights().equals(weights)
                && present.day().equals(clock.today())) {
            return present.standing();
        }
        Map<PlaceId, Double> warmth = new HashMap<>();
        List<Standing> standing = new ArrayList<>();
        byTray.forEach((id, shares) -> standing.add(standing(
                known.get(id),
                shares,
                weights,
                place -> warmth.computeIfAbsent(
                        place, each -> season.meanTemperature(each, clock.today(), WARMTH_DAYS)))));
        gathered = new Gathered(batches, byTray, known, weights, clock.today(), List.copyOf(standing));
        return standing;
    }

    private static Map<TrayId, List<Share>> byTray(List<BatchOutlook> batches) {
        Map<TrayId, List<Share>> byTray = new TreeMap<>((one, other) -> Long.compare(one.number(), other.number()));
        for (BatchOutlook batch : batches) {
            boolean over = batch.stage() == BatchStage.RELEASED || batch.stage() == BatchStage.FAILED;
            if (!over && batch.trouble().isEmpty()) {
                shares(batch)
                        .forEach((tray, share) -> byTray.computeIfAbsent(tray, each -> new ArrayList<>())
                                .add(share));
            }
        }
        return byTray;
    }

    /** What a batch has in a tray: cells in which something is up, and those that wait. */
    private record Share(BatchOutlook batch, int up, int waiting) {
        int cells() {
            return up + waiting;
        }
    }

    /** In one pass over its cells: there may be thousands. */
    private static Map<TrayId, Share> shares(BatchOutlook batch) {
        Map<TrayId, Share> shares = new HashMap<>();
        batch.file().state().cells().forEach((cell, state) -> {
            int up = state.condition() == CellCondition.ALIVE ? 1 : 0;
            int waiting = state.condition() == CellCondition.WAITING ? 1 : 0;
            if (up + waiting > 0) {
                shares.merge(
                        cell.tray(),
                        new Share(batch, up, waiting),
                        (one, other) -> new Share(batch, one.up() + other.up(), one.waiting() + other.waiting()));
            }
        });
        return shares;
    }

    private Standing standing(
            Tray tray, List<Share> shares, Map<String, TrayWeight> weights, ToDoubleFunction<PlaceId> warmth) {
        TrayId id = tray.trayId();
        BatchOutlook most = shares.stream()
                .reduce((one, other) -> other.cells() > one.cells() ? other : one)
                .orElseThrow()
                .batch();
        Container whole = crops.container(tray.container());
        Container container = tray.of(whole);
        PlaceId place = most.file().state().placeOf(id).orElse(most.place());
        TrayWeight weight = WaterBook.weight(weights, whole, container);
        double area = container.area();
        int up = shares.stream().mapToInt(Share::up).sum();
        AfterSowing waiting = AfterSowing.of(container, most.crop().seed().needsLight(), warmth.applyAsDouble(place));
        return new Standing(
                tray,
                container,
                most,
                shares.stream()
                        .map(share -> share.batch().crop().cells().thirst())
                        .max(Thirst::compareTo)
                        .orElseThrow(),
                up,
                weight,
                new Group(container.code(), most.crop().code(), place),
                drinking(area, weight.held(), most, up, waiting == AfterSowing.SPRAYED_DAILY),
                up > 0 ? Optional.empty() : Optional.of(waiting),
                filled(most, id));
    }

    /** By day, since leaves grow and the cover comes off when something shows; kept, since rounds ask for the same days. */
    private WaterRecord.ByDay drinking(double area, double held, BatchOutlook batch, int plants, boolean everOpen) {
        LocalDate today = clock.today();
        LocalDate shows = batch.file().state().cellsUp().entrySet().stream()
                .filter(count -> count.getValue() > 0)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(plants > 0 ? LocalDate.MIN : LocalDate.MAX);
        Map<LocalDate, Drinking> byDay = new ConcurrentHashMap<>();
        return on -> byDay.computeIfAbsent(on, day -> {
            boolean up = plants > 0 && !day.isBefore(shows);
            double leaves = up ? Drinking.leafArea(plants, batch.leavesOn(day, today), area) : 0;
            return new Drinking(area, held, leaves, up || everOpen);
        });
    }

    private static LocalDate filled(BatchOutlook batch, TrayId tray) {
        return batch.file().state().sowings().values().stream()
                .filter(sowing -> sowing.sown().run().tray().equals(tray))
                .map(BatchState.Sowing::day)
                .max(LocalDate::compareTo)
                .or(() -> batch.file().state().lastPottedOn())
                .orElse(batch.began());
    }

    /** What was noted of a tray before it was carried to where it stands was told in another air. */
    private static List<WaterBook.Seen> sinceItCame(Standing standing, List<WaterBook.Seen> seen) {
        LocalDate came = standing.batch().file().state().placements().stream()
                .map(BatchState.Placement::from)
                .max(LocalDate::compareTo)
                .orElse(LocalDate.MIN);
        return seen.stream()
                .filter(each -> !each.at().toLocalDate().isBefore(came))
                .toList();
    }

    /** Learnt anew when something more was weighed, a container was, or the season was made anew, as every day. */
    @SuppressWarnings("ReferenceEquality")
    private synchronized Lesson learnt(List<Standing> standing, Season season, LocalDateTime now) {
        long weighings = water.weighings();
        Map<String, TrayWeight> weights = water.weights();
        if (lesson.weighings() != weighings
                || lesson.season() != season
                || !lesson.weights().equals(weights)) {
            AirAlongTheWay air = new AirAlongTheWay(season, now.toLocalDate(), DAYS_LEARNT_FROM);
            Map<Integer, List<WaterBook.Seen>> seen = water.since(now.minusDays(DAYS_LEARNT_FROM));
            Map<Group, List<DryingPace.Dried>> dried = new HashMap<>();
            Map<CropCode, Set<Integer>> batches = new HashMap<>();
            for (Standing each : standing) {
                List<WaterBook.Seen> own =
                        sinceItCame(each, seen.getOrDefault(each.tray().number(), List.of()));
                if (each.untilUp().isEmpty() && own.stream().anyMatch(one -> one.kind() == WaterBook.Kind.WEIGHED)) {
                    batches.computeIfAbsent(each.group().crop(), crop -> new HashSet<>())
                            .add(each.batch().number());
                    dried.computeIfAbsent(each.group(), group -> new ArrayList<>())
                            .addAll(new WaterRecord(
                                            WaterBook.sightings(own, each.weight()), each.drinking(), air.around(each))
                                    .dried());
                }
            }
            lesson = new Lesson(weighings, season, weights, DryingPace.learnt(dried), batches);
        }
        return lesson;
    }
}
