package kiver.server.question;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Numbers as they are said in English: "two dozen", "a hundred and fifty", "1,000", "2k". */
final class EnglishNumbers {

    private static final List<String> SMALL = List.of(
            "zero",
            "one",
            "two",
            "three",
            "four",
            "five",
            "six",
            "seven",
            "eight",
            "nine",
            "ten",
            "eleven",
            "twelve",
            "thirteen",
            "fourteen",
            "fifteen",
            "sixteen",
            "seventeen",
            "eighteen",
            "nineteen");
    private static final Map<String, Integer> TENS = Map.of(
            "twenty", 20, "thirty", 30, "forty", 40, "fifty", 50, "sixty", 60, "seventy", 70, "eighty", 80, "ninety",
            90);
    private static final Map<String, Integer> TIMES =
            Map.of("dozen", 12, "score", 20, "hundred", 100, "thousand", 1000, "couple", 2);
    private static final List<String> ORDINALS = List.of(
            "first",
            "second",
            "third",
            "fourth",
            "fifth",
            "sixth",
            "seventh",
            "eighth",
            "ninth",
            "tenth",
            "eleventh",
            "twelfth",
            "thirteenth",
            "fourteenth",
            "fifteenth",
            "sixteenth",
            "seventeenth",
            "eighteenth",
            "nineteenth",
            "twentieth");

    private static final String WORD = "(?:" + String.join("|", SMALL) + "|" + String.join("|", TENS.keySet()) + "|"
            + String.join("|", TIMES.keySet()) + ")";

    /** Digits, with or without marks between thousands. */
    private static final String DIGITS = "(?:\\d{1,3}(?:[ ,.']\\d{3})+|\\d+)(?![\\d.,]*\\d)";

    /** A number in words. */
    private static final String WORDS =
            "(?:half a |half an |an? )?" + WORD + "s?(?:(?:[ -]| and | of )" + WORD + ")*\\b(?: of\\b)?";

    /** A number of anything, in digits or in words. */
    static final String ANY = "(?:" + DIGITS + "(?:k|(?: (?:dozen|score|hundred|thousand))s?)?(?![a-z])|" + WORDS + ")";

    /** A small number, in digits or in words, or "a" for one. */
    static final String FEW = "(?:\\d{1,3}|" + String.join("|", SMALL) + "|a couple of|an?)";

    /** The number of a day, in digits or in words. */
    static final String ORDINAL = "(?:[0-3]?\\d(?!\\d)(?:st|nd|rd|th)?|(?:twenty|thirty)[- ](?:"
            + String.join("|", ORDINALS.subList(0, 9)) + ")|"
            + String.join(
                    "|",
                    ORDINALS.stream()
                            .sorted((one, other) -> other.length() - one.length())
                            .toList())
            + "|thirtieth)";

    private EnglishNumbers() {}

    /** The number that is said; empty for none or one beyond all measure. */
    static Optional<Integer> value(String said) {
        String text = said.strip().replaceAll(" of$", "");
        if (Character.isDigit(text.charAt(0))) {
            String digits = text.replaceAll("\\D", "");
            String unit = text.replaceAll("[^a-z]", "").replaceAll("s$", "");
            long times = unit.equals("k") ? 1000 : TIMES.getOrDefault(unit, 1);
            return digits.length() > 9
                    ? Optional.of(Integer.MAX_VALUE)
                    : Optional.of((int) Math.min(Integer.MAX_VALUE, Long.parseLong(digits) * times));
        }
        return inWords(text);
    }

    private static Optional<Integer> inWords(String text) {
        boolean half = text.startsWith("half a");
        List<String> words = Arrays.stream(text.replaceFirst("^half an? ", "").split("[ -]"))
                .filter(word -> !word.equals("and") && !word.equals("of"))
                .map(word -> TIMES.containsKey(word) || !word.endsWith("s") || SMALL.contains(word)
                        ? word
                        : word.substring(0, word.length() - 1))
                .collect(Collectors.toList());
        int whole = 0;
        int part = 0;
        for (String word : words) {
            if (word.equals("a") || word.equals("an")) {
                part = 1;
            } else if (SMALL.contains(word)) {
                part += SMALL.indexOf(word);
            } else if (TENS.containsKey(word)) {
                part += TENS.get(word);
            } else if (TIMES.containsKey(word)) {
                part = Math.max(1, part) * TIMES.get(word);
                if (word.equals("thousand")) {
                    whole += part;
                    part = 0;
                }
            } else {
                return Optional.empty();
            }
        }
        int value = whole + part;
        return value == 0 ? Optional.empty() : Optional.of(half ? value / 2 : value);
    }

    /** The day of a month that is said, 1 to 39: whether there is such a day is for others to tell. */
    static int ordinal(String said) {
        if (Character.isDigit(said.charAt(0))) {
            return Integer.parseInt(said.replaceAll("\\D", ""));
        }
        if (said.equals("thirtieth")) {
            return 30;
        }
        if (ORDINALS.contains(said)) {
            return ORDINALS.indexOf(said) + 1;
        }
        String[] both = said.split("[- ]");
        return TENS.get(both[0]) + ORDINALS.indexOf(both[1]) + 1;
    }
}
