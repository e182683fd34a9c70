package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static kiver.core.outlook.BatchSamples.TARGET;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.Samples;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Occupancy;
import org.junit.jupiter.api.Test;

class RoomReliefTest {

    private static final PlaceId MAT = new PlaceId(1);
    private static final PlaceId SHELF = new PlaceId(2);
    private static final PlaceId COLD_HOUSE = new PlaceId(3);
    private static final Season SEASON = new Season(
            List.of(
                    Samples.place(1, 1, new PlaceClimate.SetPoints(20, 16), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON),
                    Samples.place(2, 10, new PlaceClimate.SetPoints(19, 15), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON),
                    Samples.place(3, 10, new PlaceClimate.SetPoints(10, 6), PlaceUse.GROWING_ON),
                    Samples.place(4, 10, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF)),
            Samples.weather(),
            Map.of(),
            46);
    private static final Way WAY = new Way(MAT, MAT, new PlaceId(4));
    private static final LocalDate SOWN = TODAY.plusDays(4);

    private static BatchOutlook planned(int number) {
        return BatchSamples.outlook(
                BatchSamples.file(
                        BatchSamples.planned(number, 40, SOWN, TARGET, WAY),
                        BatchSamples.nothing(),
                        BatchSamples.promised(number, "Grower of " + number, 40, TARGET)),
                SEASON);
    }

    private static List<SpaceSuggestion> suggestions(List<BatchOutlook> batches) {
        Occupancy occupancy = Occupancy.of(
                SEASON.places(),
                batches.stream().collect(Collectors.toMap(BatchOutlook::number, BatchOutlook::stays)),
                TODAY,
                120);
        RoomRelief relief = new RoomRelief(
                SEASON,
                TODAY,
                occupancy,
                (batch, plan) -> BatchSamples.outlook(
                        batch.file().with(batch.file().batch().with(plan)), SEASON));
        return relief.suggestions(new RoomRelief.Crowded(MAT, SOWN, SOWN.plusDays(6)), batches);
    }

    @Test
    void whatIsCrowdedCanGoElsewhereWaitOrBeRefused() {
        List<SpaceSuggestion> found = suggestions(List.of(planned(201), planned(202)));
        assertThat(found)
                .extracting(each -> each.help().getClass().getSimpleName())
                .contains("OtherPlace", "SowLater", "TellGrower");
        assertThat(found).allSatisfy(each -> assertThat(each.relief()).isPositive());
        assertThat(found.get(found.size() - 1).help()).isInstanceOf(SpaceHelp.TellGrower.class);
        assertThat(found.subList(0, found.size() - 1))
                .isSortedAccordingTo(Comparator.comparingDouble(SpaceSuggestion::loss));
    }

    @Test
    void eachSuggestionBringsThePlanThatDoesIt() {
        SpaceSuggestion other = suggestions(List.of(planned(201), planned(202))).stream()
                .filter(each -> each.help() instanceof SpaceHelp.OtherPlace)
                .findFirst()
                .orElseThrow();
        assertThat(((SpaceHelp.OtherPlace) other.help()).place()).isEqualTo(SHELF);
        BatchPlan plan = other.plan().orElseThrow();
        assertThat(plan.way().emergence().equals(SHELF)
                        || plan.way().growingOn().equals(SHELF))
                .isTrue();
        assertThat(plan.pinned()).as("a person chose it").isTrue();
    }

    @Test
    void aMuchCoolerPlaceIsHolding() {
        List<SpaceHelp> helps = suggestions(List.of(planned(201), planned(202))).stream()
                .map(SpaceSuggestion::help)
                .toList();
        assertThat(helps)
                .noneMatch(help -> help instanceof SpaceHelp.OtherPlace other
                        && other.place().equals(COLD_HOUSE));
        assertThat(helps)
                .allMatch(help -> !(help instanceof SpaceHelp.CoolerPlace cooler)
                        || cooler.place().equals(COLD_HOUSE));
    }

    @Test
    void noPlaceIsEasedByCrowdingAnother() {
        List<BatchOutlook> all = List.of(planned(201), planned(202));
        double before = Occupancy.of(
                        SEASON.places(),
                        all.stream().collect(Collectors.toMap(BatchOutlook::number, BatchOutlook::stays)),
                        TODAY,
                        120)
                .overfullness();
        suggestions(all).stream().filter(each -> each.plan().isPresent()).forEach(each -> {
            BatchOutlook moved = all.stream()
                    .filter(batch -> batch.number() == each.help().batch())
                    .findFirst()
                    .orElseThrow();
            BatchOutlook tried = BatchSamples.outlook(
                    moved.file().with(moved.file().batch().with(each.plan().get())), SEASON);
            Occupancy then = Occupancy.of(
                            SEASON.places(),
                            all.stream().collect(Collectors.toMap(BatchOutlook::number, BatchOutlook::stays)),
                            TODAY,
                            120)
                    .with(moved.number(), tried.stays());
            assertThat(then.overfullness()).as("%s", each.help()).isLessThanOrEqualTo(before);
        });
    }
}
