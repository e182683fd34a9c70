package kiver.core.growth;

/**
 * A move into a larger container on the way.
 *
 * @param atLeaves true leaves at which plants are moved, 0 or more; 0 is at once after emergence
 * @param checkDays days on which no leaf unfolds after the move, 0 or more
 */
public record Potting(double atLeaves, double checkDays) {
    public Potting {
        if (atLeaves < 0 || checkDays < 0) {
            throw new IllegalArgumentException("Leaves at potting and the check after it cannot be negative.");
        }
    }
}
