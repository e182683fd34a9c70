package kiver.core.growth;

/**
 * One way the season may go for one batch: the weather at the places on its path, and how fast this batch turns out
 * to be. All series start on the same day.
 *
 * @param emergence progress where the seed lies
 * @param growingOn leaf progress where seedlings grow on
 * @param hardening leaf progress where they harden off
 * @param daysOut days on which it may go out where it hardens off
 * @param emergencePace progress that the median seedling needs, about 1; 1.1 is a tenth slower than the crop's mean
 * @param leafPace the same for leaves
 */
public record Scenario(
        ProgressSeries emergence,
        ProgressSeries growingOn,
        ProgressSeries hardening,
        ProgressSeries daysOut,
        double emergencePace,
        double leafPace) {

    public Scenario {
        if (!(emergencePace > 0) || !(leafPace > 0)) {
            throw new IllegalArgumentException("A pace must be positive.");
        }
    }
}
