package kiver.core.stock;

import java.time.LocalDate;
import kiver.core.media.RecipeCode;

/**
 * Mix that the plan asks for.
 *
 * @param day on which it is filled
 * @param recipe of it
 * @param litres of mix, ready to be filled, above 0
 * @param batch number
 */
public record MixNeed(LocalDate day, RecipeCode recipe, double litres, int batch) {}
