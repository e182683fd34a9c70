package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import kiver.core.release.ReadySample;
import kiver.server.wording.Said;
import kiver.server.wording.WholeDay;
import kiver.server.wording.Wording;

/** What a delivery note says of the plants of a line. */
final class NoteLines {

    private NoteLines() {}

    /** What local rules want to be written of them, as it was kept when they went. */
    static List<Said> ofHealth(
            List<HealthBook.HealthEntry> entries, LocalDate released, List<String> lots, List<String> batches) {
        return entries.stream()
                .map(entry -> Said.of("{label}: {value}")
                        .with("label", entry.label())
                        .with(
                                "value",
                                switch (entry.source()) {
                                    case TEXT, BOTANICAL_NAME -> entry.words();
                                    case DAY -> new WholeDay(released);
                                    case SEED_LOT -> String.join(", ", lots);
                                    case BATCH -> String.join(", ", batches);
                                }))
                .toList();
    }

    /** What was seen on a sample; what was not as it should be is named, for the grower to know. */
    static Said seen(ReadySample sample, Wording wording) {
        String missing = sample.missing().stream()
                .map(check -> wording.say(Said.of("ready." + check)))
                .collect(Collectors.joining(", "));
        return missing.isEmpty()
                ? Said.of(
                                "Looked at before they left: {plants, plural, one {# plant} other {# plants}}, all as it should be.")
                        .with("plants", sample.plants())
                : Said.of(
                                "Looked at before they left: {plants, plural, one {# plant} other {# plants}}. Not as it should be, or not looked at: {missing}.")
                        .with("plants", sample.plants())
                        .with("missing", missing);
    }

    /** Nobody can say what these are; the grower is told before they are planted. */
    static Said mixed(int plants) {
        return Said.of(
                        "{plants, plural, one {# of them is mixed: its} other {# of them are mixed: their}} name is in doubt until flowers or fruit show it. Plant them apart and label them as mixed.")
                .with("plants", plants);
    }
}
