package kiver.core.sheet;

/**
 * What is wrong in a sheet, and where.
 *
 * @param file its name
 * @param line counted from 1, the heading included; 0 for the file as a whole
 * @param problem what is wrong and what would be right
 */
public record SheetFault(String file, long line, String problem) {

    @Override
    public String toString() {
        return line == 0 ? file + ": " + problem : file + ", line " + line + ": " + problem;
    }
}
