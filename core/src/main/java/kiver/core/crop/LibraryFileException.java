package kiver.core.crop;

import java.util.List;
import java.util.stream.Collectors;

/** A library file holds faults; all of them are listed, and nothing of the file is used. */
public final class LibraryFileException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<LibraryFault> faults;

    /** With at least one fault. */
    public LibraryFileException(List<LibraryFault> faults) {
        super(faults.stream().map(LibraryFault::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    /** Every fault found, in the order of the lines. */
    public List<LibraryFault> faults() {
        return faults;
    }
}
