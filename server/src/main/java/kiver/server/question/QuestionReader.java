package kiver.server.question;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LeafStage;
import kiver.core.order.Protection;

/**
 * Reads a question as it is said on the telephone in English: "400 curly kale and two trays of leeks, mid May, in the tunnel".
 * The order of the parts does not matter. Each number of plants begins a line of its own; a day, a place or a cover that is said
 * once holds for all lines.
 */
final class QuestionReader {

    private static final String END = "(?![\\p{L}\\p{N}])";
    private static final String BEGIN = "(?<![\\p{L}\\p{N}])";

    private static final Pattern STILL_TO_SOW = Pattern.compile(BEGIN
            + "(?:what (?:else )?(?:can|could|may|is there that) (?:i|we|you|be)?(?: still| yet)? ?(?:be )?(?:still )?(?:sow|sown|start|started|plant)"
            + "|what(?: is|'s) (?:still )?(?:left )?to sow|what to sow|still to sow)" + END);
    private static final Pattern LEAVES = Pattern.compile(BEGIN + "(" + EnglishNumbers.FEW + ")(?: ?(?:-|to|or) ?("
            + EnglishNumbers.FEW + "))?[ -](?:true |proper )?(?:leaf|leaves|leaved)(?: stage| plants?)?" + END);
    private static final Pattern AMOUNT_OF_TRAYS = Pattern.compile("(?<![\\p{L}\\p{N}.,])(" + EnglishNumbers.ANY
            + "|an?)(?: (?:whole|full))? (?:(half|module|plug|block|seed|open) )?(?:trays?|flats?|packs?|carriers?)(?: of)?"
            + END);
    private static final Pattern AMOUNT = Pattern.compile("(?<![\\p{L}\\p{N}.,/-])(" + EnglishNumbers.ANY + ")" + END);
    private static final Pattern BESIDES = Pattern.compile("^[ ,]*(?:and|plus|also|as well as)" + END);
    private static final Pattern TUNNEL = Pattern.compile(
            BEGIN + "(?:in |under |inside )?(?:an? |the |my |our |their )?(?:unheated |cold |poly ?)?tunnels?" + END);
    private static final Pattern COVER = Pattern.compile(BEGIN
            + "(?:in |under )?(?:an? |the |some )?(?:low cover|low covers|fleece|cloches?|frost cloth|row cover|covered)"
            + END);
    private static final Pattern OPEN = Pattern.compile(
            BEGIN + "(?:in |into |on )?(?:the )?(?:open ground|open field|open air|open|outdoors|outside|out of doors)"
                    + END);

    private static final int MOST_LEAVES = 20;

    private final QuestionWords language;
    private final NameFinder names;
    private final ContainerWords containers;
    private final EnglishDays days;

    /**
     * @param vocabulary of the nursery
     * @param today a day without a year is the next one from then on
     * @param monthFirst whether 6/12 is in June
     */
    QuestionReader(Vocabulary vocabulary, LocalDate today, boolean monthFirst) {
        language = QuestionWords.ENGLISH;
        names = new NameFinder(vocabulary, language);
        containers = new ContainerWords(vocabulary.containers());
        days = new EnglishDays(today, monthFirst);
    }

    /** A part that was read, with the place of its first letter. */
    private record Part<T>(int at, T value) {}

    /** What a question asks. */
    Question read(String text) {
        Spoken said = new Spoken(text);
        boolean adds = said.take(BESIDES, found -> Optional.of(true)).isPresent();
        boolean toSow = said.take(STILL_TO_SOW, found -> Optional.of(true)).isPresent();
        List<Part<LeafStage>> stages = parts(said.takeAll(LEAVES, QuestionReader::stage));
        Optional<Integer> moved = days.moved(said).map(Spoken.Taken::value);
        List<Spoken.Taken<String>> noDays = days.impossible(said);
        List<Spoken.Taken<DaySpan>> whenSaid = days.read(said);
        List<Part<List<ContainerCode>>> inWhat = new ArrayList<>(parts(containers.sized(said)));
        List<Part<Asked.Amount>> amounts = amounts(said, inWhat);
        List<Part<Protection>> covers = covers(said);
        inWhat.addAll(parts(containers.named(said)));
        inWhat.sort(Comparator.comparingInt(Part::at));
        NameFinder.Found<Long> where = names.sites(said.words());
        take(said, where.words());
        List<Part<DaySpan>> when = parts(whenSaid);
        List<Segment> segments = segments(said, amounts, text.length());
        List<Asked> lines = segments.stream()
                .map(segment -> {
                    NameFinder.Found<Long> what = names.varieties(said.words(segment.from(), segment.to()));
                    take(said, what.words());
                    return new Asked(
                            segment.amount(),
                            what.meant(),
                            belonging(when, segment),
                            moved,
                            where.meant(),
                            own(inWhat, segment, segments).orElse(List.of()),
                            own(stages, segment, segments),
                            covers.stream().map(Part::value).findFirst());
                })
                .toList();
        return new Question(
                toSow ? Question.Kind.STILL_TO_SOW : Question.Kind.PROMISE,
                lines,
                adds,
                notUnderstood(said, text, noDays, whenSaid, segments));
    }

    /** From one place to another, with the number of plants that it is about. */
    private record Segment(int from, int to, Optional<Asked.Amount> amount) {}

    /** Numbers part the question: before the names as a rule, behind them where the first name stands before any number. */
    private List<Segment> segments(Spoken said, List<Part<Asked.Amount>> amounts, int length) {
        if (amounts.size() <= 1) {
            return List.of(
                    new Segment(0, length, amounts.stream().map(Part::value).findFirst()));
        }
        boolean namesFirst =
                !names.varieties(said.words(0, amounts.get(0).at())).meant().isEmpty();
        List<Segment> segments = new ArrayList<>();
        for (int index = 0; index < amounts.size(); index++) {
            int from =
                    index == 0 ? 0 : amounts.get(namesFirst ? index - 1 : index).at();
            boolean last = index == amounts.size() - 1;
            int to = last ? length : amounts.get(namesFirst ? index : index + 1).at();
            segments.add(new Segment(from, to, Optional.of(amounts.get(index).value())));
        }
        return segments;
    }

    /** What was said inside a line; else what was said next behind it; else what was said last before. */
    private static <T> Optional<T> belonging(List<Part<T>> parts, Segment segment) {
        Stream<Part<T>> inside = parts.stream().filter(part -> part.at() >= segment.from() && part.at() < segment.to());
        return inside.findFirst()
                .or(() ->
                        parts.stream().filter(part -> part.at() >= segment.to()).findFirst())
                .or(() -> parts.stream().reduce((one, later) -> later))
                .map(Part::value);
    }

    /** What was said inside a line; else what was said with the last, for all. */
    private static <T> Optional<T> own(List<Part<T>> parts, Segment segment, List<Segment> segments) {
        int last = segments.get(segments.size() - 1).from();
        return parts.stream()
                .filter(part -> part.at() >= segment.from() && part.at() < segment.to())
                .findFirst()
                .or(() -> parts.stream().filter(part -> part.at() >= last).findFirst())
                .map(Part::value);
    }

    private List<Part<Asked.Amount>> amounts(Spoken said, List<Part<List<ContainerCode>>> inWhat) {
        List<Part<Asked.Amount>> amounts = new ArrayList<>();
        said.takeAll(AMOUNT_OF_TRAYS, found -> trays(found)).forEach(taken -> {
            amounts.add(new Part<>(taken.from(), taken.value().amount()));
            taken.value().kind().ifPresent(kind -> inWhat.add(new Part<>(taken.from(), kind)));
        });
        amounts.addAll(parts(said.takeAll(
                AMOUNT, found -> EnglishNumbers.value(found.group(1)).map(number -> new Asked.Amount(number, false)))));
        amounts.sort(Comparator.comparingInt(Part::at));
        return amounts;
    }

    private record Trays(Asked.Amount amount, Optional<List<ContainerCode>> kind) {}

    private Optional<Trays> trays(Matcher found) {
        String count = found.group(1);
        Optional<Integer> number =
                count.equals("a") || count.equals("an") ? Optional.of(1) : EnglishNumbers.value(count);
        return number.map(each -> new Trays(
                new Asked.Amount(each, true),
                Optional.ofNullable(found.group(2)).flatMap(containers::ofKind)));
    }

    private static Optional<LeafStage> stage(Matcher found) {
        int from = EnglishNumbers.value(found.group(1)).orElse(0);
        int to = found.group(2) == null
                ? from + 1
                : EnglishNumbers.value(found.group(2)).orElse(0);
        return from >= 1 && to >= from && to <= MOST_LEAVES ? Optional.of(new LeafStage(from, to)) : Optional.empty();
    }

    private static List<Part<Protection>> covers(Spoken said) {
        List<Part<Protection>> covers = new ArrayList<>();
        said.takeAll(TUNNEL, found -> Optional.of(Protection.UNHEATED_TUNNEL)).forEach(each -> covers.add(part(each)));
        said.takeAll(COVER, found -> Optional.of(Protection.LOW_COVER)).forEach(each -> covers.add(part(each)));
        said.takeAll(OPEN, found -> Optional.of(Protection.OPEN_GROUND)).forEach(each -> covers.add(part(each)));
        covers.sort(Comparator.comparingInt(Part::at));
        return covers;
    }

    private static void take(Spoken said, List<Spoken.Word> words) {
        words.forEach(word -> said.takeOut(word.from(), word.to()));
    }

    private static <T> List<Part<T>> parts(List<Spoken.Taken<T>> taken) {
        return taken.stream()
                .map(QuestionReader::part)
                .sorted(Comparator.comparingInt(Part::at))
                .toList();
    }

    private static <T> Part<T> part(Spoken.Taken<T> taken) {
        return new Part<>(taken.from(), taken.value());
    }

    /** Words that nothing took and that mean something, days that there are not, and a second day for what can have one. */
    private List<Spoken.Word> notUnderstood(
            Spoken said,
            String text,
            List<Spoken.Taken<String>> noDays,
            List<Spoken.Taken<DaySpan>> when,
            List<Segment> segments) {
        List<Spoken.Word> words = new ArrayList<>(said.words().stream()
                .filter(word -> !language.fillers().contains(word.word()))
                .map(word -> new Spoken.Word(text.substring(word.from(), word.to()), word.from(), word.to()))
                .toList());
        noDays.forEach(day -> words.add(word(text, day)));
        segments.forEach(segment -> when.stream()
                .filter(day -> day.from() >= segment.from() && day.from() < segment.to())
                .skip(1)
                .forEach(day -> words.add(word(text, day))));
        words.sort(Comparator.comparingInt(Spoken.Word::from));
        return words;
    }

    private static Spoken.Word word(String text, Spoken.Taken<?> taken) {
        return new Spoken.Word(text.substring(taken.from(), taken.to()), taken.from(), taken.to());
    }
}
