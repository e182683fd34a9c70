package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static kiver.core.outlook.BatchSamples.TARGET;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.SowWindow;
import org.junit.jupiter.api.Test;

class RemediesTest {

    private static final PlaceId COLD = new PlaceId(2);
    private static final PlaceId WARM = new PlaceId(3);
    private static final Season SEASON = new Season(
            List.of(
                    Samples.place(1, 10, new PlaceClimate.SetPoints(18, 14), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON),
                    Samples.place(2, 10, new PlaceClimate.SetPoints(9, 6), PlaceUse.GROWING_ON),
                    Samples.place(3, 10, new PlaceClimate.SetPoints(24, 20), PlaceUse.GROWING_ON),
                    Samples.place(4, 10, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF)),
            Samples.weather(),
            Map.of(),
            46);
    private static final Way WAY = new Way(new PlaceId(1), new PlaceId(1), new PlaceId(4));

    private static BatchOutlook growing(int number, int alive, int wanted, LocalDate target) {
        return BatchSamples.outlook(
                BatchSamples.file(
                        BatchSamples.planned(number, wanted, TODAY.minusDays(12), target, WAY),
                        BatchSamples.counted(12, alive, WAY),
                        BatchSamples.promised(number, "Grower of " + number, wanted, target)),
                SEASON);
    }

    private static List<Remedies.Choice> choices(BatchOutlook batch, LocalDate target, BatchOutlook... others) {
        return new Remedies(SEASON, TODAY, batch, target).choices(List.of(others), Optional.empty());
    }

    @Test
    void theSurestStandsFirstAndLeavingItIsAlwaysAmongThem() {
        LocalDate ready =
                growing(201, 50, 40, TARGET).forecast().ready().orElseThrow().middle();
        List<Remedies.Choice> choices = choices(growing(201, 50, 40, ready), ready.plusDays(30));
        assertThat(choices)
                .isSortedAccordingTo(
                        Comparator.comparingDouble(Remedies.Choice::chance).reversed());
        assertThat(choices).extracting(Remedies.Choice::remedy).contains(new Remedy.Keep());
    }

    @Test
    void aBatchThatWouldBeLateIsBroughtOnAndOneThatWaitsIsHeld() {
        LocalDate ready =
                growing(201, 50, 40, TARGET).forecast().ready().orElseThrow().middle();
        Remedies.Choice warmer = chosen(choices(growing(201, 50, 40, ready), ready.minusDays(6)), Remedy.BringOn.class);
        assertThat(((Remedy.BringOn) warmer.remedy()).place()).isEqualTo(WARM);
        assertThat(((Remedy.BringOn) warmer.remedy()).byKelvin()).isPositive();
        Remedies.Choice cooler = chosen(choices(growing(201, 50, 40, ready), ready.plusDays(12)), Remedy.Hold.class);
        assertThat(((Remedy.Hold) cooler.remedy()).place()).isEqualTo(COLD);
        assertThat(((Remedy.Hold) cooler.remedy()).byKelvin()).isPositive();
    }

    @Test
    void onlyBatchesThatAreAlikeCanBeSwapped() {
        LocalDate ready =
                growing(201, 50, 40, TARGET).forecast().ready().orElseThrow().middle();
        BatchOutlook mine = growing(201, 50, 40, ready);
        BatchOutlook theirs = growing(202, 50, 40, ready);
        Remedy swap =
                chosen(choices(mine, ready, mine, theirs), Remedy.Swap.class).remedy();
        assertThat(swap).isEqualTo(new Remedy.Swap(202, List.of("Grower of 202"), ready));
        BatchOutlook tooFew = growing(203, 20, 18, ready);
        BatchOutlook forNobody = BatchSamples.outlook(
                BatchSamples.file(
                        BatchSamples.planned(204, 40, TODAY.minusDays(12), ready, WAY),
                        BatchSamples.counted(12, 50, WAY)),
                SEASON);
        assertThat(choices(mine, ready, mine, tooFew, forNobody))
                .extracting(Remedies.Choice::remedy)
                .doesNotHaveAnyElementsOfTypes(Remedy.Swap.class);
    }

    @Test
    void whatIsShortCanBeSplit() {
        LocalDate ready =
                growing(201, 50, 40, TARGET).forecast().ready().orElseThrow().middle();
        assertThat(chosen(choices(growing(201, 30, 40, ready), ready), Remedy.Split.class)
                        .remedy())
                .isEqualTo(new Remedy.Split(30, 10));
        assertThat(choices(growing(201, 45, 40, ready), ready))
                .extracting(Remedies.Choice::remedy)
                .doesNotHaveAnyElementsOfTypes(Remedy.Split.class);
    }

    @Test
    void whatIsNotSownIsSownOnAnotherDay() {
        Batch planned = BatchSamples.planned(201, 40, TODAY.plusDays(9), TARGET, WAY);
        BatchOutlook batch = BatchSamples.outlook(BatchSamples.file(planned, BatchSamples.nothing()), SEASON);
        LocalDate best = TODAY.plusDays(16);
        SowWindow window =
                new SowWindow(best.minusDays(3), SowWindow.Limit.LEAVES, best, best.plusDays(3), best.plusDays(5), 0.9);
        List<Remedies.Choice> choices =
                new Remedies(SEASON, TODAY, batch, TARGET.plusDays(7)).choices(List.of(), Optional.of(window));
        assertThat(chosen(choices, Remedy.SowOn.class).remedy()).isEqualTo(new Remedy.SowOn(best, TODAY.plusDays(9)));
        assertThat(choices)
                .extracting(Remedies.Choice::remedy)
                .doesNotHaveAnyElementsOfTypes(Remedy.Hold.class, Remedy.BringOn.class);
    }

    private static Remedies.Choice chosen(List<Remedies.Choice> choices, Class<? extends Remedy> kind) {
        return choices.stream()
                .filter(each -> kind.isInstance(each.remedy()))
                .findFirst()
                .orElseThrow();
    }
}
