package kiver.server.demo;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;

/**
 * What the demonstration's winter follows from: the core, the server, their libraries' versions and the open data files. A
 * digest of all of it is written beside the winter when it was last lived through; as long as it is the same, so is the winter.
 */
final class WinterGrounds {

    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final Path WRITTEN = ROOT.resolve("library/demo-winter.sha256");
    private static final List<String> GROUNDS =
            List.of("core/src/main", "server/src/main", "library", "pom.xml", "core/pom.xml", "server/pom.xml");

    private WinterGrounds() {}

    /** Whether the winter that ships was lived through on these. */
    static boolean areThoseWritten() throws IOException {
        return Files.exists(WRITTEN) && Files.readString(WRITTEN).strip().equals(digest());
    }

    static void write() throws IOException {
        Files.writeString(WRITTEN, digest() + "\n");
    }

    private static String digest() throws IOException {
        MessageDigest all = sha256();
        for (String ground : GROUNDS) {
            try (Stream<Path> below = Files.walk(ROOT.resolve(ground))) {
                for (Path file : below.filter(Files::isRegularFile)
                        .filter(each -> !each.getFileName().toString().startsWith("demo-winter"))
                        .sorted()
                        .toList()) {
                    all.update(ROOT.relativize(file).toString().getBytes(StandardCharsets.UTF_8));
                    all.update(sha256().digest(Files.readAllBytes(file)));
                }
            }
        }
        return HexFormat.of().formatHex(all.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
