package kiver.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.learning.Honesty.Band;
import kiver.core.learning.Honesty.Chance;
import kiver.core.learning.Honesty.Lead;
import kiver.core.learning.Honesty.ToldBand;
import kiver.core.learning.Honesty.ToldChance;
import org.junit.jupiter.api.Test;

class HonestyTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 10);

    private static ToldBand leaves(int daysBefore, int early, int late) {
        return new ToldBand(Matter.LEAVES, DAY.minusDays(daysBefore), DAY.plusDays(early), DAY.plusDays(late), DAY);
    }

    @Test
    void bandsAreCountedByHowLongBeforeTheyWereTold() {
        Honesty honesty = Honesty.of(
                List.of(
                        leaves(3, -1, 1),
                        leaves(7, 0, 4),
                        leaves(6, 1, 4),
                        leaves(8, -4, -1),
                        leaves(40, -9, 9),
                        // Told on the very day it is no forecast.
                        leaves(0, 0, 0)),
                List.of());
        assertThat(honesty.bands())
                .containsExactly(
                        new Band(Matter.LEAVES, Lead.DAYS, 3, 2, 1),
                        new Band(Matter.LEAVES, Lead.A_FORTNIGHT, 1, 0, 0),
                        new Band(Matter.LEAVES, Lead.LONGER, 1, 1, 0));
    }

    @Test
    void chancesAreTakenTogetherByWhatWasSaid() {
        Honesty honesty = Honesty.of(
                List.of(),
                List.of(
                        new ToldChance(0.1, false),
                        new ToldChance(0.9, true),
                        new ToldChance(0.8, false),
                        new ToldChance(1, true)));
        assertThat(honesty.chances()).hasSize(3);
        Chance middle = honesty.chances().get(1);
        assertThat(middle.said()).isCloseTo(0.85, within(1e-12));
        assertThat(middle.told()).isEqualTo(2);
        assertThat(middle.cameTrue()).isEqualTo(1);
        assertThat(honesty.chances().get(2)).isEqualTo(new Chance(0.95, 1, 1, 1));
    }

    /** Drawn truths: of somebody who says what is so, eight in ten lie inside and chances come true as said. */
    @Test
    void whoIsHonestIsFoundHonest() {
        SplittableRandom random = new SplittableRandom(12);
        List<ToldBand> bands = new ArrayList<>();
        List<ToldChance> chances = new ArrayList<>();
        for (int each = 0; each < 2_000; each++) {
            long off = Math.round(10 * random.nextGaussian());
            bands.add(new ToldBand(
                    Matter.EMERGENCE, DAY.minusDays(120), DAY.minusDays(13), DAY.plusDays(13), DAY.plusDays(off)));
            double chance = random.nextDouble();
            chances.add(new ToldChance(chance, random.nextDouble() < chance));
        }
        Honesty honesty = Honesty.of(bands, chances);
        Band band = honesty.bands().get(0);
        assertThat(band.inside() / (double) band.told()).isCloseTo(0.82, within(0.03));
        assertThat(band.early() / (double) band.told()).isCloseTo(0.09, within(0.02));
        assertThat(honesty.chances())
                .hasSize(5)
                .allSatisfy(said ->
                        assertThat(said.cameTrue() / (double) said.told()).isCloseTo(said.said(), within(0.08)));
    }
}
