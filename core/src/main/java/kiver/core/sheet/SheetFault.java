package kiver.core.sheet;

/**
 * What is wrong in a sheet, and where.
 *
 * @param file its name
 * @param line counted from 1, the heading included; 0 for the file as a whole
 * @param fault what is wrong
 */
public record SheetFault(String file, long line, EntryFault fault) {

    @Override
    public String toString() {
        return line == 0 ? file + ": " + fault : file + ", line " + line + ": " + fault;
    }
}
