package kiver.core.order;

/** What stands over the plants at the grower's site. */
public enum Protection {
    /** Nothing. */
    OPEN_GROUND(0, 0),
    /** Fleece or a low cover. */
    LOW_COVER(2.5, 2),
    /** An unheated tunnel, worth about four weeks at each end of the season. */
    UNHEATED_TUNNEL(5, 4);

    private final double nightGain;
    private final double soilGain;

    Protection(double nightGain, double soilGain) {
        this.nightGain = nightGain;
        this.soilGain = soilGain;
    }

    /**
     * K by which the lowest temperature of a night is higher. In spring nights warm by some 0.17 K a day at mid
     * latitudes, so that 5 K are about four weeks and 2.5 K two; growers' experience of tunnels and fleece.
     */
    public double nightGain() {
        return nightGain;
    }

    /** K by which the soil is warmer. */
    public double soilGain() {
        return soilGain;
    }
}
