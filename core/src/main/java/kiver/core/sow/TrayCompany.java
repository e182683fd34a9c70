package kiver.core.sow;

import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.Thirst;

/** Whether two crops do well in one tray, which stands in one place and is watered as one. */
public sealed interface TrayCompany {

    /**
     * One is up and wants light and air while the other still wants cover.
     *
     * @param daysSlower days that the slower takes longer, 1 or more
     */
    record Speed(String faster, String slower, int daysSlower) implements TrayCompany {}

    /**
     * One wants it warmer.
     *
     * @param byKelvin by how much their best temperatures differ
     */
    record Warmth(String cooler, String warmer, double byKelvin) implements TrayCompany {}

    /** One nearly dries out between waterings, the other never dries: one can would be wrong for either. */
    record Water(String drier, String moister) implements TrayCompany {}

    /** The slower may take so much longer, and at least so many days: less is lived with. */
    double TOO_SLOW = 1.6;

    /** Days that nobody minds. */
    int FEW_DAYS = 3;

    /** Best temperatures further apart than this have corners of their own. */
    double TOO_WARM = 6;

    /**
     * What speaks against two crops in one tray.
     *
     * @param temperature °C of the place where it is to come up
     * @return nothing where they get on
     */
    static List<TrayCompany> between(Crop one, Crop other, double temperature) {
        List<TrayCompany> against = new ArrayList<>();
        double first = one.emergence().daysAt(temperature);
        double second = other.emergence().daysAt(temperature);
        Crop faster = first <= second ? one : other;
        Crop slower = first <= second ? other : one;
        double fast = Math.min(first, second);
        double slow = Math.max(first, second);
        if (slow - fast > FEW_DAYS && slow > fast * TOO_SLOW && Double.isFinite(slow)) {
            against.add(new Speed(faster.name(), slower.name(), (int) Math.round(slow - fast)));
        }
        double best = one.emergence().temperatures().optimum()
                - other.emergence().temperatures().optimum();
        if (Math.abs(best) > TOO_WARM) {
            against.add(new Warmth(
                    best < 0 ? one.name() : other.name(), best < 0 ? other.name() : one.name(), Math.abs(best)));
        }
        Thirst drink = one.cells().thirst();
        Thirst otherDrink = other.cells().thirst();
        if (drink != otherDrink && drink != Thirst.EVEN && otherDrink != Thirst.EVEN) {
            boolean drier = drink == Thirst.DRY_SIDE;
            against.add(new Water(drier ? one.name() : other.name(), drier ? other.name() : one.name()));
        }
        return List.copyOf(against);
    }

    /**
     * Those that get on with a crop in one tray.
     *
     * @param others to choose among, in the order in which they are to be told
     * @param temperature °C of the place where it is to come up
     */
    static List<Crop> fitting(Crop crop, List<Crop> others, double temperature) {
        return others.stream()
                .filter(other -> !other.code().equals(crop.code())
                        && between(crop, other, temperature).isEmpty())
                .toList();
    }
}
