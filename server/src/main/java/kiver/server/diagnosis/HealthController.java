package kiver.server.diagnosis;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import kiver.core.batch.BatchStage;
import kiver.core.batch.RootsSeen;
import kiver.core.care.ColdNights;
import kiver.core.care.FeedClock;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen;
import kiver.core.outlook.BatchOutlook;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.care.FeedBook;
import kiver.server.clock.NurseryClock;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.NotFound;
import kiver.server.water.FeedDays;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a batch fared, on one picture. */
@RestController
class HealthController {

    private final BatchAnalyst analyst;
    private final HealthRecord record;
    private final FeedDays feedDays;
    private final FeedBook feeds;
    private final NurseryClock clock;

    HealthController(BatchAnalyst analyst, HealthRecord record, FeedDays feedDays, FeedBook feeds, NurseryClock clock) {
        this.analyst = analyst;
        this.record = record;
        this.feedDays = feedDays;
        this.feeds = feeds;
        this.clock = clock;
    }

    /**
     * A day that it lived through.
     *
     * @param minimum °C
     * @param maximum °C
     * @param light mol m⁻² d⁻¹
     * @param leaves true leaves at the crop's mean pace; missing before it was up
     */
    record HealthDay(
            LocalDate day,
            double minimum,
            double maximum,
            double light,
            @Nullable Double leaves) {}

    /** Share of what its trays hold for plants. */
    record WaterPoint(LocalDateTime at, double share) {}

    /** Water that it was given. */
    record WateredView(LocalDate day, WaterSeen.How how) {}

    /** A feed: mg of nitrogen in a litre. */
    record FedView(LocalDate day, double strength) {}

    /** Plants that were looked at: true leaves on average, and their roots. */
    record LookedView(
            LocalDate day,
            @Nullable Double leaves,
            @Nullable RootsSeen roots) {}

    /** Something done. */
    record DoneView(LocalDate day, HealthRecord.Doing doing) {}

    /**
     * What nights did to it.
     *
     * @param nights below the floor
     * @param coldest °C; missing where it is not up yet
     * @param daysLost days of growth that they cost
     * @param bolts whether cold makes its crop run to seed
     * @param bolting share of its plants that are likely to, 0 to 1
     */
    record ColdView(int nights, @Nullable Double coldest, double daysLost, boolean bolts, double bolting) {}

    /**
     * The lines that its health is held against.
     *
     * @param nightFloor °C below which nights stunt it
     * @param heatFrom °C from which days harm it
     * @param light mol m⁻² d⁻¹ below which it stretches at a usual warmth
     * @param leaves true leaves at which hardening begins
     * @param water share at which it is watered
     */
    record HealthLines(double nightFloor, double heatFrom, double light, double leaves, double water) {}

    /** What was seen and done, each by its day. */
    record CareTaken(
            List<WaterPoint> water,
            List<WateredView> watered,
            List<FedView> fed,
            List<LookedView> looked,
            List<DoneView> done) {}

    /**
     * What a picture of its health is drawn of.
     *
     * @param leavesNow true leaves today, as far as counts tell
     * @param reserveEnds day from which its mix feeds it no more; missing where nobody said how this nursery feeds
     */
    record HealthView(
            String variety,
            String crop,
            LocalDate began,
            LocalDate today,
            LocalDate target,
            List<HealthDay> days,
            HealthLines lines,
            double leavesNow,
            @Nullable LocalDate reserveEnds,
            CareTaken care,
            ColdView cold) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/health")
    HealthView health(@PathVariable int number) {
        BatchOutlook batch = analyst.all().stream()
                .filter(each -> each.number() == number && each.stage() != BatchStage.PLANNED)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("There is no batch {number} in hand that was sown.")
                        .with("number", number)));
        LocalDate today = clock.today();
        List<HealthRecord.Day> days = record.days(batch, today);
        return new HealthView(
                batch.file().batch().variety(),
                batch.crop().name(),
                batch.began(),
                today,
                batch.file().batch().target(),
                days.stream()
                        .map(day -> new HealthDay(
                                day.day(),
                                day.minimum(),
                                day.maximum(),
                                day.light(),
                                day.leaves().orElse(null)))
                        .toList(),
                lines(batch),
                batch.leavesNow(),
                feedDays.known().clock(batch).map(FeedClock::reserveEnds).orElse(null),
                care(batch),
                cold(batch, days));
    }

    private static HealthLines lines(BatchOutlook batch) {
        return new HealthLines(
                batch.crop().cold().nightFloor(),
                batch.crop().leaves().tooHotFrom(),
                batch.crop().leaves().leggyBelow(),
                batch.file().batch().stage().from(),
                WaterCall.mark(batch.crop().cells().thirst()));
    }

    private CareTaken care(BatchOutlook batch) {
        return new CareTaken(
                record.water(batch).stream()
                        .map(each -> new WaterPoint(each.at(), each.share()))
                        .toList(),
                record.given(batch).stream()
                        .map(each -> new WateredView(each.day(), each.how()))
                        .toList(),
                feeds.givenSince(batch.began()).stream()
                        .filter(each -> each.batch() == batch.number())
                        .map(each -> new FedView(each.fedOn(), each.strength()))
                        .toList(),
                looked(batch),
                HealthRecord.done(batch).stream()
                        .map(each -> new DoneView(each.day(), each.doing()))
                        .toList());
    }

    private static List<LookedView> looked(BatchOutlook batch) {
        return batch.file().state().looks().entrySet().stream()
                .map(look -> new LookedView(
                        look.getKey(),
                        look.getValue().meanLeaves().isPresent()
                                ? look.getValue().meanLeaves().getAsDouble()
                                : null,
                        look.getValue().roots().orElse(null)))
                .toList();
    }

    private static ColdView cold(BatchOutlook batch, List<HealthRecord.Day> days) {
        ColdNights cold = HealthRecord.cold(batch, days);
        return new ColdView(
                cold.nights(),
                Double.isInfinite(cold.coldest()) ? null : cold.coldest(),
                cold.daysLost(),
                batch.crop().cold().bolts(),
                cold.bolting());
    }
}
