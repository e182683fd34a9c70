package kiver.server.wording;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Puts reasons and messages into words by the catalogue of messages, which the web uses, too; in the language and the
 * units of whoever is spoken to.
 */
@Component
public class Wording {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Map<String, String> british = catalogue(Speech.Language.BRITISH);
    private final Map<String, String> american = catalogue(Speech.Language.AMERICAN);
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();

    /** The keys of all messages that have one of their own. */
    public Set<String> keys() {
        return Set.copyOf(british.keySet());
    }

    /**
     * A reason in words.
     *
     * @param reason a record of a sealed family
     * @param today the day on which it is said
     * @param about what else the message may name, for example the crop
     */
    public String say(Record reason, LocalDate today, Map<String, ?> about) {
        Map<String, Object> parts = new HashMap<>(about);
        parts.putAll(Parts.of(reason, today, SpokenTo.now()));
        return say(key(reason.getClass()), parts);
    }

    /** A message in words. */
    public String say(Said said) {
        return said.isEmpty() ? "" : say(said.message(), said.parts());
    }

    /** A message with its parts filled in. */
    public String say(String key, Map<String, ?> parts) {
        Speech speech = SpokenTo.now();
        Map<String, Object> filled = new HashMap<>();
        parts.forEach((name, value) -> {
            Object shown = shown(value, speech);
            filled.put(name, shown);
            filled.put(name + MessageShape.AS_IT_STANDS, String.valueOf(shown));
        });
        // A MessageFormat must not be used by two at once.
        MessageFormat format = formats.computeIfAbsent(
                        speech.language() + " " + key, both -> format(key, speech.language()))
                .clone();
        return format.format(filled);
    }

    /** A day in words, for example "Thu 29 Apr". */
    public static String day(LocalDate day) {
        return Figures.day(day, SpokenTo.now());
    }

    /** The key of the message for a kind of reason, for example "obstacle.TooLateToSow". */
    public static String key(Class<?> reason) {
        String family = reason.getEnclosingClass().getSimpleName();
        return Character.toLowerCase(family.charAt(0)) + family.substring(1) + "." + reason.getSimpleName();
    }

    private Object shown(Object value, Speech speech) {
        if (value instanceof LocalDate day) {
            return Figures.day(day, speech);
        }
        if (value instanceof WholeDay whole) {
            return Figures.wholeDay(whole.day(), speech);
        }
        if (value instanceof Celsius celsius) {
            return Figures.temperature(celsius.degrees(), speech);
        }
        if (value instanceof Difference difference) {
            return Figures.difference(difference.kelvins(), speech);
        }
        if (value instanceof Millimetres length) {
            return Figures.length(length.length(), speech);
        }
        if (value instanceof Grams mass) {
            return Figures.mass(mass.mass(), speech);
        }
        if (value instanceof Altitude altitude) {
            return Figures.altitude(altitude.metres(), speech);
        }
        if (value instanceof Said said) {
            return say(said);
        }
        if (value instanceof List<?> list) {
            return list.stream()
                    .map(each -> String.valueOf(shown(each, speech)))
                    .collect(Collectors.joining(", "));
        }
        if (value instanceof Record reason && isReason(reason.getClass())) {
            return say(reason, LocalDate.EPOCH, Map.of());
        }
        if (value instanceof Enum<?> code) {
            return british.containsKey("name." + code.name()) ? say("name." + code.name(), Map.of()) : code.name();
        }
        return value;
    }

    /** Whether it is a kind of a family of reasons, rather than a value. */
    private static boolean isReason(Class<?> type) {
        return type.getEnclosingClass() != null && type.getEnclosingClass().isSealed();
    }

    private MessageFormat format(String key, Speech.Language language) {
        String message = british.get(key);
        if (message == null && key.matches("[a-zA-Z]+\\.[A-Z]\\w*")) {
            throw new IllegalStateException("There are no words for " + key + ".");
        }
        if (language == Speech.Language.AMERICAN && american.containsKey(key)) {
            message = american.get(key);
        }
        return new MessageFormat(
                MessageShape.of(message == null ? key : message, language == Speech.Language.STRETCHED),
                language.locale());
    }

    private static Map<String, String> catalogue(Speech.Language language) {
        String file = "/words/" + language.tag() + ".json";
        try (InputStream content = Wording.class.getResourceAsStream(file)) {
            JsonNode catalogue = JSON.readTree(content);
            Map<String, String> messages = new HashMap<>();
            catalogue
                    .properties()
                    .forEach(entry ->
                            messages.put(entry.getKey(), entry.getValue().asString()));
            return messages;
        } catch (IOException unreadable) {
            throw new IllegalStateException("The catalogue of messages cannot be read: " + file, unreadable);
        }
    }
}
