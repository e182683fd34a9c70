package kiver.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Runs a program that ships with PostgreSQL; it is found where Debian puts it, or on the path. */
final class PostgresProgram {

    private static final Path DEBIAN = Path.of("/usr/lib/postgresql");
    private static final int MOST_COMPLAINT = 2_000;

    private final String name;
    private final Map<String, String> environment;

    PostgresProgram(String name, Map<String, String> environment) {
        this.name = name;
        this.environment = environment;
    }

    /** Hands on what the program writes. */
    void writeTo(OutputStream out, String... arguments) throws IOException {
        run(arguments, process -> {
            process.getOutputStream().close();
            process.getInputStream().transferTo(out);
        });
    }

    /** Hands the program what it reads. */
    void readFrom(InputStream in, String... arguments) throws IOException {
        run(arguments, process -> {
            try (OutputStream out = process.getOutputStream()) {
                in.transferTo(out);
            } catch (IOException ended) {
                // It stopped reading; what it complained of says why.
            }
            process.getInputStream().transferTo(OutputStream.nullOutputStream());
        });
    }

    private interface Exchange {
        void with(Process process) throws IOException;
    }

    private void run(String[] arguments, Exchange exchange) throws IOException {
        List<String> command = new ArrayList<>(List.of(found()));
        command.addAll(List.of(arguments));
        Path complaints = Files.createTempFile("kiver-" + name, ".txt");
        try {
            ProcessBuilder builder = new ProcessBuilder(command).redirectError(complaints.toFile());
            builder.environment().putAll(environment);
            Process process = builder.start();
            try {
                exchange.with(process);
                int code = process.waitFor();
                if (code != 0) {
                    throw new IOException(name + ": " + said(complaints));
                }
            } catch (InterruptedException interrupted) {
                Thread.currentThread().interrupt();
                throw new IOException(name + " was interrupted", interrupted);
            } finally {
                process.destroyForcibly();
            }
        } finally {
            Files.deleteIfExists(complaints);
        }
    }

    private static String said(Path complaints) throws IOException {
        String said = new String(Files.readAllBytes(complaints), StandardCharsets.UTF_8).strip();
        return said.length() > MOST_COMPLAINT ? said.substring(0, MOST_COMPLAINT) : said;
    }

    private String found() throws IOException {
        if (!Files.isDirectory(DEBIAN)) {
            return name;
        }
        try (Stream<Path> versions = Files.list(DEBIAN)) {
            return versions.filter(
                            version -> Files.isExecutable(version.resolve("bin").resolve(name)))
                    .max(Comparator.comparingInt(
                            version -> number(version.getFileName().toString())))
                    .map(version -> version.resolve("bin").resolve(name).toString())
                    .orElse(name);
        }
    }

    private static int number(String version) {
        return version.matches("\\d{1,4}") ? Integer.parseInt(version) : 0;
    }
}
