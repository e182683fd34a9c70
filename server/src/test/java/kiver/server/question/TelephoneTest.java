package kiver.server.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.order.Protection;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/** What people ask on the telephone, as it is to be read; each row of the files says one question whole. */
class TelephoneTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);

    @TestFactory
    List<DynamicTest> asPeopleAsk() throws IOException {
        return tests("telephone.csv");
    }

    @TestFactory
    List<DynamicTest> asWrittenDownBeforeItWasBuilt() throws IOException {
        return tests("written-before.csv");
    }

    /** Nobody foresees all that is said; of what was written down afterwards nine in ten were read at once. */
    @Test
    void nineInTenOfWhatWasWrittenDownAfterwards() throws IOException {
        Vocabulary nursery = DemonstrationNames.vocabulary();
        List<CSVRecord> rows = rows("written-after.csv");
        List<String> wrong = rows.stream()
                .filter(row -> !isRight(row, nursery))
                .map(row -> row.get("asked"))
                .toList();
        assertThat(rows).hasSizeGreaterThanOrEqualTo(20);
        assertThat(wrong).hasSizeLessThanOrEqualTo(rows.size() / 10);
    }

    @TestFactory
    List<DynamicTest> asWrittenDownInBetween() throws IOException {
        return tests("written-between.csv");
    }

    private static boolean isRight(CSVRecord row, Vocabulary nursery) {
        try {
            return Read.of(row, nursery).equals(Read.expected(row));
        } catch (AssertionError otherwise) {
            return false;
        }
    }

    private static List<DynamicTest> tests(String file) throws IOException {
        Vocabulary nursery = DemonstrationNames.vocabulary();
        return rows(file).stream()
                .map(row -> DynamicTest.dynamicTest(
                        row.get("asked"),
                        () -> assertThat(Read.of(row, nursery)).isEqualTo(Read.expected(row))))
                .toList();
    }

    static List<CSVRecord> rows(String file) throws IOException {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setCommentMarker('#')
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (Reader text = new InputStreamReader(
                TelephoneTest.class.getResourceAsStream("/question/" + file), StandardCharsets.UTF_8)) {
            return format.parse(text).getRecords();
        }
    }

    /** A question as it was read, in the words of the files. */
    record Read(
            String plants,
            String of,
            String day,
            String lastDay,
            String container,
            String leaves,
            String where,
            String notUnderstood) {

        static Read expected(CSVRecord row) {
            return new Read(
                    row.get("plants"),
                    row.get("of").toLowerCase(Locale.ROOT),
                    row.get("day"),
                    row.get("last_day"),
                    row.get("container"),
                    row.get("leaves"),
                    row.get("where"),
                    row.get("not_understood").toLowerCase(Locale.ROOT));
        }

        static Read of(CSVRecord row, Vocabulary nursery) {
            QuestionReader reader = new QuestionReader(nursery, TODAY, false);
            Question question = reader.read(row.get("asked"));
            List<Asked> lines = new ArrayList<>(question.lines());
            String after = row.isMapped("after") ? row.get("after") : "";
            if (!after.isEmpty()) {
                assertThat(question.isFollowUp()).isTrue();
                lines = FollowUp.of(question, reader.read(after).lines());
            }
            return new Read(
                    joined(lines, asked -> asked.amount().map(each -> each.number() + (each.trays() ? "t" : ""))),
                    joined(lines, asked -> name(asked, row.get("of"), nursery)),
                    first(lines, asked -> asked.day().map(DaySpan::first).map(LocalDate::toString)),
                    first(
                            lines,
                            asked -> asked.day()
                                    .filter(span -> !span.last().equals(span.first()))
                                    .map(DaySpan::last)
                                    .map(LocalDate::toString)),
                    first(
                            lines,
                            asked -> asked.containers().stream()
                                    .findFirst()
                                    .map(code -> DemonstrationNames.called(code.written()))),
                    first(lines, asked -> asked.stage().map(stage -> String.valueOf(stage.from()))),
                    first(
                            lines,
                            asked -> asked.sites().stream()
                                    .findFirst()
                                    .map(id -> site(id, nursery))
                                    .or(() -> asked.protection().map(Read::cover))),
                    question.notUnderstood().stream()
                            .map(word -> word.word().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(" ")));
        }

        private static String joined(List<Asked> lines, Function<Asked, Optional<String>> part) {
            return lines.stream().flatMap(line -> part.apply(line).stream()).collect(Collectors.joining("+"));
        }

        private static String first(List<Asked> lines, Function<Asked, Optional<String>> part) {
            List<String> all = lines.stream()
                    .flatMap(line -> part.apply(line).stream())
                    .distinct()
                    .toList();
            assertThat(all).hasSizeLessThanOrEqualTo(1);
            return all.isEmpty() ? "" : all.get(0);
        }

        /** The crop where all of its varieties are meant, the variety where one is; as the file calls it. */
        private static Optional<String> name(Asked asked, String expected, Vocabulary nursery) {
            List<Vocabulary.VarietyName> meant = nursery.varieties().stream()
                    .filter(each -> asked.varieties().contains(each.id()))
                    .toList();
            List<String> wanted =
                    Arrays.asList(expected.toLowerCase(Locale.ROOT).split("\\+"));
            if (meant.size() == 1 && wanted.contains(meant.get(0).name().toLowerCase(Locale.ROOT))) {
                return Optional.of(meant.get(0).name().toLowerCase(Locale.ROOT));
            }
            List<String> crops = meant.stream()
                    .map(each -> each.cropName().toLowerCase(Locale.ROOT))
                    .distinct()
                    .toList();
            long ofCrop = nursery.varieties().stream()
                    .filter(each -> crops.contains(each.cropName().toLowerCase(Locale.ROOT)))
                    .count();
            return meant.isEmpty()
                    ? Optional.empty()
                    : Optional.of(crops.size() == 1 && meant.size() == ofCrop ? crops.get(0) : meant.toString());
        }

        private static String site(long id, Vocabulary nursery) {
            return nursery.sites().stream()
                    .filter(site -> site.id() == id)
                    .findFirst()
                    .orElseThrow()
                    .name();
        }

        private static String cover(Protection protection) {
            return protection.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }
}
