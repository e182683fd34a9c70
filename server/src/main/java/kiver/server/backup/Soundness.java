package kiver.server.backup;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.Collections;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** Whether a zip is as it was written. Reading an entry does not tell: what rotted on the disk is handed out as it is. */
final class Soundness {

    private Soundness() {}

    /**
     * Reads a zip to its end.
     *
     * @throws IOException when it is no zip, or an entry is not what was written
     */
    static void require(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (ZipEntry entry : Collections.list(zip.entries())) {
                CRC32 sum = new CRC32();
                try (CheckedInputStream in = new CheckedInputStream(zip.getInputStream(entry), sum)) {
                    in.transferTo(OutputStream.nullOutputStream());
                }
                if (sum.getValue() != entry.getCrc()) {
                    throw new IOException(entry.getName() + " is not what was written");
                }
            }
        }
    }
}
