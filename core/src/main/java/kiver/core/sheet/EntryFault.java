package kiver.core.sheet;

import java.time.LocalDate;
import java.util.List;

/** What is wrong with an entry, or with a whole file. Columns are named as in the heading line. */
public sealed interface EntryFault {

    /** Nothing stands there, and something must. */
    record Empty(String column) implements EntryFault {}

    /** It is no number. */
    record NotANumber(String column, String entry) implements EntryFault {}

    /** It is no whole number. */
    record NotWhole(String column, String entry) implements EntryFault {}

    /** It is no day. */
    record NotADay(String column, String entry) implements EntryFault {}

    /** It is none of the entries allowed. */
    record NotOneOf(String column, String entry, List<String> allowed) implements EntryFault {}

    /** The entries do not make a thing that can be; for programmers' reasons, in their words. */
    record Impossible(String why) implements EntryFault {}

    /** The lowest of a day lies above its highest. */
    record Swapped(double minimum, double maximum) implements EntryFault {}

    /** A measured day is not over yet. */
    record NotOverYet(LocalDate day) implements EntryFault {}

    /** Nobody ever measured such temperatures, °C. */
    record NeverMeasured(double minimum, double maximum) implements EntryFault {}

    /** A day stands there twice. */
    record DayTwice(LocalDate day) implements EntryFault {}

    /** The file's letters are not UTF-8 from here on. */
    record NotUnicode() implements EntryFault {}

    /** The heading lacks columns. */
    record HeadingLacks(List<String> missing, String heading) implements EntryFault {}

    /** The file is no comma-separated sheet; why, in the words of what reads it. */
    record NoSheet(String why) implements EntryFault {}

    /** Nothing stands in the file. */
    record EmptyFile(String heading) implements EntryFault {}

    /** The columns are not separated by commas. */
    record SeparatedBy(Separator separator) implements EntryFault {}

    /** Of a day's hours too few were read to believe its lowest and highest. */
    record TooFewHours(LocalDate day, int hours) implements EntryFault {}

    /** No line holds a day. */
    record NoDays() implements EntryFault {}

    /** The thermometer said the same all day, or the same for days on end. */
    record Stuck(LocalDate day) implements EntryFault {}

    /** What may stand between columns. */
    enum Separator {
        SEMICOLONS,
        TABS,
        SOMETHING_ELSE
    }
}
