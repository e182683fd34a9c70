package kiver.server.print;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.Map;
import org.apache.batik.parser.AWTPathProducer;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The marks of stages, drawn on paper with the strokes that the pages draw. */
final class Marks {

    /** Strokes lie in a square of so many units, with pens of that breadth. */
    static final float SIDE = 24;

    private static final float PEN = 1.8f;
    private static final Map<String, String> STROKES = strokes();

    private Marks() {}

    private static Map<String, String> strokes() {
        try (InputStream file = Marks.class.getResourceAsStream("/marks.json")) {
            return new JsonMapper().readValue(file, new TypeReference<>() {});
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The lines of a mark. */
    static Shape shape(String mark) {
        String strokes = STROKES.get(mark);
        if (strokes == null) {
            throw new IllegalArgumentException("There is no mark " + mark + ".");
        }
        try {
            return AWTPathProducer.createShape(new StringReader(strokes), PathIterator.WIND_NON_ZERO);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Breadth of the pen for a mark of a size. */
    static float pen(float size) {
        return PEN * size / SIDE;
    }
}
