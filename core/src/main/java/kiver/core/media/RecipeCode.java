package kiver.core.media;

import java.util.regex.Pattern;

/**
 * What a recipe goes by.
 *
 * @param written small letters, digits and hyphens, 1 to 40, for example {@code fine-sowing}
 */
public record RecipeCode(String written) implements Comparable<RecipeCode> {

    private static final Pattern FORM = Pattern.compile("[a-z0-9-]{1,40}");

    public RecipeCode {
        if (!FORM.matcher(written).matches()) {
            throw new IllegalArgumentException("No code of a recipe: " + written);
        }
    }

    @Override
    public int compareTo(RecipeCode other) {
        return written.compareTo(other.written);
    }

    @Override
    public String toString() {
        return written;
    }
}
