package kiver.server.today;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.batch.RootsSeen;
import kiver.core.care.Ailment;
import kiver.core.care.Failing.Cause;
import kiver.core.care.Failing.Evidence;
import kiver.core.care.FeedClock;
import kiver.core.care.WaterRecord;
import kiver.core.care.WaterSeen;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.ClimateSeries;
import kiver.server.care.FeedBook;
import kiver.server.care.LookBook;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** What was noted of a batch that speaks for or against a cause of its failing, with what that is in words. */
@Component
class FailingRecord {

    private static final int DAYS_BACK = 14;
    private static final int DAYS_OF_HEAT = 7;
    private static final int COLD_NIGHTS_THAT_TELL = 3;
    private static final int FED_LATELY = 8;
    private static final double STRONG = 200;
    private static final double STRONG_CONDUCTIVITY = 2.5;
    private static final double NEARLY_DRY = 0.15;

    private final WaterRound water;
    private final FeedDays feedDays;
    private final FeedBook feeds;
    private final LookBook looks;
    private final SeasonService seasons;
    private final NurseryClock clock;

    FailingRecord(
            WaterRound water,
            FeedDays feedDays,
            FeedBook feeds,
            LookBook looks,
            SeasonService seasons,
            NurseryClock clock) {
        this.water = water;
        this.feedDays = feedDays;
        this.feeds = feeds;
        this.looks = looks;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** What the record says of one cause. */
    record Fact(Evidence evidence, Said words) {}

    private static Fact told(boolean speaksFor, Said words) {
        return new Fact(speaksFor ? Evidence.FOR : Evidence.AGAINST, words);
    }

    private static Fact nothing(Said words) {
        return new Fact(Evidence.NONE, words);
    }

    /** What is known of each cause. */
    Map<Cause, Fact> of(BatchOutlook batch) {
        LocalDate today = clock.today();
        Map<Cause, Fact> facts = new EnumMap<>(Cause.class);
        ofWater(batch, facts);
        facts.put(Cause.HUNGRY, hunger(batch, today));
        facts.put(Cause.TOO_STRONG_FEED, strongFeed(batch, today));
        facts.put(
                Cause.TOO_DARK,
                told(
                        batch.leggy(),
                        batch.leggy()
                                ? Said.of("It stands too dark for its warmth.")
                                : Said.of("The light of the last week was enough for its warmth.")));
        batch.file().state().place().ifPresent(place -> {
            ClimateSeries climate = seasons.season().climate(place).get(0);
            int now = (int) ChronoUnit.DAYS.between(climate.firstDay(), today);
            facts.put(Cause.TOO_COLD, cold(batch, climate, now));
            facts.put(Cause.TOO_HOT, heat(batch, climate, now));
            List<LookBook.Seen> seen = looks.seenSince(today.minusDays(DAYS_BACK)).stream()
                    .filter(each -> each.placeId() == place.number())
                    .toList();
            facts.put(Cause.DAMPING_OFF, dampingOff(batch, seen));
            facts.put(Cause.EATEN, eaten(batch, seen));
        });
        facts.put(Cause.CROWDED_ROOTS, roots(batch, today));
        return facts;
    }

    private void ofWater(BatchOutlook batch, Map<Cause, Fact> facts) {
        List<WaterRound.Called> calls = water.calls().stream()
                .filter(called -> called.standing().batch().number() == batch.number())
                .toList();
        boolean noted = calls.stream().anyMatch(WaterRound.Called::isNoted);
        if (!noted) {
            Said nobody = Said.of("Nobody has noted its water: lift it, look at it, weigh it.");
            facts.put(Cause.TOO_WET, nothing(nobody));
            facts.put(Cause.TOO_DRY, nothing(nobody));
            return;
        }
        boolean neverDries = calls.stream().anyMatch(called -> called.call().neverDries());
        boolean wasDry = calls.stream()
                .anyMatch(called -> called.call().now().share() < NEARLY_DRY
                        || seen(called)
                                .anyMatch(each ->
                                        each instanceof WaterSeen.Weighed weighed && weighed.share() < NEARLY_DRY));
        // Light is the moment to water, and no harm yet.
        boolean wasLight = wasDry
                || calls.stream()
                        .flatMap(FailingRecord::seen)
                        .anyMatch(each ->
                                each instanceof WaterSeen.Lifted lifted && lifted.heft() == WaterSeen.Heft.LIGHT);
        facts.put(
                Cause.TOO_WET,
                neverDries
                        ? told(true, Said.of("It was watered three times before it wanted any."))
                        : wasLight
                                ? told(false, Said.of("It was light between waterings."))
                                : nothing(Said.of("It was watered when it wanted some, as far as was noted.")));
        facts.put(
                Cause.TOO_DRY,
                told(
                        wasDry,
                        wasDry
                                ? Said.of("It was nearly dry within the last two weeks.")
                                : Said.of("It never was nearly dry in the last two weeks, as far as was noted.")));
    }

    private static Stream<WaterSeen> seen(WaterRound.Called called) {
        return called.record().seen().stream().map(WaterRecord.Sighting::seen);
    }

    private Fact hunger(BatchOutlook batch, LocalDate today) {
        return feedDays.known()
                .clock(batch)
                .map((FeedClock feed) -> {
                    boolean fedLately = feed.lastFed()
                            .filter(day -> day.isAfter(today.minusDays(FED_LATELY)))
                            .isPresent();
                    boolean ended = feed.reserveEnds().isBefore(today);
                    return told(
                            ended && !fedLately,
                            fedLately
                                    ? Said.of("It was fed within a week.")
                                    : ended
                                            ? Said.of(
                                                            "Its mix feeds it no more since {day}, and it was not fed within a week.")
                                                    .with("day", feed.reserveEnds())
                                            : Said.of("Its mix still feeds it until {day}.")
                                                    .with("day", feed.reserveEnds()));
                })
                .orElse(nothing(Said.of("Nobody has said how this nursery feeds.")));
    }

    private Fact strongFeed(BatchOutlook batch, LocalDate today) {
        List<FeedBook.Given> given = feeds.givenSince(today.minusDays(DAYS_BACK)).stream()
                .filter(each -> each.batch() == batch.number())
                .toList();
        boolean strong = given.stream()
                .anyMatch(each -> each.strength() >= STRONG
                        || (each.conductivity() != null && each.conductivity() > STRONG_CONDUCTIVITY));
        return told(
                strong,
                strong
                        ? Said.of("It was given a strong solution within two weeks.")
                        : Said.of("It was given no strong solution within two weeks."));
    }

    private static Fact cold(BatchOutlook batch, ClimateSeries climate, int now) {
        double stunts = batch.crop().cold().nightFloor();
        int nights = (int) IntStream.range(Math.max(0, now - DAYS_BACK), now)
                .filter(day -> climate.minimum(day) < stunts)
                .count();
        Said words = Said.of(
                        "{nights, plural, =0 {No night} one {# night} other {# nights}} of two weeks below {stopsCelsius}, where it stops.")
                .with("nights", nights)
                .with("stopsCelsius", stunts);
        return nights >= COLD_NIGHTS_THAT_TELL ? told(true, words) : nights == 0 ? told(false, words) : nothing(words);
    }

    private static Fact heat(BatchOutlook batch, ClimateSeries climate, int now) {
        double hot = batch.crop().leaves().tooHotFrom();
        int days = (int) IntStream.range(Math.max(0, now - DAYS_OF_HEAT), now)
                .filter(day -> climate.maximum(day) >= hot)
                .count();
        return told(
                days > 0,
                Said.of(
                                "{days, plural, =0 {No day} one {# day} other {# days}} of the last week hotter than {hotCelsius}.")
                        .with("days", days)
                        .with("hotCelsius", hot));
    }

    private static Fact dampingOff(BatchOutlook batch, List<LookBook.Seen> seen) {
        boolean lost = batch.file().state().changes().stream()
                .anyMatch(change -> change.change() instanceof BatchChange.Lost lose
                        && lose.reason() == LossReason.DAMPING_OFF
                        && !batch.file().state().isCorrected(change.sequence()));
        return lost
                ? told(true, Said.of("Some of it was lost to damping-off."))
                : looked(seen, Set.of(Ailment.DAMPING_OFF));
    }

    private static Fact eaten(BatchOutlook batch, List<LookBook.Seen> seen) {
        boolean lost = batch.file().state().changes().stream()
                .anyMatch(change -> change.change() instanceof BatchChange.Lost lose
                        && (lose.reason() == LossReason.SLUGS || lose.reason() == LossReason.MICE)
                        && !batch.file().state().isCorrected(change.sequence()));
        return lost
                ? told(true, Said.of("Some of it was eaten before."))
                : looked(seen, Set.of(Ailment.SLUGS, Ailment.MICE, Ailment.BIRDS, Ailment.FLEA_BEETLE));
    }

    private static Fact looked(List<LookBook.Seen> seen, Set<Ailment> ailments) {
        List<LookBook.Seen> own =
                seen.stream().filter(each -> ailments.contains(each.ailment())).toList();
        if (own.isEmpty()) {
            return nothing(Said.of("Nobody has looked for it at this place within two weeks."));
        }
        boolean found = own.stream().anyMatch(each -> each.share() > 0);
        return told(
                found,
                found
                        ? Said.of("It was seen at this place within two weeks.")
                        : Said.of("It was looked for at this place within two weeks, and not seen."));
    }

    private static Fact roots(BatchOutlook batch, LocalDate today) {
        BatchState state = batch.file().state();
        if (state.roots().isPresent()) {
            boolean outgrown = state.roots().filter(RootsSeen::isOutgrown).isPresent();
            return told(
                    outgrown,
                    outgrown
                            ? Said.of("Its roots had outgrown what it stands in when they were last looked at.")
                            : Said.of("Its roots had room when they were last looked at."));
        }
        LocalDate filled = state.lastPottedOn().orElse(batch.began());
        long days = ChronoUnit.DAYS.between(filled, today);
        double limit = batch.crop()
                .dayLimitIn(batch.containers()
                        .containers()
                        .get(Math.min(
                                batch.standing().pottingsDone(),
                                batch.containers().containers().size() - 1)));
        Said words = Said.of(
                        "{days, plural, one {# day} other {# days}} in what it stands in; nobody has looked at its roots.")
                .with("days", days);
        return days > limit ? told(true, words) : days < limit / 2 ? told(false, words) : nothing(words);
    }
}
