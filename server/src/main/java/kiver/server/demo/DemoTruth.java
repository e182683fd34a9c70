package kiver.server.demo;

import java.util.SplittableRandom;
import kiver.core.batch.LossReason;
import kiver.core.crop.CropCode;
import kiver.core.growth.Emergence;

/**
 * What is really true in the invented nursery and nobody there can see: how good each lot is, how fast each batch,
 * when each seedling comes up and which of them die. Everything follows from a seed and the numbers of things, so it
 * is the same on every machine and needs no memory.
 */
final class DemoTruth {

    private static final long SEED = 8_128;
    private static final double DEATHS = 0.03;

    private DemoTruth() {}

    /** The share of a lot's seed that comes up; one lot in fourteen is far worse than its label. */
    static double germination(long lot, double label) {
        SplittableRandom random = random(1, lot, 0);
        if (lot % 14 == 9) {
            return 0.35 * label;
        }
        return Math.min(0.98, Math.max(0.3, label - 0.03 + 0.05 * random.nextGaussian()));
    }

    /** How much longer than its figures say a batch takes to come up: its crop by this nursery's mix and hands, and by itself. */
    static double pace(int batch, CropCode crop) {
        return Math.exp(0.12 * random(9, crop.written().hashCode(), 0).nextGaussian()
                + 0.1 * random(2, batch, 0).nextGaussian());
    }

    /** Seedlings up in a cell once so much emergence progress has been made. */
    static int seedlingsUp(
            int batch, int cell, int seeds, double germination, double pace, Emergence emergence, double progress) {
        SplittableRandom random = random(3, batch, cell);
        int up = 0;
        for (int seed = 0; seed < seeds; seed++) {
            boolean grows = random.nextDouble() < germination;
            double needs = pace * Math.exp(emergence.spread() * random.nextGaussian());
            up += grows && progress >= needs ? 1 : 0;
        }
        return up;
    }

    /** Days after sowing on which a cell's plant dies, or a number beyond all seasons. */
    static int daysToDeath(int batch, int cell) {
        SplittableRandom random = random(4, batch, cell);
        return random.nextDouble() < DEATHS ? 14 + random.nextInt(20) : Integer.MAX_VALUE;
    }

    /** Why a cell's plant dies. */
    static LossReason reason(int batch, int cell) {
        LossReason[] usual = {LossReason.DAMPING_OFF, LossReason.DRIED_OUT, LossReason.SLUGS, LossReason.TOO_WEAK};
        return usual[random(5, batch, cell).nextInt(usual.length)];
    }

    /** Whether the hands get round to a piece of work on a day. */
    static boolean getsDone(int batch, long day, int kind, double likelihood) {
        return random(100 + kind, batch, day).nextDouble() < likelihood;
    }

    /** How fast a tray dries beside what is worked out: each container, crop and place by its own, each tray a little more or less. */
    static double dryingPace(int group, int tray) {
        return Math.exp(0.25 * random(6, group, 0).nextGaussian()
                + 0.05 * random(7, tray, 0).nextGaussian());
    }

    /** g by which the scale is off. */
    static double scaleOff(int tray, long day) {
        return 6 * random(8, tray, day).nextGaussian();
    }

    private static SplittableRandom random(long purpose, long thing, long part) {
        return new SplittableRandom(SEED + purpose * 1_000_003 + thing * 7_368_787 + part * 15_485_863);
    }
}
