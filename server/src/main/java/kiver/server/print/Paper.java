package kiver.server.print;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.apache.pdfbox.pdmodel.font.PDFont;

/**
 * A PDF in the making, in the house's own type, with its marks, tagged so that it can be read aloud in the order in which it
 * was written. Positions are mm from the top left of the page; text is embedded, so any script prints.
 */
public final class Paper implements AutoCloseable {

    private static final float POINTS_PER_MM = 72f / 25.4f;
    private static final float LINE = 1.3f;

    /** What a text is, and with it the face it is set in. */
    public enum Kind {
        PLAIN(StandardStructureTypes.P, "commissioner-400.ttf"),
        STRONG(StandardStructureTypes.P, "commissioner-700.ttf"),
        TITLE(StandardStructureTypes.H1, "bitter-700.ttf"),
        HEADING(StandardStructureTypes.H2, "bitter-700.ttf");

        private final String part;
        private final String file;

        Kind(String part, String file) {
            this.part = part;
            this.file = file;
        }
    }

    private final PDDocument document = new PDDocument();
    private final Map<Kind, Typeface> faces = new EnumMap<>(Kind.class);
    private final PDFont others;
    private final Tags tags;
    private float height;
    private PDPageContentStream content;

    /**
     * An empty document.
     *
     * @param title of it
     * @param language its words are in, as a tag: en-GB
     */
    public Paper(String title, String language) {
        others = Typeface.othersIn(document);
        tags = new Tags(document, language);
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setProducer("Kiver");
    }

    /** Begins a page of that size, mm. */
    public void page(float width, float pageHeight) {
        try {
            endPage();
            PDPage page = new PDPage(new PDRectangle(width * POINTS_PER_MM, pageHeight * POINTS_PER_MM));
            document.addPage(page);
            tags.page(page);
            height = pageHeight;
            content = new PDPageContentStream(document, page);
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Writes a plain line; {@code size} in points. Letters that no font has are printed as a question mark. */
    public void text(float left, float top, float size, String text) {
        text(Kind.PLAIN, left, top, size, text);
    }

    /** Writes a line of a kind; {@code size} in points. */
    public void text(Kind kind, float left, float top, float size, String text) {
        lines(kind, left, top, size, List.of(text));
    }

    /** Writes a line as large as fits, at most {@code size} points, into that width. */
    public void fitted(Kind kind, float left, float top, float width, float size, String text) {
        float natural = face(kind).widthOf(text, 1);
        float fitting = natural == 0 ? size : Math.min(size, width * POINTS_PER_MM / natural);
        text(kind, left, top, fitting, text);
    }

    /** Writes words over several lines and answers where the next line would begin, mm from the top. */
    public float wrapped(float left, float top, float width, float size, String text) {
        List<String> lines = split(text, width, size);
        lines(Kind.PLAIN, left, top, size, lines);
        return top + lines.size() * size * LINE / POINTS_PER_MM;
    }

    private void lines(Kind kind, float left, float top, float size, List<String> lines) {
        try {
            PDStructureElement part = tags.part(kind.part);
            content.beginMarkedContent(COSName.getPDFName(kind.part), tags.belongsTo(part));
            float line = top;
            for (String text : lines) {
                content.beginText();
                content.newLineAtOffset(left * POINTS_PER_MM, (height - line) * POINTS_PER_MM - size * 0.8f);
                for (Typeface.Run run : face(kind).runs(text)) {
                    content.setFont(run.font(), size);
                    content.showText(run.text());
                }
                content.endText();
                line += size * LINE / POINTS_PER_MM;
            }
            content.endMarkedContent();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Draws a thin rule, which is not read aloud. */
    public void rule(float left, float top, float width) {
        try {
            content.beginMarkedContent(COSName.ARTIFACT);
            content.setLineWidth(0.6f);
            content.moveTo(left * POINTS_PER_MM, (height - top) * POINTS_PER_MM);
            content.lineTo((left + width) * POINTS_PER_MM, (height - top) * POINTS_PER_MM);
            content.stroke();
            content.endMarkedContent();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /**
     * Draws the mark of a stage, {@code size} mm wide.
     *
     * @param mark its name in marks.json
     * @param words read aloud in its place; empty where the text beside it says as much
     */
    public void mark(float left, float top, float size, String mark, String words) {
        float side = size * POINTS_PER_MM;
        float scale = side / Marks.SIDE;
        AffineTransform onPaper =
                new AffineTransform(scale, 0, 0, -scale, left * POINTS_PER_MM, (height - top) * POINTS_PER_MM);
        try {
            beginFigure(words);
            content.saveGraphicsState();
            content.setLineWidth(Marks.pen(side));
            content.setLineCapStyle(1);
            content.setLineJoinStyle(1);
            draw(Marks.shape(mark).getPathIterator(onPaper));
            content.stroke();
            content.restoreGraphicsState();
            content.endMarkedContent();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    private void draw(PathIterator path) throws IOException {
        float[] at = new float[6];
        float x = 0;
        float y = 0;
        for (; !path.isDone(); path.next()) {
            int step = path.currentSegment(at);
            switch (step) {
                case PathIterator.SEG_MOVETO -> content.moveTo(at[0], at[1]);
                case PathIterator.SEG_LINETO -> content.lineTo(at[0], at[1]);
                case PathIterator.SEG_QUADTO ->
                    content.curveTo(
                            x + 2 * (at[0] - x) / 3,
                            y + 2 * (at[1] - y) / 3,
                            at[2] + 2 * (at[0] - at[2]) / 3,
                            at[3] + 2 * (at[1] - at[3]) / 3,
                            at[2],
                            at[3]);
                case PathIterator.SEG_CUBICTO -> content.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
                default -> content.closePath();
            }
            int end = switch (step) {
                case PathIterator.SEG_CUBICTO -> 4;
                case PathIterator.SEG_QUADTO -> 2;
                default -> 0;
            };
            if (step != PathIterator.SEG_CLOSE) {
                x = at[end];
                y = at[end + 1];
            }
        }
    }

    private void beginFigure(String words) throws IOException {
        if (words.isEmpty()) {
            content.beginMarkedContent(COSName.ARTIFACT);
            return;
        }
        PDStructureElement figure = tags.part(StandardStructureTypes.Figure);
        figure.setAlternateDescription(words);
        content.beginMarkedContent(COSName.getPDFName(StandardStructureTypes.Figure), tags.belongsTo(figure));
    }

    /** Draws a square code, {@code size} mm wide; read aloud as what it says. */
    public void code(float left, float top, float size, String message) {
        try {
            BitMatrix squares = new QRCodeWriter().encode(message, BarcodeFormat.QR_CODE, 0, 0);
            beginFigure(message);
            float side = size * POINTS_PER_MM / squares.getWidth();
            for (int row = 0; row < squares.getHeight(); row++) {
                for (int column = 0; column < squares.getWidth(); column++) {
                    if (squares.get(column, row)) {
                        content.addRect(
                                left * POINTS_PER_MM + column * side,
                                (height - top) * POINTS_PER_MM - (row + 1) * side,
                                side,
                                side);
                    }
                }
            }
            content.fill();
            content.endMarkedContent();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException("This is too long for a code: " + message, tooLong);
        }
    }

    /** The finished document. */
    public byte[] bytes() {
        try {
            endPage();
            tags.finish();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    @Override
    public void close() {
        try {
            document.close();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    private void endPage() throws IOException {
        if (content != null) {
            content.close();
            content = null;
        }
    }

    private List<String> split(String text, float width, float size) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (widthOf(longer, size) > width * POINTS_PER_MM && !line.isEmpty()) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    private float widthOf(String text, float size) {
        return face(Kind.PLAIN).widthOf(text, size);
    }

    /** Only faces that are written in go into the document. */
    private Typeface face(Kind kind) {
        return faces.computeIfAbsent(kind, wanted -> Typeface.of(wanted.file, document, others));
    }
}
