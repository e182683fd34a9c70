package kiver.server.question;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Finds the things whose names stand among some words. A variety's name beats its crop's, a whole name beats a part of one,
 * and one wrong letter in a long word is forgiven. Of several that fit equally well all are found.
 */
final class NameFinder {

    private static final int LONG_WORD = 5;

    private final Vocabulary vocabulary;
    private final QuestionWords language;
    private final Set<String> namesOfPlants;

    NameFinder(Vocabulary vocabulary, QuestionWords language) {
        this.vocabulary = vocabulary;
        this.language = language;
        namesOfPlants = vocabulary.varieties().stream()
                .flatMap(variety -> wordsOf(variety.name() + " " + variety.cropName()).stream())
                .map(NameFinder::singular)
                .collect(Collectors.toSet());
    }

    /**
     * What was found.
     *
     * @param meant all that fit equally well
     * @param words that named it
     */
    record Found<T>(List<T> meant, List<Spoken.Word> words) {

        static <T> Found<T> none() {
            return new Found<>(List.of(), List.of());
        }
    }

    /** How well a name fits: a whole one before parts, then by how many words. */
    private record Fit<T>(T thing, boolean whole, List<Spoken.Word> words) {}

    /** The varieties that are meant. */
    Found<Long> varieties(List<Spoken.Word> said) {
        List<Fit<Vocabulary.VarietyName>> byName = fits(said, vocabulary.varieties(), Vocabulary.VarietyName::name);
        List<Fit<Vocabulary.VarietyName>> byCrop = fits(said, vocabulary.varieties(), Vocabulary.VarietyName::cropName);
        byCrop.addAll(byNickname(said));
        List<Fit<Vocabulary.VarietyName>> wholeNames =
                best(byName.stream().filter(Fit::whole).toList());
        if (!wholeNames.isEmpty()) {
            return found(wholeNames, byCrop);
        }
        List<Fit<Vocabulary.VarietyName>> crops = best(byCrop);
        if (crops.isEmpty()) {
            return found(best(byName), List.of());
        }
        // "Lantern kale": the crop narrows what part of a name leaves open.
        Set<Spoken.Word> ofCrop =
                crops.stream().flatMap(fit -> fit.words().stream()).collect(Collectors.toSet());
        Set<Long> ids = crops.stream().map(fit -> fit.thing().id()).collect(Collectors.toSet());
        List<Fit<Vocabulary.VarietyName>> narrowed = best(byName.stream()
                .filter(fit -> ids.contains(fit.thing().id()))
                .filter(fit -> !ofCrop.containsAll(fit.words()))
                .toList());
        return narrowed.isEmpty() ? found(crops, List.of()) : found(narrowed, crops);
    }

    private static Found<Long> found(
            List<Fit<Vocabulary.VarietyName>> meant, List<Fit<Vocabulary.VarietyName>> besides) {
        Set<Long> ids = meant.stream().map(fit -> fit.thing().id()).collect(Collectors.toSet());
        Set<Spoken.Word> words = new HashSet<>();
        meant.forEach(fit -> words.addAll(fit.words()));
        besides.stream().filter(fit -> ids.contains(fit.thing().id())).forEach(fit -> words.addAll(fit.words()));
        return new Found<>(ids.stream().sorted().toList(), List.copyOf(words));
    }

    private List<Fit<Vocabulary.VarietyName>> byNickname(List<Spoken.Word> said) {
        List<Fit<Vocabulary.VarietyName>> fits = new ArrayList<>();
        for (Map.Entry<String, String> nickname : language.nicknames().entrySet()) {
            List<String> words = wordsOf(nickname.getKey());
            List<Spoken.Word> matched = matched(said, words);
            if (matched.size() == words.size()) {
                vocabulary.varieties().stream()
                        .filter(variety -> variety.crop().written().equals(nickname.getValue()))
                        .forEach(variety -> fits.add(new Fit<>(variety, true, matched)));
            }
        }
        return fits;
    }

    /** The sites that are meant, by their own names or by whose they are; no word that may name a plant names a site alone. */
    Found<Long> sites(List<Spoken.Word> said) {
        List<Fit<Vocabulary.SiteName>> fits = fits(said, vocabulary.sites(), Vocabulary.SiteName::name);
        fits.addAll(fits(said, vocabulary.sites(), Vocabulary.SiteName::grower));
        List<Fit<Vocabulary.SiteName>> meant = best(fits.stream()
                .filter(fit -> fit.whole() || fit.words().stream().anyMatch(this::tellsASite))
                .toList());
        if (meant.isEmpty()) {
            return Found.none();
        }
        Set<Spoken.Word> words =
                meant.stream().flatMap(fit -> fit.words().stream()).collect(Collectors.toSet());
        // Both names of one site may have been said.
        Set<Long> ids = meant.stream().map(fit -> fit.thing().id()).collect(Collectors.toSet());
        fits.stream().filter(fit -> ids.contains(fit.thing().id())).forEach(fit -> words.addAll(fit.words()));
        return new Found<>(ids.stream().sorted().toList(), List.copyOf(words));
    }

    private boolean tellsASite(Spoken.Word word) {
        return word.word().length() >= LONG_WORD && !namesOfPlants.contains(singular(word.word()));
    }

    private <T> List<Fit<T>> fits(List<Spoken.Word> said, List<T> things, Function<T, String> name) {
        List<Fit<T>> fits = new ArrayList<>();
        for (T thing : things) {
            List<String> words = wordsOf(name.apply(thing));
            List<Spoken.Word> matched = matched(said, words);
            if (!matched.isEmpty()) {
                long of = words.stream()
                        .filter(word -> matched.stream().anyMatch(each -> sameWord(each.word(), word)))
                        .count();
                fits.add(new Fit<>(thing, of == words.size(), matched));
            }
        }
        return fits;
    }

    private static <T> List<Fit<T>> best(List<Fit<T>> fits) {
        Comparator<Fit<T>> better = Comparator.comparing((Fit<T> fit) -> fit.whole())
                .thenComparing(fit -> fit.words().size());
        return fits.stream()
                .max(better)
                .map(top -> fits.stream()
                        .filter(fit -> better.compare(fit, top) == 0)
                        .toList())
                .orElse(List.of());
    }

    /** The words said that stand for a word of the name. */
    private List<Spoken.Word> matched(List<Spoken.Word> said, List<String> name) {
        return said.stream()
                .filter(word -> !language.fillers().contains(word.word()))
                .filter(word -> name.stream().anyMatch(own -> sameWord(word.word(), own)))
                .toList();
    }

    private List<String> wordsOf(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}']+"))
                .filter(word -> !word.isEmpty() && !language.fillers().contains(word))
                .toList();
    }

    private static boolean sameWord(String one, String other) {
        String first = singular(one);
        String second = singular(other);
        return first.equals(second)
                || (Math.min(first.length(), second.length()) >= LONG_WORD && oneLetterApart(first, second));
    }

    private static String singular(String word) {
        String bare = word.replaceAll("'s?$", "");
        if (bare.length() > 4 && (bare.endsWith("oes") || bare.endsWith("shes") || bare.endsWith("ches"))) {
            return bare.substring(0, bare.length() - 2);
        }
        if (bare.length() > 4 && bare.endsWith("ies")) {
            return bare.substring(0, bare.length() - 3) + "y";
        }
        return bare.length() > 3 && bare.endsWith("s") && !bare.endsWith("ss")
                ? bare.substring(0, bare.length() - 1)
                : bare;
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
}
