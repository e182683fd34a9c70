package kiver.core.care;

import java.time.LocalDate;
import java.util.Set;
import kiver.core.crop.CropCode;

/**
 * When and on what something is looked for.
 *
 * @param ailment what
 * @param kinds of plants that it comes to
 * @param places in which it comes
 * @param fromMonth 1 to 12, the first month in the north
 * @param toMonth 1 to 12, the last month there, inclusive; before {@code fromMonth} where the turn of the year lies between
 * @param crops that it comes to; empty for all
 */
public record LookRule(
        Ailment ailment, Set<PlantKind> kinds, Places places, int fromMonth, int toMonth, Set<CropCode> crops) {

    private static final int MONTHS = 12;
    private static final int HALF_A_YEAR = 6;

    /** How far plants are. */
    public enum PlantKind {
        SOWN,
        SEEDLING,
        GROWN
    }

    /** Where they stand. */
    public enum Places {
        HEATED,
        UNHEATED,
        OPEN_TO_MICE,
        ANY;

        boolean hold(Standing plants) {
            return switch (this) {
                case HEATED -> plants.heated();
                case UNHEATED -> !plants.heated();
                case OPEN_TO_MICE -> !plants.keepsMiceOut();
                case ANY -> true;
            };
        }
    }

    public LookRule {
        kinds = Set.copyOf(kinds);
        crops = Set.copyOf(crops);
        if (fromMonth < 1 || fromMonth > MONTHS || toMonth < 1 || toMonth > MONTHS) {
            throw new IllegalArgumentException("Months are 1 to 12, not " + fromMonth + " to " + toMonth + ".");
        }
    }

    /** Whether plants are to be looked at for it. */
    public boolean asksFor(Standing plants, LocalDate day, boolean south) {
        return kinds.contains(plants.kind())
                && places.hold(plants)
                && (crops.isEmpty() || crops.contains(plants.crop()))
                && isInSeason(day, south);
    }

    private boolean isInSeason(LocalDate day, boolean south) {
        int month = south ? (day.getMonthValue() + HALF_A_YEAR - 1) % MONTHS + 1 : day.getMonthValue();
        return fromMonth <= toMonth ? month >= fromMonth && month <= toMonth : month >= fromMonth || month <= toMonth;
    }

    /**
     * A batch where it stands.
     *
     * @param batch number
     * @param crop it is of
     * @param kind how far it is
     * @param heated whether its place is heated
     * @param keepsMiceOut whether no mouse comes in there
     */
    public record Standing(int batch, CropCode crop, PlantKind kind, boolean heated, boolean keepsMiceOut) {}
}
