package kiver.server.media;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.OptionalDouble;
import kiver.core.media.BarrowSheet;

/**
 * What one mixes and measures with, and when that is worth the trouble.
 *
 * @param bucket litres
 * @param barrow litres
 * @param waste share spilled or left over
 * @param leastPlants from which a mix is made
 * @param boughtPerLitre what a litre costs ready; missing where it is not known
 * @param workPerBarrow what the work of a barrow is worth
 */
public record Mixing(
        @NotNull(message = "Say how much a bucket holds.")
        @DecimalMin(value = "0.1", message = "A bucket holds 0.1 to 100 L.")
        @DecimalMax(value = "100", message = "A bucket holds 0.1 to 100 L.")
        Double bucket,

        @NotNull(message = "Say how much a barrow holds.")
        @DecimalMin(value = "1", message = "A barrow holds 1 to 2000 L.")
        @DecimalMax(value = "2000", message = "A barrow holds 1 to 2000 L.")
        Double barrow,

        @NotNull(message = "Say how much is wasted; 0 for nothing.")
        @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
        @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
        Double waste,

        @NotNull(message = "Say from how many plants on a mix is made.")
        @Min(value = 0, message = "Enter 0 to 100000.")
        @Max(value = 100000, message = "Enter 0 to 100000.")
        Integer leastPlants,

        @Nullable
        @DecimalMin(value = "0", message = "A price is 0 or more.")
        @DecimalMax(value = "100000", message = "A price is 100000 at most.")
        Double boughtPerLitre,

        @NotNull(message = "Say what the work of a barrow is worth; 0 for nothing.")
        @DecimalMin(value = "0", message = "A price is 0 or more.")
        @DecimalMax(value = "100000", message = "A price is 100000 at most.")
        Double workPerBarrow) {

    /** As the core takes it. */
    public BarrowSheet.Tools tools() {
        return new BarrowSheet.Tools(bucket, barrow, waste);
    }

    /** What a litre costs ready. */
    public OptionalDouble bought() {
        return boughtPerLitre == null ? OptionalDouble.empty() : OptionalDouble.of(boughtPerLitre);
    }
}
