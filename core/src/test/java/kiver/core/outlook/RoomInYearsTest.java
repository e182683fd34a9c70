package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.outlook.BatchSamples.TARGET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.growth.Paces;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.OccupancySpread;
import org.junit.jupiter.api.Test;

class RoomInYearsTest {

    /** Seedlings grow on in a house without heat, so that the weather decides. */
    private static final Season SEASON = new Season(
            List.of(
                    Samples.place(1, 1, new PlaceClimate.SetPoints(20, 16), PlaceUse.EMERGENCE),
                    Samples.place(2, 3, new PlaceClimate.FollowsWeather(6, 3, -2), PlaceUse.GROWING_ON),
                    Samples.place(3, 2, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF)),
            Samples.weather(),
            java.util.Map.of(),
            46);

    private static final RoomInYears ROOM = new RoomInYears(SEASON, TODAY);
    private static final int SOWN_IN = 5;

    private static BatchOutlook planned(int number, LocalDate target) {
        return BatchSamples.outlook(
                BatchSamples.file(
                        BatchSamples.planned(number, 40, TODAY.plusDays(SOWN_IN), target, WAY), BatchSamples.nothing()),
                SEASON);
    }

    private static List<BatchOutlook> five() {
        return IntStream.range(0, 5)
                .mapToObj(number -> planned(201 + number, TARGET.plusDays(3L * number)))
                .toList();
    }

    @Test
    void theShareOfYearsThatLackRoomIsWhatDrawingThemByChanceGives() {
        List<BatchOutlook> batches = five();
        int day = 64;
        PlaceId hardening = new PlaceId(3);
        double[] enough = ROOM.spread(batches).enoughIn(hardening, 0.9);
        // The same by another way: years and paces drawn by chance, stays followed to the day by hand.
        SplittableRandom random = new SplittableRandom(5);
        Paces paces = Paces.BEFORE_ANY_COUNT;
        int more = 0;
        int asMuch = 0;
        int draws = 4000;
        for (int draw = 0; draw < draws; draw++) {
            int year = random.nextInt(SEASON.scenarios());
            double standing = 0;
            for (BatchOutlook batch : batches) {
                Scenario middling = SEASON.inYear(year, WAY, batch.crop().development(), paces);
                Scenario drawn = new Scenario(
                        middling.emergence(),
                        middling.growingOn(),
                        middling.hardening(),
                        middling.daysOut(),
                        paces.emergence().withFiguresUncertain().paceAt(random.nextGaussian()),
                        paces.leaves().withFiguresUncertain().paceAt(random.nextGaussian()));
                var passed = batch.path().from(batch.standing(), drawn);
                double due = batch.file().batch().target().toEpochDay()
                        - SEASON.firstDay().toEpochDay();
                double from = Math.max(
                        passed.stageReached(),
                        batch.path()
                                .hardeningFrom(
                                        due, SEASON.freshDraws(WAY, batch.crop().development(), paces)));
                double gone = Math.min(due + 28, Math.max(due, Math.floor(passed.ready())));
                double on = day + TODAY.toEpochDay() - SEASON.firstDay().toEpochDay();
                standing += Math.floor(Math.min(from, gone + 1)) <= on && on <= gone ? 1 : 0;
            }
            more += standing > enough[day] ? 1 : 0;
            asMuch += standing >= enough[day] ? 1 : 0;
        }
        assertThat(enough[day]).isBetween(1.0, 5.0);
        assertThat(more / (double) draws).isLessThan(0.13);
        assertThat(asMuch / (double) draws).isGreaterThan(0.07);
    }

    @Test
    void aWayIsOneYearForAllAndEachBatchHasEachOfItsDrawsOnce() {
        List<BatchOutlook> one = List.of(planned(201, TARGET));
        RoomAhead alone = new RoomAhead(
                one.get(0).file(), one.get(0).containers(), one.get(0).journey(), TODAY);
        var draws = alone.inEach(SEASON.freshDraws(
                WAY, one.get(0).crop().development(), one.get(0).journey().paces()));
        double mean = draws.stream()
                .flatMap(List::stream)
                .filter(stay -> stay.place().equals(new PlaceId(2)))
                .mapToDouble(stay -> stay.days() * stay.slots())
                .sum();
        OccupancySpread spread = ROOM.spread(one);
        double days = 0;
        for (double share = 0.5 / draws.size(); share < 1; share += 1.0 / draws.size()) {
            for (double used : spread.enoughIn(new PlaceId(2), share)) {
                days += used;
            }
        }
        assertThat(days).isCloseTo(mean, within(1e-6));
    }

    @Test
    void aColdSpringKeepsThemStandingAndSaysHowLate() {
        List<BatchOutlook> one = List.of(planned(201, TODAY.plusDays(58)));
        List<RoomInYears.Course> byYear = IntStream.range(0, SEASON.scenarios())
                .mapToObj(year -> ROOM.courses(one, year).get(0))
                .toList();
        RoomInYears.Course slowest = byYear.stream()
                .max(Comparator.comparing(course -> course.ready().orElse(LocalDate.MAX)))
                .orElseThrow();
        RoomInYears.Course quickest = byYear.stream()
                .min(Comparator.comparing(course -> course.ready().orElse(LocalDate.MAX)))
                .orElseThrow();
        assertThat(slowest.goesWrong()).contains(RoomInYears.GoesWrong.LATE);
        assertThat(quickest.goesWrong()).isNotEqualTo(slowest.goesWrong());
        assertThat(slowest.isUsual())
                .isEqualTo(one.get(0).forecast().ready().orElseThrow().middle().isAfter(TODAY.plusDays(58)));
        assertThat(quickest.isUsual()).isFalse();
        assertThat(slowest.stays().get(slowest.stays().size() - 1).until())
                .isEqualTo(slowest.ready().orElseThrow().plusDays(1));
        assertThat(ROOM.occupancy(List.of(slowest)).used(new PlaceId(3))).contains(1.0);
    }

    @Test
    void withNothingSownThereIsRoomInEveryYear() {
        OccupancySpread empty = ROOM.spread(List.of());
        for (Place place : SEASON.places()) {
            assertThat(empty.enoughIn(place.id(), 0.9)).containsOnly(0.0);
        }
        assertThat(empty.risks(0.1)).isEmpty();
        assertThat(ROOM.courses(List.of(), 0)).isEmpty();
    }
}
