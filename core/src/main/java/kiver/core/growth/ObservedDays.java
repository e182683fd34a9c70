package kiver.core.growth;

/**
 * One observation to fit against.
 *
 * @param temperature °C, held constant
 * @param days from sowing to emergence, positive
 */
public record ObservedDays(double temperature, double days) {
    public ObservedDays {
        if (!(days > 0)) {
            throw new IllegalArgumentException("Days to emergence must be positive, not " + days + ".");
        }
    }
}
