package kiver.core.media;

import java.util.regex.Pattern;

/**
 * What an ingredient of a mix goes by.
 *
 * @param written small letters, digits and hyphens, 1 to 40, for example {@code perlite}
 */
public record IngredientCode(String written) implements Comparable<IngredientCode> {

    private static final Pattern FORM = Pattern.compile("[a-z0-9-]{1,40}");

    public IngredientCode {
        if (!FORM.matcher(written).matches()) {
            throw new IllegalArgumentException("No code of an ingredient: " + written);
        }
    }

    @Override
    public int compareTo(IngredientCode other) {
        return written.compareTo(other.written);
    }

    @Override
    public String toString() {
        return written;
    }
}
