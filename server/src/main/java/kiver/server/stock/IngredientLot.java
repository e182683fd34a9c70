package kiver.server.stock;

import java.time.LocalDate;
import kiver.core.media.IngredientCode;

/**
 * A delivery of an ingredient, and what is left of it.
 *
 * @param id number
 * @param ingredient what it is
 * @param code on its bags
 * @param supplier it came from
 * @param boughtOn day
 * @param litres left; below 0 where more was used than was written down
 */
public record IngredientLot(
        long id, IngredientCode ingredient, String code, String supplier, LocalDate boughtOn, double litres) {}
