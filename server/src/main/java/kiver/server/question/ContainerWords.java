package kiver.server.question;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kiver.core.crop.ContainerCode;

/** Containers as they are called in English: "in 104s", "9 cm pots", "modules of 60", "in blocks", "half trays". */
final class ContainerWords {

    private static final String KIND = "(modules?|plugs?|blocks?|half|halves|pots?|carriers?|open|seed)";
    private static final String INTO = "(?<![\\p{L}\\p{N}])(?:in |into )?(?:a |an |the |our )?";
    private static final String END = "(?![\\p{L}\\p{N}])";

    private static final Pattern CENTIMETRES =
            Pattern.compile(INTO + "(\\d{1,2}) ?(?:cm|centimetres?)(?: (?:pots?|carriers?|blocks?|tubes?))?" + END);
    private static final Pattern POTS_OF =
            Pattern.compile(INTO + "(?:pots?|carriers?|tubes?) of (\\d{1,2})(?: ?cm)?" + END);
    private static final Pattern CELLS = Pattern.compile(INTO
            + "(\\d{2,3})(?:'?s(?: trays?)?|[ -]cells?(?: (?:trays?|modules?|plugs?|packs?))?|[ -](?:tray|module|plug)(?!s))"
            + END);
    private static final Pattern KIND_OF =
            Pattern.compile(INTO + KIND + "(?: trays?| packs?)?(?: of)? (\\d{2,3})s?" + END);
    private static final Pattern TRAY_OF = Pattern.compile(INTO + "trays? of (\\d{2,3})s?" + END);
    private static final Pattern KIND_ALONE = Pattern.compile(INTO + KIND + "(?: trays?| packs?)?" + END);
    private static final Pattern CENTIMETRES_IN_NAME = Pattern.compile("(\\d+) cm");

    private final List<Vocabulary.ContainerName> containers;

    ContainerWords(List<Vocabulary.ContainerName> containers) {
        this.containers = containers;
    }

    /** Containers that are named with their size, which else would be read as a number of plants. */
    List<Spoken.Taken<List<ContainerCode>>> sized(Spoken question) {
        return java.util.stream.Stream.of(
                        question.takeAll(CENTIMETRES, found -> wide(found.group(1))),
                        question.takeAll(POTS_OF, found -> wide(found.group(1))),
                        question.takeAll(CELLS, found -> fitting(withCells(found.group(1)))),
                        question.takeAll(KIND_OF, this::kindWithCells),
                        question.takeAll(TRAY_OF, found -> fitting(withCells(found.group(1)))))
                .flatMap(List::stream)
                .toList();
    }

    /** Containers that are named by their kind alone. */
    List<Spoken.Taken<List<ContainerCode>>> named(Spoken question) {
        return question.takeAll(KIND_ALONE, found -> ofKind(found.group(1)));
    }

    private Optional<List<ContainerCode>> kindWithCells(Matcher found) {
        return fitting(withCells(found.group(2)).and(kind(found.group(1))));
    }

    /** All containers of a kind. */
    Optional<List<ContainerCode>> ofKind(String said) {
        return fitting(kind(said));
    }

    private static Predicate<Vocabulary.ContainerName> kind(String said) {
        String stem = said.equals("halves") ? "half" : said.replaceAll("s$", "");
        return container -> container.name().toLowerCase(Locale.ROOT).contains(stem);
    }

    private static Predicate<Vocabulary.ContainerName> withCells(String said) {
        return container -> container.cells() == Integer.parseInt(said);
    }

    private Optional<List<ContainerCode>> wide(String centimetres) {
        return fitting(container -> {
            Matcher width = CENTIMETRES_IN_NAME.matcher(container.name());
            return width.find() && width.group(1).equals(centimetres);
        });
    }

    private Optional<List<ContainerCode>> fitting(Predicate<Vocabulary.ContainerName> fits) {
        List<ContainerCode> codes = containers.stream()
                .filter(fits)
                .map(Vocabulary.ContainerName::code)
                .toList();
        return codes.isEmpty() ? Optional.empty() : Optional.of(codes);
    }
}
