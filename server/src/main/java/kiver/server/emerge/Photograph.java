package kiver.server.emerge;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import kiver.core.emerge.Pixels;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;

/** A photograph as it was sent, decoded. */
record Photograph(BufferedImage image) implements Pixels {

    /** Larger ones would fill the memory before anybody looked at them. */
    private static final long MOST_PIXELS = 12_000_000;

    /** The table takes no larger ones. */
    private static final int MOST_BYTES = 400_000;

    private static final int KEPT_WIDTH = 900;
    private static final float KEPT_QUALITY = 0.6f;

    /**
     * Decodes JPEG or PNG.
     *
     * @throws Refusal when it is neither, broken or too large
     */
    static Photograph of(byte[] bytes) {
        // In memory: a full disk has nothing to do with it.
        try (ImageInputStream stream = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
            if (!readers.hasNext()) {
                throw new Refusal("file", Said.of("This is no photograph that can be read. Send JPEG or PNG."));
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(stream);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    throw new Refusal("file", Said.of("The photograph is too large. Send it with fewer pixels."));
                }
                return new Photograph(reader.read(0));
            } finally {
                reader.dispose();
            }
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException broken) {
            throw new Refusal("file", Said.of("This photograph is broken. Take it again."));
        }
    }

    /** Small enough to be kept, as JPEG: smaller still where there is much to be seen on it. */
    byte[] small() {
        byte[] made = jpeg(KEPT_WIDTH);
        for (int width = KEPT_WIDTH / 2; made.length > MOST_BYTES && width > 1; width /= 2) {
            made = jpeg(width);
        }
        return made;
    }

    private byte[] jpeg(int widest) {
        int width = Math.min(widest, image.getWidth());
        int height = Math.max(1, (int) ((long) image.getHeight() * width / image.getWidth()));
        BufferedImage made = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = made.createGraphics();
        drawn.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        drawn.drawImage(image, 0, 0, width, height, null);
        drawn.dispose();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (var stream = new MemoryCacheImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(KEPT_QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(made, null, null), how);
        } catch (IOException impossible) {
            throw new IllegalStateException(impossible);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    @Override
    public int width() {
        return image.getWidth();
    }

    @Override
    public int height() {
        return image.getHeight();
    }

    @Override
    public int rgb(int x, int y) {
        return image.getRGB(x, y);
    }
}
