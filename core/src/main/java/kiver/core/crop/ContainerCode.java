package kiver.core.crop;

import java.util.Objects;

/**
 * Says which container is meant; never shown where its name would do.
 *
 * @param written short and lasting, lower case, for example "module-60"
 */
public record ContainerCode(String written) {

    public ContainerCode {
        Objects.requireNonNull(written);
    }

    /** As it stands in files and columns. */
    @Override
    public String toString() {
        return written;
    }
}
