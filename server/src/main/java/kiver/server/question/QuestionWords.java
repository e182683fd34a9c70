package kiver.server.question;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;

/**
 * Words of a language that are no names of this nursery.
 *
 * @param fillers that say nothing about what is asked; a word that would turn it round, such as "not", is none
 * @param nicknames of crops, as they are called when nobody writes, with the crop's code
 */
record QuestionWords(Set<String> fillers, Map<String, String> nicknames) {

    QuestionWords {
        fillers = Set.copyOf(fillers);
        nicknames = Map.copyOf(nicknames);
    }

    /** Those of English. */
    static final QuestionWords ENGLISH = english();

    private static QuestionWords english() {
        try (InputStream file = QuestionWords.class.getResourceAsStream("/words/question-en.json")) {
            return JsonMapper.shared().readValue(file, QuestionWords.class);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
