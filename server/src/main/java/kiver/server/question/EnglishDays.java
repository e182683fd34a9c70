package kiver.server.question;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Days as people say and write them in English: "12.5.", "Thursday week", "first week of June", "in three weeks". A day
 * without a year is the next one from today on; a weekday is never today's.
 */
final class EnglishDays {

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final List<String> WEEKDAYS = List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");
    private static final List<String> RANKS = List.of("first", "second", "third", "fourth");

    private static final String MONTH =
            "(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|"
                    + "sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\\b\\.?";
    private static final String WEEKDAY =
            "(?:mon(?:day)?|tue(?:s(?:day)?)?|wed(?:s|nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)\\b";
    private static final String YEAR = "(?:,? ?(?:20\\d\\d|'\\d\\d)\\b)?";
    private static final String NUMBER = EnglishNumbers.ORDINAL;

    /** One day with its month, however it is written. */
    private static final String DATE = "(?:\\d{4}-\\d{1,2}-\\d{1,2}\\b"
            + "|\\d{1,2}/\\d{1,2}(?:/\\d{2,4})?(?![\\d/])|\\d{1,2}-\\d{1,2}-\\d{4}\\b"
            + "|\\d{1,2}\\. ?\\d{1,2}\\.(?: ?\\d{4}\\b|\\d{2}\\b)?(?!\\d)"
            + "|\\d{1,2}\\.\\d{1,2}(?![\\d.]| ?(?:cm|%|k|weeks?|days?))"
            + "|" + NUMBER + "\\.? (?:of )?" + MONTH + YEAR
            + "|" + MONTH + " (?:the )?" + NUMBER + "\\b" + YEAR + ")";

    private static final Pattern WRITTEN = Pattern.compile("(\\d{1,4})[/. -]+(\\d{1,2})(?:[/. -]+(\\d{2,4})|\\.)?");
    private static final Pattern DAY_FIRST =
            Pattern.compile("(" + NUMBER + ")\\.? (?:of )?(" + MONTH + "),? ?('?\\d{2,4})?");
    private static final Pattern MONTH_FIRST =
            Pattern.compile("(" + MONTH + ") (?:the )?(" + NUMBER + "),? ?('?\\d{2,4})?");

    private static final String NOT_INSIDE = "(?<![\\p{L}\\p{N}.,/-])";

    private final LocalDate today;
    private final boolean monthFirst;

    /**
     * @param today a day without a year is looked for from then on
     * @param monthFirst whether 6/12 is in June, as in America
     */
    EnglishDays(LocalDate today, boolean monthFirst) {
        this.today = today;
        this.monthFirst = monthFirst;
    }

    private record Form(Pattern pattern, Function<Matcher, Optional<DaySpan>> meaning) {}

    private Form form(String pattern, Function<Matcher, Optional<DaySpan>> meaning) {
        return new Form(Pattern.compile(NOT_INSIDE + pattern + "(?![\\p{L}\\p{N}])"), found -> {
            try {
                return meaning.apply(found);
            } catch (DateTimeException | IllegalArgumentException noSuchDay) {
                return Optional.empty();
            }
        });
    }

    /** From the most particular to the plainest: what an earlier one takes no later one sees. */
    private List<Form> forms() {
        String from = "(?:between |from )?";
        String to = "(?: ?- ?| to | and | until | till )";
        return List.of(
                form(
                        "(?:w/?c|(?:the )?week (?:commencing|beginning|starting|of)) (?:" + WEEKDAY + " )?(?:the )?("
                                + DATE + ")",
                        found -> date(found.group(1)).map(DaySpan::week)),
                form(
                        "(?:between|from) (" + DATE + ")" + to + "(" + DATE + ")",
                        found -> between(date(found.group(1)), date(found.group(2)))),
                form(
                        from + "(" + NUMBER + ")" + to + "(" + NUMBER + ")\\.? (?:of )?(" + MONTH + ")(" + YEAR + ")",
                        found -> between(
                                date(found.group(1) + " " + found.group(3) + found.group(4)),
                                date(found.group(2) + " " + found.group(3) + found.group(4)))),
                form(
                        from + "(" + MONTH + ") (" + NUMBER + ")" + to + "(" + NUMBER + ")",
                        found -> between(
                                date(found.group(2) + " " + found.group(1)),
                                date(found.group(3) + " " + found.group(1)))),
                form(
                        "(?:the )?(first|second|third|fourth|1st|2nd|3rd|4th|last) week (?:of|in) (" + MONTH + ")("
                                + YEAR + ")",
                        found -> Optional.of(weekOf(month(found.group(2), found.group(3)), found.group(1)))),
                form(
                        "(?:the )?(beginning|start|early|middle|mid|end|late|first half|second half)(?: ?- ?| of | in )?(?: ?the )?"
                                + " ?(" + MONTH + ")(" + YEAR + ")",
                        found -> Optional.of(partOf(month(found.group(2), found.group(3)), found.group(1)))),
                form(
                        "(?:in|within) (?:about )?(" + EnglishNumbers.FEW
                                + ") (day|week|fortnight|month)s?'?(?: time)?",
                        found -> ahead(found.group(1), found.group(2))),
                form(
                        "(" + EnglishNumbers.FEW
                                + ") (day|week|fortnight|month)s?'?(?: from (?:now|today)| today| time| hence)",
                        found -> ahead(found.group(1), found.group(2))),
                form(
                        "(?:a )?(week|fortnight) (?:on|from) (" + WEEKDAY + ")",
                        found -> Optional.of(DaySpan.of(
                                next(found.group(2)).plusWeeks(found.group(1).equals("week") ? 1 : 2)))),
                form("(?:the )?day after tomorrow", found -> Optional.of(DaySpan.of(today.plusDays(2)))),
                form(
                        "(today|tomorrow)(?: (week|fortnight))?",
                        found -> Optional.of(
                                DaySpan.of(today.plusDays(found.group(1).equals("today") ? 0 : 1)
                                        .plusWeeks(weeks(found.group(2)))))),
                form("(not before |before |after )?(?:(" + WEEKDAY + "),? (?:the )?)?(" + DATE + ")", this::day),
                form("(?:on )?(this |next |coming )?(" + WEEKDAY + ")(?: (week|fortnight))?(?!,? ?\\|)", this::weekday),
                form(
                        "(?:calendar )?(?:week|wk|w)\\.? ?(?:no\\.? ?|number )?(\\d{1,2})",
                        found -> calendarWeek(found.group(1))),
                form(
                        "(?:the )?end of (?:the |this )?week|(?:this |the )?weekend",
                        found -> Optional.of(
                                DaySpan.of(monday().plusDays(found.group().contains("weekend") ? 5 : 6)))),
                form("(?:the )?week after next", found -> Optional.of(DaySpan.week(monday().plusWeeks(2)))),
                form("next week", found -> Optional.of(DaySpan.week(monday().plusWeeks(1)))),
                form("this week", found -> Optional.of(new DaySpan(today, monday().plusDays(6)))),
                form(
                        "(this|next) month",
                        found -> Optional.of(whole(
                                YearMonth.from(today).plusMonths(found.group(1).equals("this") ? 0 : 1)))),
                form(
                        "(?:on )?the (\\d{1,2})(?:st|nd|rd|th)",
                        found -> Optional.of(DaySpan.of(nextOfMonth(number(found.group(1)))))),
                form(
                        "(?:in|during|for|sometime in|by) (" + MONTH + ")(" + YEAR + ")",
                        found -> Optional.of(whole(month(found.group(1), found.group(2))))),
                form("(" + MONTH + ") *$", found -> Optional.of(whole(month(found.group(1), "")))));
    }

    private static final Pattern A_DATE = Pattern.compile(NOT_INSIDE + DATE + "(?![\\p{L}\\p{N}])");

    /** Takes out days that no calendar has, such as 30 February. */
    List<Spoken.Taken<String>> impossible(Spoken question) {
        List<Spoken.Taken<String>> none = question.look(A_DATE).stream()
                .filter(date -> date(date.value()).isEmpty())
                .toList();
        none.forEach(date -> question.takeOut(date.from(), date.to()));
        return none;
    }

    /** All days that are said, in their order. */
    List<Spoken.Taken<DaySpan>> read(Spoken question) {
        List<Spoken.Taken<DaySpan>> days = new ArrayList<>();
        for (Form form : forms()) {
            days.addAll(question.takeAll(form.pattern(), form.meaning()));
        }
        days.sort((one, other) -> Integer.compare(one.from(), other.from()));
        return days;
    }

    private static final Pattern EARLIER_OR_LATER = Pattern.compile(NOT_INSIDE + "(" + EnglishNumbers.FEW
            + ") (day|week|fortnight|month)s? (earlier|sooner|later)(?![\\p{L}\\p{N}])");
    private static final Pattern SOONER = Pattern.compile(NOT_INSIDE + "(earlier|sooner|later) by ("
            + EnglishNumbers.FEW + ") (day|week|fortnight|month)s?(?![\\p{L}\\p{N}])");

    /** How many days later than before something is wanted; negative for earlier. */
    Optional<Spoken.Taken<Integer>> moved(Spoken question) {
        return question.take(EARLIER_OR_LATER, found -> days(found.group(1), found.group(2), found.group(3)))
                .or(() -> question.take(SOONER, found -> days(found.group(2), found.group(3), found.group(1))));
    }

    private static Optional<Integer> days(String count, String unit, String direction) {
        int days = few(count) * (unit.equals("day") ? 1 : unit.equals("week") ? 7 : unit.equals("fortnight") ? 14 : 30);
        return Optional.of(direction.equals("later") ? days : -days);
    }

    private static Optional<DaySpan> between(Optional<LocalDate> first, Optional<LocalDate> last) {
        return first.flatMap(from -> last.map(to -> new DaySpan(from, to.isBefore(from) ? to.plusYears(1) : to)));
    }

    /** A weekday that is not that of the date is not taken: one of the two was misheard. */
    private Optional<DaySpan> day(Matcher found) {
        return date(found.group(3))
                .filter(date -> found.group(2) == null || date.getDayOfWeek() == weekdayOf(found.group(2)))
                .map(date -> found.group(1) == null || found.group(1).startsWith("not")
                        ? date
                        : date.plusDays(found.group(1).equals("after ") ? 1 : -1))
                .map(DaySpan::of);
    }

    private Optional<DaySpan> weekday(Matcher found) {
        DayOfWeek wanted = weekdayOf(found.group(2));
        LocalDate day = "next ".equals(found.group(1))
                ? monday().plusWeeks(1).with(TemporalAdjusters.nextOrSame(wanted))
                : next(found.group(2));
        return Optional.of(DaySpan.of(day.plusWeeks(weeks(found.group(3)))));
    }

    private static int weeks(String unit) {
        return unit == null ? 0 : unit.equals("week") ? 1 : 2;
    }

    private LocalDate next(String weekday) {
        return today.with(TemporalAdjusters.next(weekdayOf(weekday)));
    }

    private LocalDate monday() {
        return today.with(DayOfWeek.MONDAY);
    }

    private Optional<DaySpan> ahead(String count, String unit) {
        int number = few(count);
        return Optional.of(DaySpan.of(
                switch (unit) {
                    case "day" -> today.plusDays(number);
                    case "week" -> today.plusWeeks(number);
                    case "fortnight" -> today.plusWeeks(2L * number);
                    default -> today.plusMonths(number);
                }));
    }

    private static int few(String count) {
        return count.equals("a") || count.equals("an")
                ? 1
                : count.startsWith("a couple") ? 2 : EnglishNumbers.value(count).orElse(0);
    }

    /** The next calendar week of that number, Monday to Sunday (ISO 8601). */
    private Optional<DaySpan> calendarWeek(String said) {
        int week = number(said);
        for (int year = today.getYear(); year <= today.getYear() + 6; year++) {
            LocalDate inYear = LocalDate.of(year, 7, 1);
            if (week >= 1
                    && week <= inYear.range(IsoFields.WEEK_OF_WEEK_BASED_YEAR).getMaximum()) {
                LocalDate first =
                        inYear.with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, week).with(DayOfWeek.MONDAY);
                if (!first.plusDays(6).isBefore(today)) {
                    return Optional.of(DaySpan.week(first));
                }
            }
        }
        return Optional.empty();
    }

    private static DaySpan weekOf(YearMonth month, String rank) {
        if (rank.equals("last")) {
            return DaySpan.week(month.atEndOfMonth().minusDays(6));
        }
        int number = Character.isDigit(rank.charAt(0)) ? number(rank.substring(0, 1)) : RANKS.indexOf(rank) + 1;
        return DaySpan.week(month.atDay(7 * number - 6));
    }

    /** Growers part a month into three: early to the 10th, mid to the 20th, and its end. */
    private static DaySpan partOf(YearMonth month, String part) {
        return switch (part) {
            case "beginning", "start", "early" -> new DaySpan(month.atDay(1), month.atDay(10));
            case "middle", "mid" -> new DaySpan(month.atDay(11), month.atDay(20));
            case "first half" -> new DaySpan(month.atDay(1), month.atDay(15));
            case "second half" -> new DaySpan(month.atDay(16), month.atEndOfMonth());
            default -> new DaySpan(month.atDay(21), month.atEndOfMonth());
        };
    }

    private DaySpan whole(YearMonth month) {
        LocalDate first = month.atDay(1);
        return new DaySpan(
                first.isBefore(today) && !month.atEndOfMonth().isBefore(today) ? today : first, month.atEndOfMonth());
    }

    /** The next such month that is not over. */
    private YearMonth month(String name, String year) {
        int month = monthOf(name);
        if (year != null && !year.isBlank()) {
            return YearMonth.of(yearOf(year), month);
        }
        YearMonth thisYear = YearMonth.of(today.getYear(), month);
        return thisYear.isBefore(YearMonth.from(today)) ? thisYear.plusYears(1) : thisYear;
    }

    private LocalDate nextOfMonth(int day) {
        YearMonth month = YearMonth.from(today);
        while (day > month.lengthOfMonth() || month.atDay(day).isBefore(today)) {
            if (day > 31) {
                throw new DateTimeException("No month has so many days.");
            }
            month = month.plusMonths(1);
        }
        return month.atDay(day);
    }

    /** One date, in words or in figures; empty where there is no such day. */
    private Optional<LocalDate> date(String said) {
        Matcher dayFirst = DAY_FIRST.matcher(said);
        if (dayFirst.matches()) {
            return dated(dayFirst.group(3), monthOf(dayFirst.group(2)), EnglishNumbers.ordinal(dayFirst.group(1)));
        }
        Matcher month = MONTH_FIRST.matcher(said);
        if (month.matches()) {
            return dated(month.group(3), monthOf(month.group(1)), EnglishNumbers.ordinal(month.group(2)));
        }
        Matcher written = WRITTEN.matcher(said.strip());
        if (!written.matches()) {
            return Optional.empty();
        }
        int one = number(written.group(1));
        int other = number(written.group(2));
        if (written.group(1).length() == 4) {
            return exact(one, other, number(written.group(3)));
        }
        // Between dots the day comes first everywhere; between strokes it depends on where one is, unless there is no
        // such month.
        boolean monthLeads = !said.contains(".") && (monthFirst ? one <= 12 : other > 12);
        return monthLeads ? dated(written.group(3), one, other) : dated(written.group(3), other, one);
    }

    private Optional<LocalDate> dated(String year, int month, int day) {
        if (year != null && !year.isBlank()) {
            return exact(yearOf(year), month, day);
        }
        for (int ahead = 0; ahead <= 8; ahead++) {
            Optional<LocalDate> date =
                    exact(today.getYear() + ahead, month, day).filter(each -> !each.isBefore(today));
            if (date.isPresent()) {
                return date;
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> exact(int year, int month, int day) {
        return month >= 1
                        && month <= 12
                        && day >= 1
                        && day <= YearMonth.of(year, month).lengthOfMonth()
                ? Optional.of(LocalDate.of(year, month, day))
                : Optional.empty();
    }

    private static int yearOf(String said) {
        int year = number(said.replaceAll("\\D", ""));
        return year < 100 ? 2000 + year : year;
    }

    private static int monthOf(String name) {
        return MONTHS.indexOf(name.substring(0, 3)) + 1;
    }

    private static DayOfWeek weekdayOf(String name) {
        return DayOfWeek.of(WEEKDAYS.indexOf(name.substring(0, 3)) + 1);
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }
}
