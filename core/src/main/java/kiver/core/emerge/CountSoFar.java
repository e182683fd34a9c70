package kiver.core.emerge;

/**
 * What a day's counting found in a batch.
 *
 * @param progress emergence progress made by then at the places where the seed lay, 0 or more
 * @param cellsUp cells in which anything has come up so far, not falling from one count to the next
 */
public record CountSoFar(double progress, int cellsUp) {}
