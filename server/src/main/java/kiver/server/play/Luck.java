package kiver.server.play;

import java.time.LocalDate;
import java.util.SplittableRandom;
import kiver.core.batch.LossReason;
import kiver.core.crop.Crop;
import kiver.core.growth.Emergence;
import kiver.server.seed.SeedLot;

/**
 * What truly becomes of seed and seedlings where days are let pass, unknown to the nursery: drawn from a seed, so that the same
 * cell has the same fate whenever it is looked at.
 */
public abstract class Luck {

    private static final double DEATHS = 0.03;

    private final long seed;

    /** Luck of that seed. */
    protected Luck(long seed) {
        this.seed = seed;
    }

    /** The share of a lot's seed that comes up, 0 to 1. */
    public abstract double germination(SeedLot lot);

    /** How much longer than its figures say a batch takes to come up: its crop by this nursery's mix and hands, and by itself. */
    public abstract double pace(int batch, Crop crop);

    /** Seedlings up in a cell once so much emergence progress has been made. */
    public int seedlingsUp(
            int batch, int cell, int seeds, double germination, double pace, Emergence emergence, double progress) {
        SplittableRandom random = random(3, batch, cell);
        int up = 0;
        for (int each = 0; each < seeds; each++) {
            boolean grows = random.nextDouble() < germination;
            double needs = pace * Math.exp(emergence.spread() * random.nextGaussian());
            up += grows && progress >= needs ? 1 : 0;
        }
        return up;
    }

    /** Days after sowing on which a cell's plant dies, or a number beyond all seasons. */
    public int daysToDeath(int batch, int cell) {
        SplittableRandom random = random(4, batch, cell);
        return random.nextDouble() < DEATHS ? 14 + random.nextInt(20) : Integer.MAX_VALUE;
    }

    /** Why a cell's plant dies. */
    public LossReason reason(int batch, int cell) {
        LossReason[] usual = {LossReason.DAMPING_OFF, LossReason.DRIED_OUT, LossReason.SLUGS, LossReason.TOO_WEAK};
        return usual[random(5, batch, cell).nextInt(usual.length)];
    }

    /** Whether a night takes a cell's plant, of which it takes such a share. */
    boolean isTakenByNight(int batch, int cell, LocalDate morning, double share) {
        return random(10 + morning.toEpochDay(), batch, cell).nextDouble() < share;
    }

    /** Whether the hands get round to a piece of work on a day. */
    public boolean getsDone(int batch, long day, int kind, double likelihood) {
        return random(100 + kind, batch, day).nextDouble() < likelihood;
    }

    /** Chance of one purpose for a part of a thing. */
    protected SplittableRandom random(long purpose, long thing, long part) {
        return new SplittableRandom(seed + purpose * 1_000_003 + thing * 7_368_787 + part * 15_485_863);
    }
}
