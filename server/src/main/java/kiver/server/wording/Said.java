package kiver.server.wording;

import java.io.Serializable;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What is to be told to somebody, not yet in their language: a message and its parts. It becomes words where it leaves
 * the server, in the language and the units of whoever asked.
 *
 * @param message British words (ICU MessageFormat); they are their own key in the catalogue
 * @param parts what the message names: days, {@link Celsius}, numbers, names, other messages
 */
public record Said(String message, Map<String, Object> parts) implements Serializable {

    public Said {
        parts = Collections.unmodifiableMap(new LinkedHashMap<>(parts));
    }

    /** A message without parts yet; a literal, so that the catalogue can be gathered from the sources. */
    public static Said of(String message) {
        return new Said(message, Map.of());
    }

    /** A reason that has a kind of its own in the catalogue. */
    public static Said of(Record reason) {
        return new Said("{reason}", Map.of("reason", reason));
    }

    /** Words that are in no catalogue: what another program complains of, or what a person once wrote. */
    public static Said plain(String words) {
        return new Said("{words}", Map.of("words", words));
    }

    /** Names a part. */
    public Said with(String name, Object value) {
        Map<String, Object> more = new LinkedHashMap<>(parts);
        more.put(name, value);
        return new Said(message, more);
    }

    /** Names a part that is one of two or more words by itself, as {@code select} takes it. */
    public Said when(String name, boolean isTrue) {
        return with(name, String.valueOf(isTrue));
    }

    /** A message of nothing. */
    public boolean isEmpty() {
        return message.isEmpty();
    }

    @Override
    public String toString() {
        return parts.isEmpty() ? message : message + " " + parts;
    }
}
