package kiver.e2e;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.util.Comparator;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Kiver itself, started by its own command with data of its own, as anybody would start it. */
final class Nursery implements AutoCloseable {

    static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    static final String PASSWORD = "demo-seedlings";
    static final String PROPAGATOR = "propagator@quillmere.example";
    static final String HAND = "hand@quillmere.example";
    static final String GROWER = "grower@lowermead.example";
    static final String OTHER_GROWER = "grower@fennick.example";

    private static final int MINUTES_TO_START = 6;

    /** Written when a demonstration has reached its opening day. */
    private static final String WHOLE = "whole";

    private final Path home;
    private final String command;
    private String address;

    private Nursery(String name, String command) throws IOException {
        home = Path.of("target", name).toAbsolutePath();
        this.command = command;
        Files.createDirectories(home);
    }

    /**
     * The demonstration on its opening day. Its winter is lived through once for all tests of a build; each test works
     * on a copy of its own.
     */
    static Nursery demo(String name) throws IOException, InterruptedException {
        Nursery lived = new Nursery("lived", "demo");
        if (!lived.isOfThisBuild()) {
            lived.kiver("stop");
            lived.forget();
            lived.start();
            lived.close();
            Files.createFile(lived.home.resolve(WHOLE));
        }
        Nursery nursery = new Nursery(name, "demo");
        nursery.kiver("stop");
        nursery.forget();
        new ProcessBuilder("cp", "-a", lived.home + "/.", nursery.home.toString()).inheritIO().start().waitFor();
        nursery.start();
        return nursery;
    }

    /** Whether a demonstration was lived through to its end with what is built now. */
    private boolean isOfThisBuild() throws IOException {
        Path whole = home.resolve(WHOLE);
        if (!Files.exists(whole)) {
            return false;
        }
        try (Stream<Path> built = Files.list(ROOT.resolve("server/target"))) {
            FileTime lived = Files.getLastModifiedTime(whole);
            for (Path jar : built.filter(path -> path.toString().endsWith("-application.jar")).toList()) {
                if (Files.getLastModifiedTime(jar).compareTo(lived) > 0) {
                    return false;
                }
            }
        }
        return true;
    }

    /** A new nursery without data. */
    static Nursery empty(String name) throws IOException, InterruptedException {
        Nursery nursery = new Nursery(name, "start");
        nursery.kiver("stop");
        nursery.forget();
        nursery.start();
        return nursery;
    }

    /** Throws away what an earlier run left. */
    private void forget() throws IOException {
        try (Stream<Path> left = Files.walk(home)) {
            for (Path path : left.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
        Files.createDirectories(home);
    }

    /** Where it answers. */
    String address() {
        return address;
    }

    /** The folder of its data. */
    Path home() {
        return home;
    }

    void start() throws IOException, InterruptedException {
        String output = kiver(command);
        address = output.lines()
                .filter(line -> line.startsWith("Kiver is ready: "))
                .map(line -> line.substring("Kiver is ready: ".length()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("It did not start:\n" + output));
    }

    /** Ends one of its processes at once, as a failing machine would. */
    void killAtOnce(String pidFile) throws IOException, InterruptedException {
        String pid = Files.readAllLines(home.resolve(pidFile)).get(0).strip();
        new ProcessBuilder("kill", "-9", pid).start().waitFor();
    }

    @Override
    public void close() throws IOException, InterruptedException {
        kiver("stop");
    }

    private String kiver(String word) throws IOException, InterruptedException {
        Path log = Files.createTempFile("kiver", ".log");
        ProcessBuilder builder = new ProcessBuilder(ROOT.resolve("kiver").toString(), word)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile());
        builder.environment().put("KIVER_HOME", home.toString());
        builder.environment().put("KIVER_BUILT", "yes");
        builder.environment().remove("KIVER_PORT");
        Process process = builder.start();
        if (!process.waitFor(MINUTES_TO_START, TimeUnit.MINUTES)) {
            process.destroyForcibly();
        }
        String output = Files.readString(log);
        Files.delete(log);
        if (process.exitValue() != 0) {
            throw new IllegalStateException("./kiver " + word + " failed:\n" + output);
        }
        return output;
    }

    /** Somebody signed in without a browser. */
    Caller signedIn(String email) throws IOException, InterruptedException {
        Caller caller = new Caller(address);
        caller.get("/api/session");
        HttpResponse<String> answer =
                caller.post("/api/session", "{\"email\":\"" + email + "\",\"password\":\"" + PASSWORD + "\"}");
        if (answer.statusCode() != 200) {
            throw new IllegalStateException("Signing in failed: " + answer.body());
        }
        return caller;
    }

    /** Calls the server as a program would. */
    static final class Caller {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();
        private final String address;

        Caller(String address) {
            this.address = address;
        }

        HttpResponse<String> get(String path) throws IOException, InterruptedException {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofString());
        }

        HttpResponse<String> post(String path, String body) throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
            return http.send(
                    request(path)
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .POST(HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        private HttpRequest.Builder request(String path) {
            return HttpRequest.newBuilder(URI.create(address + path)).timeout(Duration.ofSeconds(30));
        }
    }
}
