package kiver.core.outlook;

import java.util.Optional;

/**
 * Something that could be done about a place that is over-full, with what it costs.
 *
 * @param help what to do
 * @param chanceBefore of what is wanted of the batch, as it stands, 0 to 1
 * @param chance of it then, 0 to 1
 * @param relief tray places it frees where they are lacking, on the worst day
 * @param plan of the batch then; empty where it is for people to settle
 */
public record SpaceSuggestion(
        SpaceHelp help, double chanceBefore, double chance, double relief, Optional<BatchPlan> plan) {

    /** What it costs in chance, −1 to 1. */
    public double loss() {
        return chanceBefore - chance;
    }
}
