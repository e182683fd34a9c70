package kiver.server.play;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import kiver.server.KiverApplication;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Kiver in a process of its own, so that a play can neither take the nursery's memory nor end it. It ends when this one lets go
 * of it, whatever happens to this one.
 */
final class PlayProcess implements PlayHost.Running {

    /** How plays are started, unless something else is said to be. */
    @Component
    static final class Host implements PlayHost {

        @Override
        public Running start(Map<String, String> settings) throws IOException {
            return PlayProcess.start(settings);
        }
    }

    private static final Logger LOG = LoggerFactory.getLogger(PlayProcess.class);
    private static final List<String> SHARED_SETTINGS =
            List.of("-XX:SharedArchiveFile", "-XX:+UseParallelGC", "-Xmx", "-XX:MaxRAM");
    private static final int SECONDS_TO_START = 120;
    private static final int SECONDS_TO_END = 10;

    private final Process process;
    private final CompletableFuture<Integer> port = new CompletableFuture<>();

    private PlayProcess(Process process) {
        this.process = process;
        Thread listening = new Thread(this::listen, "listening to the play");
        listening.setDaemon(true);
        listening.start();
    }

    /**
     * Starts it.
     *
     * @param settings of it alone, as its environment; what is said to this one about mail is not handed on
     */
    private static PlayProcess start(Map<String, String> settings) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(each -> SHARED_SETTINGS.stream().anyMatch(each::startsWith))
                .forEach(command::add);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), KiverApplication.class.getName()));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().keySet().removeIf(name -> name.startsWith("KIVER_MAIL"));
        builder.environment().putAll(settings);
        builder.environment().put("KIVER_PLAY_HELD", "true");
        return new PlayProcess(builder.start());
    }

    @Override
    public int port() throws IOException, InterruptedException {
        try {
            return port.get(SECONDS_TO_START, TimeUnit.SECONDS);
        } catch (ExecutionException | TimeoutException notReached) {
            throw new IOException("The copy did not open", notReached);
        }
    }

    @Override
    public void whenEnded(Runnable then) {
        process.onExit().thenRun(then);
    }

    @Override
    public void end() {
        process.destroy();
        try {
            if (!process.waitFor(SECONDS_TO_END, TimeUnit.SECONDS)) {
                process.destroyForcibly().waitFor();
            }
        } catch (InterruptedException interrupted) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }

    private void listen() {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.startsWith(PlayBegins.REACHED_AT)) {
                    port.complete(Integer.valueOf(line.substring(PlayBegins.REACHED_AT.length())));
                } else {
                    LOG.info("In the play: {}", line);
                }
            }
        } catch (IOException gone) {
            LOG.info("The play is not heard any more", gone);
        }
        port.completeExceptionally(new IOException("It ended before it was ready"));
    }
}
