package kiver.core.media;

/**
 * Something that goes into a mix.
 *
 * @param code it goes by
 * @param name as people say it
 * @param density kg in a litre as it comes out of the bag, positive, for example 0.1 for perlite
 * @param bagLitres litres in a bag, positive
 * @param bagPrice of a bag, in the nursery's own money, 0 or more; 0 for what costs nothing
 * @param dusty whether its dust harms
 * @param alive whether life is in it: compost, leaf mould, worm castings
 */
public record Ingredient(
        IngredientCode code,
        String name,
        double density,
        double bagLitres,
        double bagPrice,
        boolean dusty,
        boolean alive) {

    public Ingredient {
        if (!(density > 0 && density < 5)) {
            throw new IllegalArgumentException("A litre of " + name + " cannot weigh " + density + " kg.");
        }
        if (!(bagLitres > 0 && bagLitres <= 3000)) {
            throw new IllegalArgumentException("A bag of " + name + " cannot hold " + bagLitres + " L.");
        }
        if (!(bagPrice >= 0 && bagPrice < 1e6)) {
            throw new IllegalArgumentException("A bag of " + name + " cannot cost " + bagPrice + ".");
        }
    }

    /** Of one litre. */
    public double pricePerLitre() {
        return bagPrice / bagLitres;
    }

    /** kg that are lifted with a full bag. */
    public double bagMass() {
        return bagLitres * density;
    }
}
