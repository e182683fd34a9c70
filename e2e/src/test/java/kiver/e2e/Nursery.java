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
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import kiver.server.KiverApplication;
import kiver.server.MovableDatabase;
import kiver.server.OwnDatabase;
import kiver.server.demo.Winter;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Kiver itself with data of its own: in this process on a copy of the demonstration's winter, or started by its own command, as
 * anybody would start it.
 */
abstract class Nursery implements AutoCloseable {

    static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    static final String PASSWORD = "demo-seedlings";
    static final String PROPAGATOR = "propagator@quillmere.example";
    static final String HAND = "hand@quillmere.example";
    static final String GROWER = "grower@lowermead.example";
    static final String OTHER_GROWER = "grower@fennick.example";

    private static final AtomicInteger NUMBER = new AtomicInteger();

    private String address;

    /** The demonstration on its opening day. */
    static Nursery demo() throws IOException, InterruptedException {
        Nursery nursery = new InThisProcess(true);
        nursery.start();
        return nursery;
    }

    /** The demonstration behind two instances on one database; every request goes to another of them than the last. */
    static Nursery demoOnTwoInstances() throws IOException, InterruptedException {
        Nursery nursery = new TwoInstances();
        nursery.start();
        return nursery;
    }

    private static String nextName() {
        return "e2e_" + ProcessHandle.current().pid() + "_" + NUMBER.incrementAndGet();
    }

    /** The demonstration, started by its own command on a database server of its own. */
    static ByCommand demoByCommand(String name) throws IOException, InterruptedException {
        ByCommand nursery = new ByCommand(name, "demo");
        nursery.kiver("stop");
        nursery.forget();
        nursery.start();
        return nursery;
    }

    /** A new nursery without data. */
    static Nursery empty() throws IOException, InterruptedException {
        Nursery nursery = new InThisProcess(false);
        nursery.start();
        return nursery;
    }

    /** A new nursery without data, started by its own command. */
    static ByCommand emptyByCommand(String name) throws IOException, InterruptedException {
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

    /** Nothing is left running when it cannot start. */
    void start() throws IOException, InterruptedException {
        try {
            address = started();
            Screen.forgetWhoSignedIn(address);
        } catch (IOException | InterruptedException | RuntimeException failed) {
            close();
            throw failed;
        }
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

    private static String password() {
        return System.getenv("KIVER_TEST_DATABASE_PASSWORD");
    }

    private static String[] words(int port, String database, String statement) {
        return new String[] {
            "psql",
            "-qAt",
            "-h",
            "127.0.0.1",
            "-p",
            String.valueOf(port),
            "-U",
            "kiver",
            "-d",
            database,
            "-c",
            statement
        };
    }

    /** In this process, beside other tests on one database server. */
    private static class InThisProcess extends Nursery {

        /** Applications that have started for an earlier class and rest, by what they were started as. */
        private static final Map<Boolean, Queue<ConfigurableApplicationContext>> RESTING =
                Map.of(true, new ConcurrentLinkedQueue<>(), false, new ConcurrentLinkedQueue<>());

        private final boolean demo;
        private final List<ConfigurableApplicationContext> instances = new ArrayList<>();

        InThisProcess(boolean demo) {
            this.demo = demo;
        }

        @Override
        String started() throws IOException {
            ConfigurableApplicationContext instance = RESTING.get(demo).poll();
            if (instance == null) {
                instance = run(
                        demo ? new Winter() : new OwnDatabase(),
                        "--kiver.demo=" + demo,
                        "--kiver.backups="
                                + Path.of("target", "copies", nextName()).toAbsolutePath());
            }
            try {
                MovableDatabase.moveOn(instance);
            } catch (SQLException failed) {
                throw new IllegalStateException("It has no database of its own", failed);
            }
            instances.add(instance);
            return addressOf(instance);
        }

        /** One more on the same database; answers where it can be reached. */
        String another() {
            instances.add(run(
                    beside -> TestPropertyValues.of(
                                    "spring.datasource.url=" + MovableDatabase.addressOf(instances.get(0)),
                                    "spring.datasource.username=kiver",
                                    "spring.datasource.password=" + password())
                            .applyTo(beside),
                    "--kiver.demo=" + demo));
            return addressOf(instances.get(instances.size() - 1));
        }

        /** One after the other: what logs is set up once for all of them. */
        private static synchronized ConfigurableApplicationContext run(
                ApplicationContextInitializer<ConfigurableApplicationContext> database, String... settings) {
            SpringApplication application =
                    new SpringApplication(KiverApplication.class, MovableDatabase.Wrapping.class);
            application.addInitializers(database);
            return application.run(Stream.concat(
                            Stream.of(settings),
                            Stream.of(
                                    "--server.port=0",
                                    "--server.shutdown=immediate",
                                    "--kiver.library=" + ROOT.resolve("library")))
                    .toArray(String[]::new));
        }

        private static String addressOf(ConfigurableApplicationContext instance) {
            return "http://127.0.0.1:" + instance.getEnvironment().getRequiredProperty("local.server.port");
        }

        @Override
        public void close() {
            for (ConfigurableApplicationContext instance : instances) {
                if (instance == instances.get(0)) {
                    RESTING.get(demo).add(instance);
                } else {
                    instance.close();
                }
            }
            instances.clear();
        }
    }

    /** Two instances on one copy, behind a gate that sends each request to the other one. */
    private static final class TwoInstances extends InThisProcess {
        private TurnAndTurnAbout gate;

        TwoInstances() {
            super(true);
        }

        @Override
        String started() throws IOException {
            gate = new TurnAndTurnAbout(List.of(super.started(), another()));
            return gate.address();
        }

        @Override
        public void close() {
            if (gate != null) {
                gate.close();
            }
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

        /** The one value that a statement on its demonstration's records answers. */
        String answerOf(String statement) throws IOException, InterruptedException {
            String port = Files.readAllLines(home.resolve("database/postmaster.pid"))
                    .get(3)
                    .strip();
            String password =
                    Files.readString(home.resolve("database-password")).strip();
            return run(Map.of("PGPASSWORD", password), words(Integer.parseInt(port), "kiver_demo", statement))
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
