package kiver.core.crop;

/**
 * What is wrong in a library file, and where.
 *
 * @param file its name
 * @param line counted from 1, the heading included
 * @param problem what is wrong and what would be right
 */
public record LibraryFault(String file, long line, String problem) {

    @Override
    public String toString() {
        return file + ", line " + line + ": " + problem;
    }
}
