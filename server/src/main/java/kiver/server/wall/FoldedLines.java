package kiver.server.wall;

import java.nio.charset.StandardCharsets;

/**
 * Lines of a calendar, none longer than 75 octets: a longer one goes on after a break and a space. Letters of several octets
 * are not parted. Reference: RFC 5545 (2009), section 3.1.
 */
final class FoldedLines {

    private static final int MOST_OCTETS = 75;
    private static final String BREAK = "\r\n";

    private FoldedLines() {}

    /** The same lines, folded. */
    static String of(String lines) {
        StringBuilder folded = new StringBuilder();
        for (String line : lines.split(BREAK)) {
            int octets = 0;
            for (int letter : line.codePoints().toArray()) {
                String written = Character.toString(letter);
                int own = written.getBytes(StandardCharsets.UTF_8).length;
                if (octets + own > MOST_OCTETS) {
                    folded.append(BREAK).append(' ');
                    octets = 1;
                }
                folded.append(written);
                octets += own;
            }
            folded.append(BREAK);
        }
        return folded.toString();
    }
}
