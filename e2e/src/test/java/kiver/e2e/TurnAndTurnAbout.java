package kiver.e2e;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/** A gate before several instances that sends each request to the next of them. */
final class TurnAndTurnAbout implements AutoCloseable {

    /** What belongs to one connection and is not handed on. */
    private static final Set<String> OF_THE_CONNECTION = Set.of(
            "connection",
            "content-length",
            "expect",
            "host",
            "upgrade",
            "transfer-encoding",
            "keep-alive",
            "http2-settings");

    private final List<String> instances;
    private final AtomicInteger next = new AtomicInteger();
    private final ExecutorService threads = Executors.newFixedThreadPool(16);
    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final HttpServer gate;

    TurnAndTurnAbout(List<String> instances) throws IOException {
        this.instances = instances;
        gate = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        gate.createContext("/", this::handOn);
        gate.setExecutor(threads);
        gate.start();
    }

    String address() {
        return "http://127.0.0.1:" + gate.getAddress().getPort();
    }

    private void handOn(HttpExchange exchange) throws IOException {
        String instance = instances.get(Math.floorMod(next.getAndIncrement(), instances.size()));
        byte[] body = exchange.getRequestBody().readAllBytes();
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(instance + exchange.getRequestURI()))
                .method(
                        exchange.getRequestMethod(),
                        body.length == 0
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofByteArray(body));
        exchange.getRequestHeaders().forEach((name, values) -> {
            if (!OF_THE_CONNECTION.contains(name.toLowerCase(Locale.ROOT))) {
                values.forEach(value -> request.header(name, value));
            }
        });
        try (exchange) {
            HttpResponse<byte[]> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            answer.headers().map().forEach((name, values) -> {
                if (!OF_THE_CONNECTION.contains(name)) {
                    exchange.getResponseHeaders().put(name, values);
                }
            });
            boolean empty = answer.body().length == 0;
            exchange.sendResponseHeaders(answer.statusCode(), empty ? -1 : answer.body().length);
            if (!empty) {
                exchange.getResponseBody().write(answer.body());
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        gate.stop(0);
        threads.shutdownNow();
    }
}
