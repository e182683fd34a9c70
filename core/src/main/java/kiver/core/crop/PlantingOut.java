package kiver.core.crop;

/**
 * What the grower is told on the delivery note.
 *
 * @param spacing cm between plants, positive
 * @param depth how deep to set it, in words, for example "to the lowest leaves"
 * @param caution what can hurt the person who handles it, or empty
 */
public record PlantingOut(int spacing, String depth, String caution) {
    public PlantingOut {
        if (spacing < 1) {
            throw new IllegalArgumentException("Spacing must be at least 1 cm, not " + spacing + ".");
        }
    }
}
