package kiver.server.message;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;

/** Messages leave by a mail server on loopback, and what it does not take comes back with its reason. */
class MailServerTest {

    /** A mail server that takes one letter and refuses a mailbox named nobody. */
    private static final class Letterbox implements AutoCloseable {
        private final ServerSocket socket = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
        private final List<String> lines = new CopyOnWriteArrayList<>();

        Letterbox() throws IOException {
            Thread reader = new Thread(this::take);
            reader.setDaemon(true);
            reader.start();
        }

        private void take() {
            try (Socket caller = socket.accept();
                    BufferedReader in =
                            new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.UTF_8));
                    PrintWriter out = new PrintWriter(caller.getOutputStream(), true, StandardCharsets.UTF_8)) {
                out.print("220 letterbox\r\n");
                out.flush();
                boolean letter = false;
                for (String line = in.readLine(); line != null; line = in.readLine()) {
                    lines.add(line);
                    if (letter && !line.equals(".")) {
                        continue;
                    }
                    letter = line.equals("DATA");
                    out.print(
                            letter
                                    ? "354 go on\r\n"
                                    : line.contains("nobody@") && line.startsWith("RCPT")
                                            ? "550 no such mailbox\r\n"
                                            : "250 so be it\r\n");
                    out.flush();
                }
            } catch (IOException ended) {
                lines.add("ended");
            }
        }

        MailServer server() {
            return new MailServer("127.0.0.1", socket.getLocalPort(), "nursery@quillmere.example", "", "", false);
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }

    @Test
    void aMessageLeavesWithItsUmlauts() throws Exception {
        try (Letterbox letterbox = new Letterbox()) {
            letterbox.server().send("grower@fennick.example", "Jungpflanzen für Sie", "Nächste Woche.");
            assertThat(letterbox.lines)
                    .contains("RCPT TO:<grower@fennick.example>", "MAIL FROM:<nursery@quillmere.example>")
                    .anyMatch(line -> line.startsWith("Subject: =?UTF-8?"));
        }
    }

    @Test
    void whatIsNotTakenComesBackWithTheReason() throws Exception {
        try (Letterbox letterbox = new Letterbox()) {
            assertThatThrownBy(() -> letterbox.server().send("nobody@fennick.example", "Plants", "Soon."))
                    .isInstanceOf(MessageService.UndeliverableException.class)
                    .hasMessageContaining("no such mailbox");
        }
        MailServer nowhere = new MailServer("127.0.0.1", 1, "nursery@quillmere.example", "", "", false);
        assertThatThrownBy(() -> nowhere.send("grower@fennick.example", "Plants", "Soon."))
                .isInstanceOf(MessageService.UndeliverableException.class);
        assertThatThrownBy(() -> nowhere.send("not an address", "Plants", "Soon."))
                .isInstanceOf(MessageService.UndeliverableException.class);
    }
}
