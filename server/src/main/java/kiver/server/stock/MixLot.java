package kiver.server.stock;

import java.time.LocalDate;
import kiver.core.media.RecipeCode;

/**
 * A mixing, and what is left of it.
 *
 * @param number as written on the heap
 * @param recipe it was made by
 * @param name of that recipe then
 * @param madeOn day
 * @param made litres
 * @param litres left; below 0 where more was filled than was made
 */
public record MixLot(int number, RecipeCode recipe, String name, LocalDate madeOn, double made, double litres) {

    /** What a record calls it. */
    public String words() {
        return name + ", mix " + number;
    }
}
