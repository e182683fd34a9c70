package kiver.server.demo;

import java.util.SplittableRandom;
import kiver.core.crop.Crop;
import kiver.server.play.Luck;
import kiver.server.seed.SeedLot;
import org.springframework.stereotype.Component;

/**
 * What is really true in the invented nursery and nobody there can see: how good each lot is, how fast each batch, how each
 * tray dries. Everything follows from a seed and the numbers of things, so it is the same on every machine and needs no memory.
 */
@Component
class DemoTruth extends Luck {

    private static final long SEED = 8_128;

    DemoTruth() {
        super(SEED);
    }

    /** One lot in fourteen is far worse than its label. */
    @Override
    public double germination(SeedLot lot) {
        long number = lot.id().number();
        SplittableRandom random = random(1, number, 0);
        if (number % 14 == 9) {
            return 0.35 * lot.germinationLabel();
        }
        return Math.min(0.98, Math.max(0.3, lot.germinationLabel() - 0.03 + 0.05 * random.nextGaussian()));
    }

    @Override
    public double pace(int batch, Crop crop) {
        return Math.exp(0.12 * random(9, crop.code().written().hashCode(), 0).nextGaussian()
                + 0.1 * random(2, batch, 0).nextGaussian());
    }

    /** How fast a tray dries beside what is worked out: each container, crop and place by its own, each tray a little more or less. */
    double dryingPace(int group, int tray) {
        return Math.exp(0.25 * random(6, group, 0).nextGaussian()
                + 0.05 * random(7, tray, 0).nextGaussian());
    }

    /** g by which the scale is off. */
    double scaleOff(int tray, long day) {
        return 6 * random(8, tray, day).nextGaussian();
    }
}
