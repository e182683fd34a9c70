package kiver.core.crop;

import java.util.Objects;

/**
 * Says which crop is meant; never shown where its name would do.
 *
 * @param written short and lasting, lower case, for example "curly-kale"
 */
public record CropCode(String written) {

    public CropCode {
        Objects.requireNonNull(written);
    }

    /** As it stands in files and columns. */
    @Override
    public String toString() {
        return written;
    }
}
