package kiver.server.print;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A face of the house's own type in a document, with one beside it for letters that it lacks. */
final class Typeface {

    private static final String OTHERS = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";
    private static final int UNITS = 1000;

    private final PDFont own;
    private final PDFont others;

    private Typeface(PDFont own, PDFont others) {
        this.own = own;
        this.others = others;
    }

    static PDFont othersIn(PDDocument document) {
        return read(document, PDDocument.class.getResourceAsStream(OTHERS));
    }

    /** A face by the name of its file. */
    static Typeface of(String file, PDDocument document, PDFont others) {
        return new Typeface(read(document, Typeface.class.getResourceAsStream("/fonts/" + file)), others);
    }

    private static PDFont read(PDDocument document, InputStream file) {
        try (file) {
            TrueTypeFont letters = new TTFParser().parse(new RandomAccessReadBuffer(file));
            // A joined pair of letters would be read aloud, copied and searched as neither of them.
            letters.setEnableGsub(false);
            return PDType0Font.load(document, letters, true);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Letters that one font has, one after the other. */
    record Run(PDFont font, String text) {}

    /** A text in runs of one font each; letters that no font has are a question mark. */
    List<Run> runs(String text) {
        List<Run> runs = new ArrayList<>();
        text.codePoints().forEach(letter -> {
            String one = Character.toString(letter);
            PDFont font = has(own, one) || !has(others, one) ? own : others;
            String shown = has(font, one) ? one : "?";
            Run last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null && last.font() == font) {
                runs.set(runs.size() - 1, new Run(font, last.text() + shown));
            } else {
                runs.add(new Run(font, shown));
            }
        });
        return runs;
    }

    /** Width in points. */
    float widthOf(String text, float size) {
        float width = 0;
        try {
            for (Run run : runs(text)) {
                width += run.font().getStringWidth(run.text()) / UNITS * size;
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        return width;
    }

    private static boolean has(PDFont font, String letter) {
        try {
            font.encode(letter);
            return true;
        } catch (IOException | IllegalArgumentException missing) {
            return false;
        }
    }
}
