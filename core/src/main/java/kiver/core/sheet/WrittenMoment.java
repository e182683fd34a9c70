package kiver.core.sheet;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A day as stations write it, with the hour where it is said: 2027-04-15, 20270415, 15.4.2027, 4/15/27 6:30 PM.
 *
 * @param day the date
 * @param hour 0 to 23; empty where none is said
 */
public record WrittenMoment(LocalDate day, Optional<Integer> hour) {

    private static final Pattern YEAR_FIRST =
            Pattern.compile("(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})(?:[T\\s]+(\\d{1,2}):?\\d{0,2}.*)?");
    private static final Pattern WITHOUT_MARKS =
            Pattern.compile("(\\d{4})(\\d{2})(\\d{2})(?:[T\\s]?(\\d{2})\\d{0,4})?");
    private static final Pattern YEAR_LAST = Pattern.compile(
            "(\\d{1,2})([-/.])(\\d{1,2})[-/.](\\d{4}|\\d{2})\\.?(?:[T,\\s]+(\\d{1,2}):\\d{2}.*?([ap]m)?)?");
    private static final Pattern TIME = Pattern.compile("(\\d{1,2}):\\d{2}.*?([ap]m)?");

    private static final int CENTURY = 2000;
    private static final int OLDEST_YEAR = 1800;
    private static final int LATEST_YEAR = 2300;
    private static final int NOON = 12;
    private static final int HOURS = 24;

    /** The two parts of a day before its year, in the order in which they stand; nothing of days that begin with the year. */
    public record Parts(int first, int second, char between) {}

    public static Optional<Parts> parts(String text) {
        Matcher last = YEAR_LAST.matcher(clean(text));
        return last.matches()
                ? Optional.of(new Parts(
                        Integer.parseInt(last.group(1)),
                        Integer.parseInt(last.group(3)),
                        last.group(2).charAt(0)))
                : Optional.empty();
    }

    /** The day and hour of a text; nothing when it is none. */
    public static Optional<WrittenMoment> of(String text, DateOrder order) {
        String clean = clean(text);
        for (Pattern pattern : new Pattern[] {YEAR_FIRST, WITHOUT_MARKS}) {
            Matcher first = pattern.matcher(clean);
            if (first.matches()) {
                return moment(first.group(1), first.group(2), first.group(3), hour(first.group(4), null));
            }
        }
        Matcher last = YEAR_LAST.matcher(clean);
        if (!last.matches()) {
            return Optional.empty();
        }
        boolean monthFirst = order == DateOrder.MONTH_FIRST;
        return moment(
                last.group(4),
                monthFirst ? last.group(1) : last.group(3),
                monthFirst ? last.group(3) : last.group(1),
                hour(last.group(5), last.group(6)));
    }

    /** The hour of a text that is a time of day; nothing when it is none. */
    public static Optional<Integer> hourOf(String text) {
        Matcher time = TIME.matcher(clean(text));
        return time.matches() ? hour(time.group(1), time.group(2)) : Optional.empty();
    }

    private static String clean(String text) {
        return text.strip().toLowerCase(Locale.ROOT).replace('t', 'T');
    }

    private static Optional<WrittenMoment> moment(String year, String month, String day, Optional<Integer> hour) {
        int whole = Integer.parseInt(year);
        int full = year.length() == 2 ? CENTURY + whole : whole;
        if (full < OLDEST_YEAR || full > LATEST_YEAR) {
            return Optional.empty();
        }
        try {
            LocalDate date = LocalDate.of(full, Integer.parseInt(month), Integer.parseInt(day));
            // Midnight written as 24:00 belongs to the day that ends.
            return Optional.of(new WrittenMoment(date, hour.map(each -> Math.min(each, HOURS - 1))));
        } catch (DateTimeException noDay) {
            return Optional.empty();
        }
    }

    private static Optional<Integer> hour(String hour, String half) {
        if (hour == null || Integer.parseInt(hour) > HOURS) {
            return Optional.empty();
        }
        int said = Integer.parseInt(hour);
        return Optional.of(half == null ? said : said % NOON + (half.equals("pm") ? NOON : 0));
    }
}
