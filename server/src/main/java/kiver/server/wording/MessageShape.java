package kiver.server.wording;

import com.ibm.icu.text.MessagePattern;
import java.util.Map;

/**
 * Rewrites a message without changing what it means: numbers that a message only names are written as they stand, for an
 * order's number has no thousands; and its words are stretched for the language that shows what is in no catalogue.
 */
final class MessageShape {

    /** Put behind the name of an argument that is only named, not counted. */
    static final String AS_IT_STANDS = "_";

    private static final Map<Character, String> ACCENTED = Map.ofEntries(
            Map.entry('a', "áá"),
            Map.entry('e', "éé"),
            Map.entry('i', "í"),
            Map.entry('o', "óó"),
            Map.entry('u', "úú"),
            Map.entry('y', "ý"),
            Map.entry('c', "ç"),
            Map.entry('n', "ñ"),
            Map.entry('s', "š"),
            Map.entry('A', "Á"),
            Map.entry('E', "É"),
            Map.entry('I', "Í"),
            Map.entry('O', "Ó"),
            Map.entry('U', "Ú"),
            Map.entry('S', "Š"),
            Map.entry('C', "Ç"));

    private final String message;
    private final MessagePattern pattern;
    private final boolean stretched;
    private final StringBuilder shaped = new StringBuilder();

    private MessageShape(String message, boolean stretched) {
        this.message = message;
        this.pattern = new MessagePattern(message);
        this.stretched = stretched;
    }

    static String of(String message, boolean stretched) {
        MessageShape shape = new MessageShape(message, stretched);
        shape.shapeMessage(0);
        return stretched ? "⟦" + shape.shaped + "⟧" : shape.shaped.toString();
    }

    /** Shapes a message from its MSG_START on; returns the index of its MSG_LIMIT. */
    private int shapeMessage(int start) {
        int written = pattern.getPart(start).getLimit();
        for (int index = start + 1; ; index++) {
            MessagePattern.Part part = pattern.getPart(index);
            words(written, part.getIndex());
            switch (part.getType()) {
                case MSG_LIMIT -> {
                    return index;
                }
                case ARG_START -> {
                    int limit = pattern.getLimitPartIndex(index);
                    argument(index, limit);
                    index = limit;
                    written = pattern.getPart(limit).getLimit();
                }
                case REPLACE_NUMBER -> {
                    shaped.append('#');
                    written = part.getLimit();
                }
                default -> {
                    shaped.append(message, part.getIndex(), part.getLimit());
                    written = part.getLimit();
                }
            }
        }
    }

    private void argument(int start, int limit) {
        if (pattern.getPart(start).getArgType() == MessagePattern.ArgType.NONE) {
            shaped.append('{')
                    .append(pattern.getSubstring(pattern.getPart(start + 1)))
                    .append(AS_IT_STANDS)
                    .append('}');
            return;
        }
        int written = pattern.getPart(start).getIndex();
        for (int index = start + 1; index < limit; index++) {
            MessagePattern.Part part = pattern.getPart(index);
            if (part.getType() == MessagePattern.Part.Type.MSG_START) {
                shaped.append(message, written, part.getLimit());
                index = shapeMessage(index);
                written = pattern.getPart(index).getIndex();
            }
        }
        shaped.append(message, written, pattern.getPart(limit).getLimit());
    }

    private void words(int from, int to) {
        for (int index = from; index < to; index++) {
            char letter = message.charAt(index);
            shaped.append(stretched ? ACCENTED.getOrDefault(letter, String.valueOf(letter)) : String.valueOf(letter));
        }
    }
}
