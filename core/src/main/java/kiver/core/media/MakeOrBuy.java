package kiver.core.media;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Whether a mix is worth making; costs are in the nursery's own money. */
public sealed interface MakeOrBuy {

    /** Too few plants for the trouble: buy a bag. */
    record BuyForSoFew(int plants, int least) implements MakeOrBuy {}

    /** Making it saves so much. */
    record MakingSaves(double saved) implements MakeOrBuy {}

    /** Buying it ready saves so much. */
    record BuyingSaves(double saved) implements MakeOrBuy {}

    /** What a bought mix costs was not said. */
    record NothingToCompare() implements MakeOrBuy {}

    /**
     * Compares them.
     *
     * @param sheet what making it takes
     * @param plants it is for; empty where it is for stock
     * @param least plants from which making it is worth the trouble, for example 20
     * @param boughtPerLitre price of a litre bought ready; empty where not known
     * @param work cost of the work of mixing
     */
    static MakeOrBuy of(BarrowSheet sheet, OptionalInt plants, int least, OptionalDouble boughtPerLitre, double work) {
        if (plants.isPresent() && plants.getAsInt() < least) {
            return new BuyForSoFew(plants.getAsInt(), least);
        }
        if (boughtPerLitre.isEmpty()) {
            return new NothingToCompare();
        }
        double saved = boughtPerLitre.getAsDouble() * sheet.litres() - sheet.cost() - work;
        return saved >= 0 ? new MakingSaves(saved) : new BuyingSaves(-saved);
    }
}
