package kiver.core.sheet;

import java.util.List;
import java.util.stream.Collectors;

/** A sheet holds faults; all of them are listed, and nothing of the sheet is used. */
public final class FaultySheetException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<SheetFault> faults;

    /** With at least one fault. */
    public FaultySheetException(List<SheetFault> faults) {
        super(faults.stream().map(SheetFault::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    /** What is wrong, in the order of the file. */
    public List<SheetFault> faults() {
        return faults;
    }
}
