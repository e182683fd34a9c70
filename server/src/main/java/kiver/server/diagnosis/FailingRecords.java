package kiver.server.diagnosis;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.care.WaterRecord;
import kiver.core.diagnosis.FailingRecord;
import kiver.core.outlook.BatchOutlook;
import kiver.server.care.FeedBook;
import kiver.server.care.LookBook;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.water.FeedDays;
import kiver.server.water.WaterRound;
import org.springframework.stereotype.Component;

/** Gathers what was noted of a batch that may tell why it fails. */
@Component
class FailingRecords {

    private final WaterRound water;
    private final FeedDays feedDays;
    private final FeedBook feeds;
    private final LookBook looks;
    private final SeasonService seasons;
    private final NurseryClock clock;

    FailingRecords(
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

    FailingRecord of(BatchOutlook batch) {
        LocalDate today = clock.today();
        LocalDate from = today.minusDays(FailingRecord.DAYS_BACK);
        return new FailingRecord(
                batch,
                today,
                water.calls().stream()
                        .filter(called -> called.standing().batch().number() == batch.number())
                        .map(FailingRecords::water)
                        .toList(),
                feedDays.known().clock(batch),
                feeds.givenSince(from).stream()
                        .filter(each -> each.batch() == batch.number())
                        .map(each ->
                                new FailingRecord.Solution(each.strength(), Optional.ofNullable(each.conductivity())))
                        .toList(),
                batch.file()
                        .state()
                        .place()
                        .map(place -> seasons.season().climate(place).get(0)),
                batch.file()
                        .state()
                        .place()
                        .map(place -> looks.seenSince(from).stream()
                                .filter(each -> each.placeId() == place.number())
                                .map(each -> new FailingRecord.Look(each.ailment(), each.share()))
                                .toList())
                        .orElse(List.of()));
    }

    private static FailingRecord.TrayWater water(WaterRound.Called called) {
        return new FailingRecord.TrayWater(
                called.isNoted(),
                called.call().neverDries(),
                called.call().now().share(),
                called.record().seen().stream().map(WaterRecord.Sighting::seen).toList());
    }
}
