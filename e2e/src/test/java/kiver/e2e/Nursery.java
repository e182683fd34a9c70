package kiver.e2e;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/**
 * Kiver itself with data of its own: on a copy of the demonstration's winter, which the server's tests have lived through
 * once, or started by its own command, as anybody would start it.
 */
abstract class Nursery implements AutoCloseable {

    static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    static final String PASSWORD = "demo-seedlings";
    static final String PROPAGATOR = "propagator@quillmere.example";
    static final String HAND = "hand@quillmere.example";
    static final String GROWER = "grower@lowermead.example";
    static final String OTHER_GROWER = "grower@fennick.example";

    private static final String WINTER = "kiver_winter";
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private String address;

    /** The demonstration on its opening day. */
    static Nursery demo() throws IOException, InterruptedException {
        Nursery nursery = new OnACopy("e2e_" + ProcessHandle.current().pid() + "_" + NUMBER.incrementAndGet());
        nursery.start();
        return nursery;
    }

    /** The demonstration behind two instances on one database; every request goes to another of them than the last. */
    static Nursery demoOnTwoInstances() throws IOException, InterruptedException {
        Nursery nursery = new TwoInstances("e2e_" + ProcessHandle.current().pid() + "_" + NUMBER.incrementAndGet());
        nursery.start();
        return nursery;
    }

    /** The demonstration, started by its own command on a database server of its own. */
    static ByCommand demoByCommand(String name) throws IOException, InterruptedException {
        ByCommand nursery = new ByCommand(name, "demo");
        nursery.kiver("stop");
        nursery.forget();
        nursery.kiver("reset-demo");
        nursery.takeWinter();
        nursery.start();
        return nursery;
    }

    /** A new nursery without data, started by its own command. */
    static ByCommand empty(String name) throws IOException, InterruptedException {
        ByCommand nursery = new ByCommand(name, "start");
        nursery.kiver("stop");
        nursery.forget();
        nursery.start();
        return nursery;
    }

    /** Starts it and answers where it can be reached. */
    abstract String started() throws IOException, InterruptedException;

    @Override
    public abstract void close() throws IOException, InterruptedException;

    void start() throws IOException, InterruptedException {
        address = started();
    }

    /** Where it answers. */
    String address() {
        return address;
    }

    private static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            return free.getLocalPort();
        }
    }

    private static String run(Map<String, String> environment, String... words)
            throws IOException, InterruptedException {
        Path log = Files.createTempFile("kiver", ".log");
        ProcessBuilder builder =
                new ProcessBuilder(words).redirectErrorStream(true).redirectOutput(log.toFile());
        builder.environment().remove("KIVER_PORT");
        builder.environment().putAll(environment);
        Process process = builder.start();
        if (!process.waitFor(6, TimeUnit.MINUTES)) {
            process.destroyForcibly();
        }
        String output = Files.readString(log);
        Files.delete(log);
        if (process.exitValue() != 0) {
            throw new IllegalStateException(String.join(" ", words) + " failed:\n" + output);
        }
        return output;
    }

    /** The address of the tests' own database server. */
    private static URI database() {
        return URI.create(System.getenv("KIVER_TEST_DATABASE_URL").substring("jdbc:".length()));
    }

    private static void sql(int port, String password, String database, String statement)
            throws IOException, InterruptedException {
        run(
                Map.of("PGPASSWORD", password),
                "psql",
                "-q",
                "-h",
                "127.0.0.1",
                "-p",
                String.valueOf(port),
                "-U",
                "kiver",
                "-d",
                database,
                "-c",
                statement);
    }

    /** On a copy of the winter, beside other tests on one database server. */
    private static class OnACopy extends Nursery {
        private final String name;
        private final List<Process> processes = new ArrayList<>();

        OnACopy(String name) throws IOException, InterruptedException {
            this.name = name;
            run(Map.of("KIVER_BUILT", "yes"), ROOT.resolve("kiver").toString(), "unpack");
            sql("create database " + name + " template " + WINTER);
        }

        private static void sql(String statement) throws IOException, InterruptedException {
            Nursery.sql(database().getPort(), System.getenv("KIVER_TEST_DATABASE_PASSWORD"), "postgres", statement);
        }

        @Override
        String started() throws IOException, InterruptedException {
            return instance();
        }

        /** Starts one instance and answers where it can be reached. */
        String instance() throws IOException, InterruptedException {
            Path log = Path.of("target", name + "_" + processes.size() + ".log").toAbsolutePath();
            int port = freePort();
            List<String> words =
                    new ArrayList<>(List.of("java", "-Xmx700m", "-XX:TieredStopAtLevel=1", "-XX:+UseParallelGC"));
            // Made by whichever test starts Kiver by its own command first; without it a start takes longer.
            Path archive = ROOT.resolve(".kiver/app/kiver.jsa");
            if (Files.exists(archive)) {
                words.add("-XX:SharedArchiveFile=" + archive);
            }
            words.addAll(List.of("-jar", ROOT.resolve(".kiver/app/kiver.jar").toString()));
            ProcessBuilder builder =
                    new ProcessBuilder(words).redirectErrorStream(true).redirectOutput(log.toFile());
            builder.environment()
                    .putAll(Map.of(
                            "KIVER_DATABASE_URL",
                            System.getenv("KIVER_TEST_DATABASE_URL") + name,
                            "KIVER_DATABASE_USER",
                            "kiver",
                            "KIVER_DATABASE_PASSWORD",
                            System.getenv("KIVER_TEST_DATABASE_PASSWORD"),
                            "KIVER_PORT",
                            String.valueOf(port),
                            "KIVER_LIBRARY",
                            ROOT.resolve("library").toString(),
                            "KIVER_BACKUPS",
                            ROOT.resolve("target")
                                    .resolve("copies")
                                    .resolve(String.valueOf(port))
                                    .toString(),
                            "KIVER_DEMO",
                            "true"));
            Process process = builder.start();
            processes.add(process);
            String address = "http://127.0.0.1:" + port;
            HttpClient http = HttpClient.newHttpClient();
            for (int tries = 0; tries < 600; tries++) {
                if (!process.isAlive()) {
                    throw new IllegalStateException("It stopped while starting; see " + log);
                }
                try {
                    HttpRequest ready = HttpRequest.newBuilder(URI.create(address + "/actuator/health/readiness"))
                            .build();
                    if (http.send(ready, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                        return address;
                    }
                } catch (IOException notYet) {
                    // It is still starting.
                }
                Thread.sleep(100);
            }
            throw new IllegalStateException("It is not ready after a minute; see " + log);
        }

        @Override
        public void close() throws IOException, InterruptedException {
            processes.forEach(Process::destroy);
            for (Process process : processes) {
                if (!process.waitFor(30, TimeUnit.SECONDS)) {
                    process.destroyForcibly();
                }
            }
            sql("drop database " + name + " with (force)");
        }
    }

    /** Two instances on one copy, behind a gate that sends each request to the other one. */
    private static final class TwoInstances extends OnACopy {
        private TurnAndTurnAbout gate;

        TwoInstances(String name) throws IOException, InterruptedException {
            super(name);
        }

        @Override
        String started() throws IOException, InterruptedException {
            gate = new TurnAndTurnAbout(List.of(instance(), instance()));
            return gate.address();
        }

        @Override
        public void close() throws IOException, InterruptedException {
            gate.close();
            super.close();
        }
    }

    /** Started and stopped by its own command, in a home of its own. */
    static final class ByCommand extends Nursery {
        private final Path home;
        private final String command;
        /** Of its own: two that look for the first free one at the same moment would find the same. */
        private final int port = freePort();

        private ByCommand(String name, String command) throws IOException {
            home = Path.of("target", name).toAbsolutePath();
            this.command = command;
            Files.createDirectories(home);
        }

        @Override
        String started() throws IOException, InterruptedException {
            String output = kiver(command);
            return output.lines()
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

        /** Brings the winter over from the tests' database server. */
        private void takeWinter() throws IOException, InterruptedException {
            int port = Integer.parseInt(Files.readAllLines(home.resolve("database/postmaster.pid"))
                    .get(3)
                    .strip());
            String password =
                    Files.readString(home.resolve("database-password")).strip();
            sql(port, password, "postgres", "create database kiver_demo");
            List<String> words = new ArrayList<>(List.of(
                    "bash",
                    "-c",
                    "PGPASSWORD=\"$FROM\" pg_dump -h 127.0.0.1 -p " + database().getPort() + " -U kiver " + WINTER
                            + " | PGPASSWORD=\"$TO\" psql -q -o /dev/null -h 127.0.0.1 -p " + port
                            + " -U kiver -d kiver_demo"));
            run(
                    Map.of("FROM", System.getenv("KIVER_TEST_DATABASE_PASSWORD"), "TO", password),
                    words.toArray(String[]::new));
        }

        /** The one value that a statement on its demonstration's records answers. */
        String answerOf(String statement) throws IOException, InterruptedException {
            String port = Files.readAllLines(home.resolve("database/postmaster.pid"))
                    .get(3)
                    .strip();
            return run(
                            Map.of(
                                    "PGPASSWORD",
                                    Files.readString(home.resolve("database-password"))
                                            .strip()),
                            "psql",
                            "-qAt",
                            "-h",
                            "127.0.0.1",
                            "-p",
                            port,
                            "-U",
                            "kiver",
                            "-d",
                            "kiver_demo",
                            "-c",
                            statement)
                    .strip();
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

        @Override
        public void close() throws IOException, InterruptedException {
            kiver("stop");
        }

        private String kiver(String word) throws IOException, InterruptedException {
            return run(
                    Map.of(
                            "KIVER_HOME",
                            home.toString(),
                            "KIVER_PORT",
                            String.valueOf(port),
                            "KIVER_BUILT",
                            "yes",
                            "JAVA_TOOL_OPTIONS",
                            "-XX:TieredStopAtLevel=1"),
                    ROOT.resolve("kiver").toString(),
                    word);
        }
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
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();
        private final String address;

        Caller(String address) {
            this.address = address;
        }

        HttpResponse<String> get(String path) throws IOException, InterruptedException {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofString());
        }

        byte[] bytes(String path) throws IOException, InterruptedException {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
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
