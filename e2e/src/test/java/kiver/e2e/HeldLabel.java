package kiver.e2e;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;

/**
 * A label as Kiver prints it, held a little askew before a camera. The browser without a screen has no cameras at all, so the
 * page is given one that films this picture; everything behind it is as on a telephone.
 */
final class HeldLabel {

    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;
    private static final int DOTS_PER_INCH = 170;
    private static final double ASKEW = Math.toRadians(7);

    private HeldLabel() {}

    /** Gives a screen a camera before which the label of a batch's tray is held. */
    static void before(Screen screen, Nursery nursery, int batch, int tray) throws IOException, InterruptedException {
        screen.context()
                .addInitScript("""
                const picture = new Image();
                picture.src = 'data:image/png;base64,%s';
                navigator.mediaDevices.getUserMedia = async () => {
                  await picture.decode();
                  const canvas = Object.assign(document.createElement('canvas'), { width: 640, height: 480 });
                  const draw = () => canvas.getContext('2d').drawImage(picture, 0, 0);
                  draw();
                  setInterval(draw, 100);
                  return canvas.captureStream(10);
                };""".formatted(Base64.getEncoder().encodeToString(picture(nursery, batch, tray))));
    }

    private static byte[] picture(Nursery nursery, int batch, int tray) throws IOException, InterruptedException {
        byte[] labels = nursery.signedIn(Nursery.HAND).bytes("/api/batches/" + batch + "/labels.pdf?format=ROLL");
        try (PDDocument paper = Loader.loadPDF(labels)) {
            PDFTextStripper text = new PDFTextStripper();
            for (int page = 1; page <= paper.getNumberOfPages(); page++) {
                text.setStartPage(page);
                text.setEndPage(page);
                if (text.getText(paper).contains("T" + tray)) {
                    return onTheBench(new PDFRenderer(paper).renderImageWithDPI(page - 1, DOTS_PER_INCH));
                }
            }
        }
        throw new IllegalStateException("No label of T" + tray + " was printed for batch " + batch + ".");
    }

    private static byte[] onTheBench(BufferedImage label) throws IOException {
        BufferedImage bench = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = bench.createGraphics();
        drawn.setColor(new Color(0x8A7B66));
        drawn.fillRect(0, 0, WIDTH, HEIGHT);
        drawn.rotate(ASKEW, WIDTH / 2.0, HEIGHT / 2.0);
        drawn.drawImage(label, (WIDTH - label.getWidth()) / 2, (HEIGHT - label.getHeight()) / 2, null);
        drawn.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(bench, "png", file);
        return file.toByteArray();
    }
}
