package kiver.core.plan;

import static kiver.core.Samples.RECORD;
import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.scenarios;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Path;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import org.junit.jupiter.api.Test;

class SowingSeasonTest {

    private static final Path PATH = new Path(4, 7, 3);

    @Test
    void runsFromTheFirstDayOutToTheLastThatIsStillHarvested() {
        OutdoorSeason outdoors = outdoors(Hardiness.TENDER, 60, TODAY);
        CountBack countBack = countBack();
        SowingSeason season = SowingSeason.of(outdoors, countBack, TODAY);
        LocalDate from = season.from().orElseThrow();
        LocalDate until = season.until().orElseThrow();
        assertThat(from).isBetween(TODAY, outdoors.from());
        assertThat(until).isAfter(from).isBefore(outdoors.until().orElseThrow());
        assertThat(countBack.windowFor(outdoors.from(), TODAY).orElseThrow().earliest())
                .isEqualTo(from);
        assertThat(ready(countBack, until))
                .as("nine in ten are ready by the last day out")
                .isBeforeOrEqualTo(outdoors.until().orElseThrow().plusDays(1));
    }

    @Test
    void hasNoBeginningForWhatMayGoOutAlreadyAndNoEndForWhatIsNotHarvested() {
        LocalDate june = LocalDate.of(2027, 6, 20);
        SowingSeason season = SowingSeason.of(outdoors(Hardiness.HARDY, 0, june), countBack(), june);
        assertThat(season.from()).isEmpty();
        assertThat(season.until()).isEmpty();
    }

    @Test
    void whatCannotBeReadyForTheLastDayHasNoLastSowing() {
        OutdoorSeason outdoors = outdoors(Hardiness.TENDER, 60, TODAY);
        LocalDate late = outdoors.until().orElseThrow().minusDays(10);
        assertThat(SowingSeason.of(outdoors, countBack(), late).until()).isEmpty();
    }

    private static LocalDate ready(CountBack countBack, LocalDate sowDay) {
        double[] ready = Arrays.stream(countBack.milestones(sowDay))
                .mapToDouble(each -> each.ready())
                .sorted()
                .toArray();
        return SEASON.firstDay().plusDays((long) ready[(int) Math.ceil(0.9 * ready.length) - 1]);
    }

    private static CountBack countBack() {
        return new CountBack(PATH, scenarios(crop(Hardiness.HARDY, 60)), SEASON.firstDay());
    }

    private static OutdoorSeason outdoors(Hardiness hardiness, int maturityDays, LocalDate day) {
        return OutdoorSeason.of(
                crop(hardiness, maturityDays), new SiteClimate(0, Protection.OPEN_GROUND), RECORD, 46, day);
    }

    private static Crop crop(Hardiness hardiness, int maturityDays) {
        return Samples.crop(
                "Plant",
                hardiness,
                60,
                6,
                CardinalTemperatures.of(4.5, 28, 38),
                new OutdoorNeeds(0, -7, -3, maturityDays));
    }
}
