package kiver.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

class PaperTest {

    @Test
    void printsLettersOfManyLanguagesAndAMarkForTheRest() throws Exception {
        try (Paper paper = new Paper("Test", "en-GB")) {
            paper.page(90, 29);
            paper.text(5, 5, 10, "Zoë Łukasz Ωμέγα");
            paper.text(5, 15, 10, "leaf \uD83C\uDF31 end; first flowers, stiff");
            assertThat(textOf(paper.bytes())).contains("Zoë Łukasz Ωμέγα").contains("leaf ? end; first flowers, stiff");
        }
    }

    @Test
    void wrapsLongLinesAndAnswersWhereTheNextBegins() throws Exception {
        try (Paper paper = new Paper("Test", "en-GB")) {
            paper.page(210, 297);
            float one = paper.wrapped(20, 20, 170, 10, "short");
            float many = paper.wrapped(20, 40, 60, 10, "a line that is much too long for sixty millimetres of paper");
            assertThat(many - 40).isGreaterThan(1.9f * (one - 20));
            assertThat(textOf(paper.bytes()).lines().count()).isGreaterThanOrEqualTo(3);
        }
    }

    @Test
    void canBeReadAloudInTheOrderInWhichItWasWritten() throws Exception {
        try (Paper paper = new Paper("Test", "en-US")) {
            paper.page(SheetSize.LETTER.width(), SheetSize.LETTER.height());
            paper.text(Paper.Kind.TITLE, 20, 20, 22, "Delivery note 501");
            paper.rule(20, 30, 100);
            paper.mark(20, 35, 6, "READY", "Young plants");
            paper.mark(30, 35, 6, "SOWN", "");
            paper.page(90, 29);
            paper.wrapped(20, 10, 30, 10, "two lines of one paragraph");
            try (PDDocument document = Loader.loadPDF(paper.bytes())) {
                PDDocumentCatalog catalog = document.getDocumentCatalog();
                assertThat(catalog.getMarkInfo().isMarked()).isTrue();
                assertThat(catalog.getLanguage()).isEqualTo("en-US");
                assertThat(catalog.getViewerPreferences().displayDocTitle()).isTrue();
                PDStructureElement whole = (PDStructureElement)
                        catalog.getStructureTreeRoot().getKids().get(0);
                List<PDStructureElement> parts = whole.getKids().stream()
                        .map(PDStructureElement.class::cast)
                        .toList();
                assertThat(parts)
                        .extracting(PDStructureElement::getStructureType)
                        .containsExactly("H1", "Figure", "P");
                assertThat(parts.get(1).getAlternateDescription()).isEqualTo("Young plants");
                assertThat(parts).extracting(part -> part.getKids().get(0)).containsExactly(0, 1, 0);
                assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(11 * 72f, within(0.1f));
            }
        }
    }

    @Test
    void drawsTheMarksOfThePages() throws Exception {
        try (Paper paper = new Paper("Test", "en-GB")) {
            paper.page(60, 60);
            paper.mark(10, 10, 40, "SOWN", "Sown");
            try (PDDocument document = Loader.loadPDF(paper.bytes())) {
                BufferedImage picture = new PDFRenderer(document).renderImageWithDPI(0, 72);
                // The surface lies at 13 of 24 units across the mark; above it nothing is drawn.
                int surface = Math.round((10 + 40 * 13 / 24f) * 72 / 25.4f);
                int middle = Math.round(30 * 72 / 25.4f);
                assertThat(dark(picture, middle, surface)).isTrue();
                assertThat(dark(picture, middle, surface - 20)).isFalse();
            }
        }
        assertThatThrownBy(() -> Marks.shape("MOON")).hasMessageContaining("MOON");
    }

    private static boolean dark(BufferedImage picture, int x, int y) {
        return (picture.getRGB(x, y) & 0xff) < 128;
    }

    @Test
    void aCameraReadsTheCode() throws Exception {
        String message = "http://127.0.0.1:8080/trays/1042";
        try (Paper paper = new Paper("Test", "en-GB")) {
            paper.page(60, 60);
            paper.code(10, 10, 40, message);
            BufferedImage picture;
            try (PDDocument document = Loader.loadPDF(paper.bytes())) {
                picture = new PDFRenderer(document).renderImageWithDPI(0, 200);
            }
            int[] pixels = picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
            BinaryBitmap seen = new BinaryBitmap(
                    new HybridBinarizer(new RGBLuminanceSource(picture.getWidth(), picture.getHeight(), pixels)));
            assertThat(new QRCodeReader().decode(seen).getText()).isEqualTo(message);
        }
    }

    @Test
    void refusesWhatNoCodeHolds() {
        try (Paper paper = new Paper("Test", "en-GB")) {
            paper.page(60, 60);
            assertThatThrownBy(() -> paper.code(10, 10, 40, "x".repeat(5000))).hasMessageContaining("too long");
        }
    }

    private static String textOf(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }
}
