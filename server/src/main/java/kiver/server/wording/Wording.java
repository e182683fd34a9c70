package kiver.server.wording;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Puts reasons into words by the catalogue of messages, which the web uses, too. */
@Component
public class Wording {

    private static final Locale LOCALE = Locale.UK;
    private static final String CATALOGUE = "/words/en-GB.json";

    private final Map<String, String> messages = new HashMap<>();
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

    Wording() {
        try (InputStream file = Wording.class.getResourceAsStream(CATALOGUE)) {
            JsonNode catalogue = JsonMapper.builder().build().readTree(file);
            catalogue.properties().forEach(entry -> messages.put(entry.getKey(), entry.getValue().asString()));
        } catch (IOException unreadable) {
            throw new IllegalStateException("The catalogue of messages cannot be read: " + CATALOGUE, unreadable);
        }
    }

    /** The keys of all messages. */
    public Set<String> keys() {
        return Set.copyOf(messages.keySet());
    }

    /**
     * A reason in words.
     *
     * @param reason a record of a sealed family
     * @param today the day on which it is said
     * @param about what else the message may name, for example the crop; in words
     */
    public String say(Record reason, LocalDate today, Map<String, ?> about) {
        Map<String, Object> parts = new HashMap<>(about);
        parts.putAll(Parts.of(reason, today));
        return say(key(reason.getClass()), parts);
    }

    /** A message with its parts filled in. */
    public String say(String key, Map<String, ?> parts) {
        // A MessageFormat must not be used by two at once.
        MessageFormat format = (MessageFormat) formats.computeIfAbsent(key, this::format).clone();
        return format.format(parts);
    }

    /** A day in words, for example "Thu 29 Apr". */
    public static String day(LocalDate day) {
        return Parts.day(day);
    }

    /** The key of the message for a kind of reason, for example "obstacle.TooLateToSow". */
    public static String key(Class<?> reason) {
        String family = reason.getEnclosingClass().getSimpleName();
        return Character.toLowerCase(family.charAt(0)) + family.substring(1) + "." + reason.getSimpleName();
    }

    private MessageFormat format(String key) {
        String message = messages.get(key);
        if (message == null) {
            throw new IllegalStateException("There are no words for " + key + ".");
        }
        return new MessageFormat(message, LOCALE);
    }
}
