package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import kiver.core.crop.ContainerCode;

/**
 * What is bought.
 *
 * @param supplier who raises them
 * @param code on their papers; missing where there is none
 * @param plants that come, losses until the release among them
 * @param container they come in, or are set into when they come
 * @param leaves true leaves they come with
 * @param arrives day
 * @param price of one plant, in the nursery's own money
 */
public record Consignment(
        @NotBlank(message = "Say who raises them.") @Size(max = 80, message = "Use at most 80 letters.")
        String supplier,

        @Nullable @Size(max = 40, message = "Use at most 40 letters.")
        String code,

        @NotNull(message = "Say how many plants.")
        @Min(value = 1, message = "At least one plant comes.")
        @Max(value = 100_000, message = "At most 100,000 plants come at once.")
        Integer plants,

        @NotNull(message = "Choose the container they come in.")
        ContainerCode container,

        @NotNull(message = "Say how many true leaves they have.")
        @DecimalMin(value = "0", message = "Enter 0 to 20 true leaves.")
        @DecimalMax(value = "20", message = "Enter 0 to 20 true leaves.")
        Double leaves,

        @NotNull(message = "Choose the day.") LocalDate arrives,

        @Nullable
        @DecimalMin(value = "0", message = "A cost cannot be negative.")
        @DecimalMax(value = "100000", message = "A plant does not cost so much.")
        Double price) {}
