package kiver.core.care;

import java.util.Optional;

/**
 * What a filled tray weighs, without and with all the water it can hold.
 *
 * <p>Worked example: 900 g dry, 1,900 g at capacity, 1,300 g now: 40 % of what it holds.
 *
 * @param dry g, tray and mix from which plants can draw no more, above 0
 * @param full g at container capacity, above {@code dry}
 */
public record TrayWeight(double dry, double full) {

    /** g of an empty tray of plastic. */
    private static final double EMPTY_TRAY = 150;

    /** g of a litre of mix from which plants can draw no more. */
    private static final double DRY_LITRE = 300;

    /** g of water that plants can draw from a litre of mix at container capacity, where nobody weighed it. */
    public static final double HELD_BY_A_LITRE = 450;

    /** A tray of leaves weighs more than its mix and water, and no two are filled alike. */
    private static final double TOLERANCE = 0.15;

    private static final double GRAMS_IN_A_POUND = 453.6;

    /** What is wrong with a weight. */
    public enum Fault {
        /** Less than the tray and its dry mix. */
        LIGHTER_THAN_DRY,
        /** More than the soaked tray. */
        HEAVIER_THAN_SOAKED,
        /** It would be right if the scale showed pounds. */
        IN_POUNDS,
        /** It would be right if the scale showed kilograms. */
        IN_KILOGRAMS
    }

    public TrayWeight {
        if (!(dry > 0) || !(full > dry)) {
            throw new IllegalArgumentException("A tray of " + dry + " g dry and " + full + " g soaked cannot be.");
        }
    }

    /**
     * What a tray is taken to weigh as long as nobody weighed it dry and soaked.
     *
     * @param litres of mix in it, above 0
     */
    public static TrayWeight ofMix(double litres) {
        double dry = EMPTY_TRAY + litres * DRY_LITRE;
        return new TrayWeight(dry, dry + litres * HELD_BY_A_LITRE);
    }

    /** g of water that plants can draw from it at capacity. */
    public double held() {
        return full - dry;
    }

    /**
     * The share of available water, 0 to 1.
     *
     * @param grams now, without {@link #faultIn a fault}
     */
    public double share(double grams) {
        return Math.max(0, Math.min(1, (grams - dry) / held()));
    }

    /** What cannot be about a weight; empty when it can. */
    public Optional<Fault> faultIn(double grams) {
        if (canBe(grams)) {
            return Optional.empty();
        }
        if (canBe(grams * GRAMS_IN_A_POUND)) {
            return Optional.of(Fault.IN_POUNDS);
        }
        if (canBe(grams * 1000)) {
            return Optional.of(Fault.IN_KILOGRAMS);
        }
        return Optional.of(grams < dry ? Fault.LIGHTER_THAN_DRY : Fault.HEAVIER_THAN_SOAKED);
    }

    private boolean canBe(double grams) {
        return grams >= dry * (1 - TOLERANCE) && grams <= full * (1 + TOLERANCE);
    }
}
