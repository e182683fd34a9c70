package kiver.core.place;

import java.util.Objects;
import java.util.Set;

/**
 * A place as such places usually are: what a nursery begins with and corrects.
 *
 * @param kind which one
 * @param climate what makes its temperature
 * @param light what makes its light
 * @param keepsMiceOut whether no mouse comes in
 * @param suits the stages of the work that are usually done there
 * @param length of what trays stand on, cm
 * @param breadth of the same, cm
 * @param caution what is said of it
 */
public record PlacePattern(
        Kind kind,
        PlaceClimate climate,
        PlaceLight light,
        boolean keepsMiceOut,
        Set<PlaceUse> suits,
        double length,
        double breadth,
        Caution caution) {

    /** A tray's own length and breadth, cm. */
    private static final double TRAY_LENGTH = 54;

    private static final double TRAY_BREADTH = 28;

    /** Places that people raise seedlings in. */
    public enum Kind {
        WARM_WINDOWSILL,
        LIT_SHELF,
        HEAT_MAT,
        PROPAGATING_BENCH,
        WARM_ROOM,
        COOL_ROOM,
        HEATED_HOUSE,
        UNHEATED_HOUSE,
        TUNNEL,
        HOTBED,
        COLD_FRAME,
        SHELTERED_YARD,
        OPEN_GROUND
    }

    /** What may hurt somebody there. */
    public enum Caution {
        NONE,
        ELECTRICITY,
        HEATERS,
        HOTBED
    }

    public PlacePattern {
        Objects.requireNonNull(kind);
        suits = Set.copyOf(suits);
    }

    /** So many trays stand on it. */
    public int slots() {
        return traysOn(length, breadth);
    }

    /**
     * So many trays of 540 × 280 mm stand side by side on a surface, all turned the same way, whichever way more fit.
     *
     * @param length cm
     * @param breadth cm
     * @return 0 where it is too small for one
     */
    public static int traysOn(double length, double breadth) {
        return Math.max(
                rows(length, TRAY_LENGTH) * rows(breadth, TRAY_BREADTH),
                rows(length, TRAY_BREADTH) * rows(breadth, TRAY_LENGTH));
    }

    private static int rows(double room, double each) {
        return (int) Math.floor(room / each + 1e-9);
    }
}
