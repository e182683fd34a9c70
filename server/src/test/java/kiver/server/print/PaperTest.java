package kiver.server.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

class PaperTest {

    @Test
    void printsLettersOfManyLanguagesAndAMarkForTheRest() throws Exception {
        try (Paper paper = new Paper("Test")) {
            paper.page(90, 29);
            paper.text(5, 5, 10, "Zoë Łukasz Ωμέγα");
            paper.text(5, 15, 10, "leaf \uD83C\uDF31 end");
            assertThat(textOf(paper.bytes())).contains("Zoë Łukasz Ωμέγα").contains("leaf ? end");
        }
    }

    @Test
    void wrapsLongLinesAndAnswersWhereTheNextBegins() throws Exception {
        try (Paper paper = new Paper("Test")) {
            paper.page(210, 297);
            float one = paper.wrapped(20, 20, 170, 10, "short");
            float many = paper.wrapped(20, 40, 60, 10, "a line that is much too long for sixty millimetres of paper");
            assertThat(many - 40).isGreaterThan(1.9f * (one - 20));
            assertThat(textOf(paper.bytes()).lines().count()).isGreaterThanOrEqualTo(3);
        }
    }

    @Test
    void aCameraReadsTheCode() throws Exception {
        String message = "http://127.0.0.1:8080/trays/1042";
        try (Paper paper = new Paper("Test")) {
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
        try (Paper paper = new Paper("Test")) {
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
