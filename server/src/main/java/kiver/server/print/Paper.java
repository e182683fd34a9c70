package kiver.server.print;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A PDF in the making. Positions are mm from the top left of the page; text is embedded, so any script prints. */
public final class Paper implements AutoCloseable {

    private static final float POINTS_PER_MM = 72f / 25.4f;
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

    private final PDDocument document = new PDDocument();
    private final PDType0Font font;
    private float height;
    private PDPageContentStream content;

    /** An empty document with a title. */
    public Paper(String title) {
        try (InputStream file = PDDocument.class.getResourceAsStream(FONT)) {
            font = PDType0Font.load(document, file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setProducer("Kiver");
    }

    /** Begins a page of that size, mm. */
    public void page(float width, float pageHeight) {
        try {
            endPage();
            PDPage page = new PDPage(new PDRectangle(width * POINTS_PER_MM, pageHeight * POINTS_PER_MM));
            document.addPage(page);
            height = pageHeight;
            content = new PDPageContentStream(document, page);
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Writes a line; {@code size} in points. Letters that the font lacks are printed as a question mark. */
    public void text(float left, float top, float size, String text) {
        try {
            content.beginText();
            content.setFont(font, size);
            content.newLineAtOffset(left * POINTS_PER_MM, (height - top) * POINTS_PER_MM - size * 0.8f);
            content.showText(printable(text));
            content.endText();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Writes a line as large as fits, at most {@code size} points, into that width. */
    public void fitted(float left, float top, float width, float size, String text) {
        float natural = widthOf(text, 1);
        float fitting = natural == 0 ? size : Math.min(size, width * POINTS_PER_MM / natural);
        text(left, top, fitting, text);
    }

    /** Writes words over several lines and answers where the next line would begin, mm from the top. */
    public float wrapped(float left, float top, float width, float size, String text) {
        float line = top;
        for (String piece : split(text, width, size)) {
            text(left, line, size, piece);
            line += size * 1.3f / POINTS_PER_MM;
        }
        return line;
    }

    /** Draws a thin rule. */
    public void rule(float left, float top, float width) {
        try {
            content.setLineWidth(0.6f);
            content.moveTo(left * POINTS_PER_MM, (height - top) * POINTS_PER_MM);
            content.lineTo((left + width) * POINTS_PER_MM, (height - top) * POINTS_PER_MM);
            content.stroke();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Draws a square code, {@code size} mm wide. */
    public void code(float left, float top, float size, String message) {
        try {
            BitMatrix squares = new QRCodeWriter().encode(message, BarcodeFormat.QR_CODE, 0, 0);
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
        try {
            return font.getStringWidth(printable(text)) / 1000 * size;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private String printable(String text) {
        StringBuilder printable = new StringBuilder();
        text.codePoints().forEach(letter -> {
            try {
                font.encode(Character.toString(letter));
                printable.appendCodePoint(letter);
            } catch (IOException | IllegalArgumentException missing) {
                printable.append('?');
            }
        });
        return printable.toString();
    }
}
