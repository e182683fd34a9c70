package kiver.core.crop;

/**
 * What cold does to young plants of a crop long before frost does.
 *
 * @param nightFloor °C; nights below it leave no mark that is seen at once and cost growth
 * @param boltsAfter days at the temperature that works best after which half of the plants run to seed; 0 for crops that do not
 * @param boltsFromLeaves true leaves from which on they take notice of cold, 0 or more
 * @param wanted whether a cold winter is wanted, as by flowers of the second year: then cold is no harm
 */
public record ColdNeeds(double nightFloor, double boltsAfter, double boltsFromLeaves, boolean wanted) {

    /** Those of a crop that wants no cold. */
    public ColdNeeds(double nightFloor, double boltsAfter, double boltsFromLeaves) {
        this(nightFloor, boltsAfter, boltsFromLeaves, false);
    }

    public ColdNeeds {
        if (!(nightFloor >= -10 && nightFloor <= 25) || !(boltsAfter >= 0) || !(boltsFromLeaves >= 0)) {
            throw new IllegalArgumentException(
                    "A night floor lies between -10 and 25 °C, and days of cold and leaves are not negative.");
        }
    }

    /** Those of its class, where nothing is known of the crop. */
    public static ColdNeeds of(Hardiness hardiness) {
        return new ColdNeeds(hardiness.stuntsBelow(), 0, 0);
    }

    /** Those of plants that are to stand over winter: a night costs nothing that they stand, °C. */
    public ColdNeeds overWinter(double floor) {
        return new ColdNeeds(Math.min(nightFloor, floor), boltsAfter, boltsFromLeaves, wanted);
    }

    /** Whether cold makes it run to seed where that is not wanted. */
    public boolean bolts() {
        return boltsAfter > 0 && !wanted;
    }
}
