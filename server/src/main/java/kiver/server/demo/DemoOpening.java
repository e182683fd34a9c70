package kiver.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import kiver.core.care.FeedClock;
import kiver.core.care.FeedProduct;
import kiver.core.care.FeedSchool;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.LayingOut;
import kiver.server.care.FeedBook;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.promise.PromiseService;
import kiver.server.sow.TrialBook;
import kiver.server.sow.TrialPractice;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** The last of the demonstration's winter: plants for the stall by the gate, and a grower who asks for several kinds at once. */
@Component
class DemoOpening {

    private static final LocalDate FOR = LocalDate.of(2027, 6, 11);
    private static final String FOR_THE_STALL = "Low Ember";
    private static final String ASKING = "Fennick Flowers";
    private static final int TRAYS_TO_COMPARE = 4;
    private static final int SURELY_NOT_BEGUN = 9;
    private static final int DAYS_APART = 7;
    private static final List<String> HERBS_FOR_THE_STALL = List.of("Hill Carpet", "Creeping Hollow");
    private static final long FOUNDER = 1;
    private static final int DAYS_BETWEEN_FEEDS = 7;
    private static final List<String> ASKED = List.of("White Skein", "Blue Pincushion", "Dry Harbour");

    private final PromiseService promises;
    private final CropBook crops;
    private final OrderBook orders;
    private final BatchBook batches;
    private final TrialBook trials;
    private final FeedBook feeds;
    private final LayingOut layingOut;
    private final TrayBook trays;

    DemoOpening(
            PromiseService promises,
            CropBook crops,
            OrderBook orders,
            BatchBook batches,
            TrialBook trials,
            FeedBook feeds,
            LayingOut layingOut,
            TrayBook trays) {
        this.layingOut = layingOut;
        this.trays = trays;
        this.batches = batches;
        this.trials = trials;
        this.feeds = feeds;
        this.promises = promises;
        this.crops = crops;
        this.orders = orders;
    }

    /** Taken once, however often the demonstration is started on that day. */
    void live() {
        int spares = promises.sowForNobody(id("for the stall"), wish(FOR_THE_STALL, 90, null));
        long grower = orders.growers().stream()
                .filter(each -> each.name().equals(ASKING))
                .findFirst()
                .orElseThrow()
                .id();
        Site site = orders.sites().stream()
                .filter(each -> each.growerId() == grower)
                .findFirst()
                .orElseThrow();
        List<PromiseService.LineWish> lines = new ArrayList<>();
        lines.add(new PromiseService.LineWish(wish(FOR_THE_STALL, 40, site.id()), spares, null));
        ASKED.forEach(variety -> lines.add(new PromiseService.LineWish(wish(variety, 30, site.id()), null, null)));
        promises.accept(id("several kinds"), grower, site.id(), lines, null);
        HERBS_FOR_THE_STALL.forEach(variety -> promises.sowForNobody(id("stall " + variety), wish(variety, 15, null)));
        compareWaysOfWatering();
        feed();
        shareAndCutTrays();
    }

    /** Of what is sown later than next week two small sowings that fit share a tray, and a tray is cut to fit. */
    private void shareAndCutTrays() {
        List<BatchFile> small = batches.files().stream()
                .filter(file -> file.runs().size() == 1
                        && file.state().sownOn().isEmpty()
                        && !file.batch().isBoughtIn()
                        && file.batch().sowDay().isAfter(DemoNursery.OPENING_DAY.plusDays(SURELY_NOT_BEGUN)))
                .sorted(Comparator.comparing((BatchFile file) -> file.batch().sowDay())
                        .thenComparing(file -> file.batch().number()))
                .toList();
        small.stream()
                .flatMap(first -> small.stream()
                        .filter(second -> !first.equals(second) && fitTogether(first, second))
                        .map(second -> new Pair(first, second)))
                .findFirst()
                .ifPresent(this::share);
        small.stream()
                .filter(file -> batches.filesIn(tray(file)).size() == 1)
                .findFirst()
                .ifPresent(this::cut);
    }

    /** Two small sowings, of which the second goes into the first one's tray. */
    private record Pair(BatchFile first, BatchFile second) {}

    private static TrayId tray(BatchFile file) {
        return file.runs().get(0).tray();
    }

    private void share(Pair pair) {
        int next = pair.first().runs().get(0).last() + 1;
        layingOut.layOut(
                id("share"),
                pair.second().batch().number(),
                trays.tray(tray(pair.first())).number(),
                next,
                next + pair.second().runs().get(0).length() - 1,
                FOUNDER);
    }

    /** Behind the last row that is sown. */
    private void cut(BatchFile file) {
        Tray tray = trays.tray(tray(file));
        Container container = tray.of(crops.container(tray.container()));
        int rows = (file.runs().get(0).last() + container.columns() - 1) / container.columns();
        if (rows < container.rows()) {
            layingOut.cut(id("cut"), tray.number(), rows, FOUNDER);
        }
    }

    private boolean fitTogether(BatchFile first, BatchFile second) {
        CellRun one = first.runs().get(0);
        CellRun other = second.runs().get(0);
        Tray tray = trays.tray(one.tray());
        return Math.abs(ChronoUnit.DAYS.between(
                                first.batch().sowDay(), second.batch().sowDay()))
                        <= DAYS_APART
                && !one.tray().equals(other.tray())
                && tray.container().equals(trays.tray(other.tray()).container())
                && one.first() == 1
                && one.length() + other.length()
                        <= tray.of(crops.container(tray.container())).cells()
                && batches.filesIn(one.tray()).size() == 1;
    }

    /** The nursery feeds when its mixes have no more to give; most batches were fed in the last days, some wait today. */
    private void feed() {
        if (!feeds.way().equals(FeedBook.UNSAID)) {
            return;
        }
        feeds.feedBy(new FeedBook.Way(FeedSchool.BY_RESERVE, 100, 10));
        feeds.add(new FeedBook.Feed(0, "Green draught", FeedProduct.Form.LIQUID, 5, 3, 7, 1.1));
        feeds.add(new FeedBook.Feed(0, "Blue grain", FeedProduct.Form.POWDER, 20, 10, 20, 1));
        long draught = feeds.feeds().stream()
                .filter(feed -> feed.form() == FeedProduct.Form.LIQUID)
                .findFirst()
                .orElseThrow()
                .id();
        int fed = 0;
        for (BatchFile file : batches.files().stream()
                .filter(each -> each.state().hardeningStartedOn().isEmpty())
                .toList()) {
            int number = file.batch().number();
            LocalDate last = DemoNursery.OPENING_DAY.minusDays(DAYS_BETWEEN_FEEDS - fed++ % DAYS_BETWEEN_FEEDS);
            emerged(file)
                    .map(day -> day.plusDays(FeedClock.UNKNOWN_RESERVE))
                    .filter(day -> !day.isAfter(DemoNursery.OPENING_DAY.minusDays(1))
                            && file.state().balance().alive() > 0)
                    .ifPresent(first -> feeds.give(
                            id("feed " + number),
                            number,
                            draught,
                            100,
                            null,
                            last.isBefore(first) ? first : last,
                            null));
        }
    }

    private static Optional<LocalDate> emerged(BatchFile file) {
        return file.state().cellsUp().entrySet().stream()
                .filter(count -> count.getValue() > 0)
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** Trays of one sowing, by lot watered from below and from above. */
    private void compareWaysOfWatering() {
        batches.files().stream()
                .filter(file -> file.state().isCompletelyCounted()
                        && file.state().sowings().size() >= TRAYS_TO_COMPARE)
                .findFirst()
                .ifPresent(file -> trials.layOut(
                        id("ways of watering"),
                        new TrialBook.Wanted(
                                "Watered from above or from below",
                                TrialPractice.WATER,
                                0.1,
                                List.of("From above", "From below"),
                                List.of(file.batch().number()),
                                4),
                        null));
    }

    private Wish wish(String variety, int plants, Long site) {
        long id = crops.varieties().stream()
                .filter(each -> each.name().equals(variety))
                .findFirst()
                .orElseThrow()
                .id();
        return new Wish(id, new ContainerCode("module-60"), plants, 4, 6, FOR, null, null, site, null);
    }

    private static UUID id(String what) {
        return UUID.nameUUIDFromBytes(("opening " + what).getBytes(StandardCharsets.UTF_8));
    }
}
