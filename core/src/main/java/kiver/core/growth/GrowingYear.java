package kiver.core.growth;

import java.time.LocalDate;
import java.time.Month;

/**
 * The year as a nursery lives it: from autumn, when the next season is planned and the first of it is sown, to the autumn
 * after. It is named by the calendar year in which most of it is planted out.
 *
 * @param number calendar year of its spring
 * @param south whether the nursery lies in the southern hemisphere, where it begins half a year later
 */
public record GrowingYear(int number, boolean south) {

    private static final Month FIRST_IN_THE_NORTH = Month.OCTOBER;
    private static final Month FIRST_IN_THE_SOUTH = Month.APRIL;

    /**
     * The growing year in which a day lies.
     *
     * @param day any
     * @param latitude of the nursery, degrees, south below 0
     */
    public static GrowingYear of(LocalDate day, double latitude) {
        boolean south = latitude < 0;
        if (south) {
            return new GrowingYear(
                    day.getMonth().compareTo(FIRST_IN_THE_SOUTH) >= 0 ? day.getYear() : day.getYear() - 1, true);
        }
        return new GrowingYear(
                day.getMonth().compareTo(FIRST_IN_THE_NORTH) >= 0 ? day.getYear() + 1 : day.getYear(), false);
    }

    /** Its first day. */
    public LocalDate firstDay() {
        return south ? LocalDate.of(number, FIRST_IN_THE_SOUTH, 1) : LocalDate.of(number - 1, FIRST_IN_THE_NORTH, 1);
    }

    /** Its last day. */
    public LocalDate lastDay() {
        return firstDay().plusYears(1).minusDays(1);
    }
}
