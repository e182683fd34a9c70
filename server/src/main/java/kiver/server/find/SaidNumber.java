package kiver.server.find;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kiver.core.labels.CheckedCode;

/**
 * A number as it is typed, said with what it is of, or scanned off a label, on which it stands in an address.
 *
 * @param number above 0
 * @param kinds of things that may be meant
 */
record SaidNumber(int number, Set<FoundKind> kinds) {

    private static final Set<FoundKind> NUMBERED =
            EnumSet.of(FoundKind.TRAY, FoundKind.BATCH, FoundKind.ORDER, FoundKind.NOTE);
    private static final Pattern SCANNED =
            Pattern.compile("(?i)(?:https?://)?[^/\\s]*/(trays|batches|orders|trace/notes)/(\\d{1,9})/?");
    private static final Pattern TRAY = Pattern.compile("(?i)t\\s?(\\d{1,9})");
    private static final Pattern SAID = Pattern.compile("(\\p{L}[\\p{L} ]*)?\\s*[#№]?\\s*(\\d{1,9})");

    /**
     * The number that a text is, if it is one and nothing else.
     *
     * @param text as typed
     * @param words for kinds of things, in the language of whoever typed it
     */
    static Optional<SaidNumber> of(String text, KindWords words) {
        Matcher scanned = SCANNED.matcher(text);
        if (scanned.matches()) {
            FoundKind kind = switch (scanned.group(1).toLowerCase(Locale.ROOT)) {
                case "trays" -> FoundKind.TRAY;
                case "batches" -> FoundKind.BATCH;
                case "orders" -> FoundKind.ORDER;
                default -> FoundKind.NOTE;
            };
            return Optional.of(new SaidNumber(Integer.parseInt(scanned.group(2)), EnumSet.of(kind)));
        }
        Optional<CheckedCode.Read> checked = CheckedCode.read(text);
        if (checked.isPresent()) {
            return checked.filter(CheckedCode.Read.Fits.class::isInstance)
                    .map(CheckedCode.Read.Fits.class::cast)
                    .map(fits -> new SaidNumber(fits.number(), EnumSet.of(FoundKind.TRAY)));
        }
        Matcher tray = TRAY.matcher(text);
        if (tray.matches()) {
            return Optional.of(new SaidNumber(Integer.parseInt(tray.group(1)), EnumSet.of(FoundKind.TRAY)));
        }
        Matcher said = SAID.matcher(text);
        if (!said.matches()) {
            return Optional.empty();
        }
        int number = Integer.parseInt(said.group(2));
        if (said.group(1) == null) {
            return Optional.of(new SaidNumber(number, NUMBERED));
        }
        Set<FoundKind> kinds = words.kinds(said.group(1).strip());
        kinds.retainAll(NUMBERED);
        return kinds.isEmpty() ? Optional.empty() : Optional.of(new SaidNumber(number, kinds));
    }

    /** The kinds that a word, or a part of one, stands for. */
    @FunctionalInterface
    interface KindWords {
        Set<FoundKind> kinds(String word);
    }
}
