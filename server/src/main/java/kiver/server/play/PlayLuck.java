package kiver.server.play;

import java.util.SplittableRandom;
import kiver.core.crop.Crop;
import kiver.core.growth.PaceSpread;
import kiver.core.seed.Germination;
import kiver.server.clock.NurseryClock;
import kiver.server.seed.SeedLot;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Primary;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** The luck of a season that is played: drawn from what the nursery believes of its lots and crops, no better and no worse. */
@Component
@Primary
@Profile("play")
class PlayLuck extends Luck {

    private final NurseryClock clock;

    PlayLuck(@Value("${kiver.play.seed}") long seed, NurseryClock clock) {
        super(seed);
        this.clock = clock;
    }

    @Override
    public double germination(SeedLot lot) {
        Germination believed = lot.labelOn(clock.today());
        double seeds = believed.up() + believed.failed();
        double mean = believed.up() / seeds;
        double deviation = Math.sqrt(mean * (1 - mean) / (seeds + 1));
        double drawn = mean + deviation * random(1, lot.id().number(), 0).nextGaussian();
        return Math.min(1, Math.max(0, drawn));
    }

    @Override
    public double pace(int batch, Crop crop) {
        PaceSpread believed = crop.learnt().paces().emergence();
        SplittableRandom ofTheCrop = random(9, crop.code().written().hashCode(), 0);
        double uncertain = Math.sqrt(
                Math.pow(believed.withFiguresUncertain().logDeviation(), 2) - Math.pow(believed.logDeviation(), 2));
        return Math.exp(believed.logMean()
                + uncertain * ofTheCrop.nextGaussian()
                + believed.logDeviation() * random(2, batch, 0).nextGaussian());
    }
}
