package kiver.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The core answers with data; words are put at the edge.
 */
class ProseInTheCoreTest {

    private static final Pattern SENTENCE = Pattern.compile("\"[^\"\\n]*[A-Za-z] [A-Za-z][^\"\\n]*\"");

    /** What programmers are told when they call something wrongly. */
    private static final Pattern FOR_PROGRAMMERS =
            Pattern.compile("(IllegalArgumentException|IllegalStateException|requireNonNull|@SuppressWarnings)\\(");

    /** Its entries are those of the file, whatever language a person speaks. */
    private static final List<String> ENTRIES_OF_A_FILE = List.of("crop/CropSheet.java");

    @Test
    void noSentenceIsMadeInTheCore() throws IOException {
        Set<String> found = new TreeSet<>();
        Path root = Path.of("src/main/java/kiver/core");
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file :
                    files.filter(each -> each.toString().endsWith(".java")).toList()) {
                if (hasSentence(Files.readString(file))) {
                    found.add(root.relativize(file).toString());
                }
            }
        }
        assertThat(found).containsExactlyInAnyOrderElementsOf(ENTRIES_OF_A_FILE);
    }

    /** Sentences outside comments and outside what only programmers are told. */
    private static boolean hasSentence(String source) {
        String code = source.replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("//[^\\n]*", "");
        for (String statement : code.split(";")) {
            if (SENTENCE.matcher(statement).find()
                    && !FOR_PROGRAMMERS.matcher(statement).find()) {
                return true;
            }
        }
        return false;
    }
}
