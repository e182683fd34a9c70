package kiver.server.question;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A question as it was typed, of which more and more is understood. What is taken out of it leaves a gap, so that every word
 * keeps its place, and nothing is read twice.
 */
final class Spoken {

    private static final char GAP = '|';
    private static final Pattern WORD = Pattern.compile("[^\\s|,;?!()\"]+");

    private final StringBuilder rest;

    Spoken(String text) {
        rest = new StringBuilder(text.length());
        for (int at = 0; at < text.length(); at++) {
            rest.append(plain(text.charAt(at)));
        }
    }

    /** Letter by letter, so that places stay what they are: a small letter, and the one dash and apostrophe there is. */
    private static char plain(char letter) {
        return switch (letter) {
            case '–', '—', '‑' -> '-';
            case '’', '‘', '`' -> '\'';
            case GAP, '\u00a0', '\u202f', '\n', '\r', '\t' -> ' ';
            default -> Character.toLowerCase(letter);
        };
    }

    /**
     * Something that was understood.
     *
     * @param from place of its first letter
     * @param to place after its last letter
     * @param value what it says
     */
    record Taken<T>(int from, int to, T value) {}

    /** A word that nothing has taken. */
    record Word(String word, int from, int to) {}

    /** Takes out the first piece of such a form that makes sense. */
    <T> Optional<Taken<T>> take(Pattern form, Function<Matcher, Optional<T>> meaning) {
        Matcher found = form.matcher(rest);
        for (int place = 0; place <= rest.length() && found.find(place); place = found.start() + 1) {
            Optional<T> value = meaning.apply(found);
            if (value.isPresent()) {
                int from = found.start();
                int to = found.end();
                takeOut(from, to);
                return Optional.of(new Taken<>(from, to, value.get()));
            }
        }
        return Optional.empty();
    }

    /** Takes out every piece of such a form that makes sense, in their order. */
    <T> List<Taken<T>> takeAll(Pattern form, Function<Matcher, Optional<T>> meaning) {
        List<Taken<T>> all = new ArrayList<>();
        for (Optional<Taken<T>> next = take(form, meaning); next.isPresent(); next = take(form, meaning)) {
            all.add(next.get());
        }
        all.sort(Comparator.comparingInt(Taken::from));
        return all;
    }

    /** The pieces of a form, one behind the other, without taking any. */
    List<Taken<String>> look(Pattern form) {
        return form.matcher(rest)
                .results()
                .map(found -> new Taken<>(found.start(), found.end(), found.group()))
                .toList();
    }

    /** Takes words out. */
    void takeOut(int from, int to) {
        for (int place = from; place < to; place++) {
            rest.setCharAt(place, GAP);
        }
    }

    /** The words that are left between two places; dots at their end are none of theirs. */
    List<Word> words(int from, int to) {
        List<Word> words = new ArrayList<>();
        Matcher found = WORD.matcher(rest).region(from, to);
        while (found.find()) {
            String word = found.group().replaceAll("[.:'-]+$", "").replaceAll("^[.:'-]+", "");
            if (!word.isEmpty()) {
                int begin = found.start() + found.group().indexOf(word);
                words.add(new Word(word, begin, begin + word.length()));
            }
        }
        return words;
    }

    /** All words that are left. */
    List<Word> words() {
        return words(0, rest.length());
    }

    int length() {
        return rest.length();
    }
}
