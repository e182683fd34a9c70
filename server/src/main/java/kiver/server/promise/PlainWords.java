package kiver.server.promise;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kiver.core.order.LeafStage;
import kiver.core.order.Protection;

/**
 * Reads a question as it is said on the telephone: "400 curly kale, 12 May, Upper terrace, standard module". The order
 * of the parts does not matter, commas may be left out, and one wrong letter in a long word is forgiven.
 */
final class PlainWords {

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    private static final String MONTH = "(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*";
    private static final Pattern ISO = Pattern.compile("\\b(\\d{4})-(\\d{1,2})-(\\d{1,2})\\b");
    private static final Pattern DAY_MONTH =
            Pattern.compile("\\b(\\d{1,2})(?:st|nd|rd|th)?\\.? (?:of )?" + MONTH + "(?: (\\d{4}))?\\b");
    private static final Pattern MONTH_DAY = Pattern.compile("\\b" + MONTH + " (\\d{1,2})(?:st|nd|rd|th)?\\b");
    private static final Pattern IN_WEEKS = Pattern.compile("\\bin (\\d{1,2}) (weeks?|days?)\\b");
    private static final Pattern WEEK = Pattern.compile("\\bweek (\\d{1,2})\\b");
    private static final Pattern LEAVES =
            Pattern.compile("\\b(\\d{1,2})(?: ?(?:-|–|to) ?(\\d{1,2}))? (?:true )?(?:leaf|leaves)\\b");
    /** A number of plants; not one that sizes a container, as in "module 60" or "9 cm". */
    private static final Pattern COUNT = Pattern.compile("(?<!module )(?<!modules )(?<!tray )(?<!trays )(?<!tray of )"
            + "(?<!plug )(?<!pot )(?<!pots of )\\b(\\d{1,3}(?:[ ,.]\\d{3})+|\\d+)\\b(?! cm)");

    private static final Set<String> EMPTY_WORDS = Set.of(
            "for",
            "of",
            "on",
            "by",
            "at",
            "in",
            "to",
            "the",
            "a",
            "an",
            "and",
            "could",
            "you",
            "do",
            "we",
            "have",
            "can",
            "please",
            "plants",
            "plant",
            "under",
            "standard",
            "usual",
            "with",
            "i",
            "need",
            "want",
            "about");

    private final Vocabulary vocabulary;
    private final LocalDate today;
    private String rest;

    private PlainWords(String text, Vocabulary vocabulary, LocalDate today) {
        this.vocabulary = vocabulary;
        this.today = today;
        rest = " " + text.toLowerCase(Locale.ROOT).replaceAll("[;?!]", " ").replaceAll("\\s+", " ") + " ";
    }

    /**
     * What a question asks.
     *
     * @param text as typed
     * @param vocabulary of the nursery
     * @param today a day of a month without a year is the next one from today on
     */
    public static Question read(String text, Vocabulary vocabulary, LocalDate today) {
        return new PlainWords(text, vocabulary, today).question();
    }

    private Question question() {
        Optional<LocalDate> day = day();
        Optional<LeafStage> stage = stage();
        Optional<Protection> protection = protection();
        OptionalInt plants = plants();
        List<String> containers = named(vocabulary.containers(), true);
        List<String> sites = named(vocabulary.sites(), true);
        List<String> varieties = named(vocabulary.varieties(), false);
        List<String> left = Arrays.stream(
                        rest.replace(',', ' ').replace('.', ' ').strip().split(" "))
                .filter(word -> !word.isBlank() && !EMPTY_WORDS.contains(word))
                .toList();
        return new Question(
                plants,
                varieties,
                day,
                sites.stream().findFirst(),
                containers.stream().findFirst(),
                stage,
                protection,
                left);
    }

    private Optional<LocalDate> day() {
        return taken(ISO, found -> LocalDate.of(number(found, 1), number(found, 2), number(found, 3)))
                .or(() -> taken(
                        DAY_MONTH,
                        found -> found.group(3) == null
                                ? next(number(found, 1), found.group(2))
                                : LocalDate.of(number(found, 3), monthOf(found.group(2)), number(found, 1))))
                .or(() -> taken(MONTH_DAY, found -> next(number(found, 2), found.group(1))))
                .or(() -> taken(
                        IN_WEEKS,
                        found -> found.group(2).startsWith("week")
                                ? today.plusWeeks(number(found, 1))
                                : today.plusDays(number(found, 1))))
                .or(() -> taken(WEEK, found -> week(number(found, 1))));
    }

    /** The Monday of the next calendar week of that number. */
    private LocalDate week(int number) {
        LocalDate monday = today.with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, number).with(DayOfWeek.MONDAY);
        return monday.isBefore(today.minusDays(6)) ? monday.plusYears(1).with(DayOfWeek.MONDAY) : monday;
    }

    private LocalDate next(int day, String month) {
        LocalDate thisYear = LocalDate.of(today.getYear(), monthOf(month), day);
        return thisYear.isBefore(today) ? thisYear.plusYears(1) : thisYear;
    }

    private static int monthOf(String word) {
        return MONTHS.indexOf(word.substring(0, 3)) + 1;
    }

    private Optional<LeafStage> stage() {
        return taken(
                LEAVES,
                found -> new LeafStage(
                        number(found, 1), found.group(2) == null ? number(found, 1) + 1 : number(found, 2)));
    }

    private Optional<Protection> protection() {
        if (take("unheated tunnel") || take("in a tunnel") || take("under a tunnel") || take("tunnel")) {
            return Optional.of(Protection.UNHEATED_TUNNEL);
        }
        if (take("low cover") || take("fleece") || take("covered") || take("cloche")) {
            return Optional.of(Protection.LOW_COVER);
        }
        return take("open ground") ? Optional.of(Protection.OPEN_GROUND) : Optional.empty();
    }

    private OptionalInt plants() {
        Optional<Integer> found = taken(COUNT, match -> {
            long count = Long.parseLong(match.group(1).replaceAll("[ ,.]", ""));
            return (int) Math.min(count, Integer.MAX_VALUE);
        });
        return found.map(OptionalInt::of).orElseGet(OptionalInt::empty);
    }

    /** The things of a kind whose names cover most words of the question; several when they tie by their kind. */
    private List<String> named(List<Vocabulary.Name> names, boolean one) {
        int best = 0;
        List<Vocabulary.Name> meant = new ArrayList<>();
        List<String> spoken = List.of(rest.replace(',', ' ').strip().split("\\s+"));
        List<String> bestWords = List.of();
        for (Vocabulary.Name name : names) {
            List<String> own = matched(spoken, name.name());
            List<String> kind = matched(spoken, name.kind());
            // A name said whole outweighs any part of one.
            boolean numbersAlone = joined(own, kind).stream().allMatch(word -> word.matches("\\d+"));
            int score = numbersAlone ? 0 : score(own, name.name()) + score(kind, name.kind());
            if (score > best) {
                best = score;
                meant.clear();
            }
            if (score == best && score > 0) {
                meant.add(name);
                bestWords = own.size() + kind.size() >= bestWords.size() ? joined(own, kind) : bestWords;
            }
        }
        bestWords.forEach(
                word -> rest = rest.replaceFirst("(?<![a-z0-9])" + Pattern.quote(word) + "(?![a-z0-9])", " "));
        return (one ? meant.stream().limit(1) : meant.stream())
                .map(Vocabulary.Name::key)
                .toList();
    }

    private static int score(List<String> matched, String name) {
        int words = name.isBlank() ? 0 : wordsOf(name).size();
        return 10 * matched.size() + (words > 0 && matched.size() >= words ? 15 : 0);
    }

    private static List<String> joined(List<String> one, List<String> other) {
        List<String> both = new ArrayList<>(one);
        other.stream().filter(word -> !both.contains(word)).forEach(both::add);
        return both;
    }

    /** The spoken words that stand for a word of the name. */
    private static List<String> matched(List<String> spoken, String name) {
        List<String> words = wordsOf(name);
        return spoken.stream()
                .filter(word -> !EMPTY_WORDS.contains(word))
                .filter(word -> words.stream().anyMatch(other -> sameWord(word, other)))
                .distinct()
                .toList();
    }

    private static List<String> wordsOf(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty() && !EMPTY_WORDS.contains(word))
                .toList();
    }

    private static boolean sameWord(String one, String other) {
        String first = singular(one);
        String second = singular(other);
        if (first.equals(second)) {
            return true;
        }
        return Math.min(first.length(), second.length()) >= 5 && oneLetterApart(first, second);
    }

    private static String singular(String word) {
        if (word.length() > 4 && word.endsWith("oes")) {
            return word.substring(0, word.length() - 2);
        }
        return word.length() > 3 && word.endsWith("s") && !word.endsWith("ss")
                ? word.substring(0, word.length() - 1)
                : word;
    }

    private static boolean oneLetterApart(String one, String other) {
        if (Math.abs(one.length() - other.length()) > 1) {
            return false;
        }
        String shorter = one.length() <= other.length() ? one : other;
        String longer = shorter.equals(one) ? other : one;
        int index = 0;
        while (index < shorter.length() && shorter.charAt(index) == longer.charAt(index)) {
            index++;
        }
        return shorter.length() == longer.length()
                ? shorter.substring(Math.min(index + 1, shorter.length()))
                        .equals(longer.substring(Math.min(index + 1, longer.length())))
                : shorter.substring(index).equals(longer.substring(index + 1));
    }

    private boolean take(String words) {
        Pattern pattern = Pattern.compile("(?<![a-z])" + Pattern.quote(words) + "(?![a-z])");
        Matcher found = pattern.matcher(rest);
        if (!found.find()) {
            return false;
        }
        rest = found.replaceFirst(" ");
        return true;
    }

    private <T> Optional<T> taken(Pattern pattern, Function<Matcher, T> read) {
        Matcher found = pattern.matcher(rest);
        if (!found.find()) {
            return Optional.empty();
        }
        try {
            T value = read.apply(found);
            rest = rest.substring(0, found.start()) + " " + rest.substring(found.end());
            return Optional.of(value);
        } catch (DateTimeException | IllegalArgumentException cannotBe) {
            return Optional.empty();
        }
    }

    private static int number(Matcher found, int group) {
        return Integer.parseInt(found.group(group));
    }
}
