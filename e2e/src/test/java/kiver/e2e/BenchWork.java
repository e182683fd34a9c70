package kiver.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A bench hand's work on the batches of an order, done on one day without a browser: sown, all up, hardened. */
final class BenchWork {

    private static final ObjectMapper JSON = new ObjectMapper();
    private final Nursery.Caller hand;

    BenchWork(Nursery nursery) throws IOException, InterruptedException {
        hand = nursery.signedIn(Nursery.HAND);
    }

    void makeReady(int order) throws IOException, InterruptedException {
        Set<Integer> batches = new TreeSet<>();
        get("/api/orders/" + order)
                .at("/order/lines")
                .forEach(line -> line.path("supplies")
                        .forEach(
                                supply -> batches.add(supply.at("/batch/number").asInt())));
        for (int batch : batches) {
            JsonNode planned = get("/api/batches/" + batch);
            for (JsonNode run : planned.at("/layout/toSow")) {
                record(batch, "sowings", """
                        "tray":%d,"firstCell":%d,"lastCell":%d,"seedsPerCell":%d,"lotId":%d,"medium":"Fine mix","placeId":%d""".formatted(
                                run.path("tray").asInt(),
                                run.path("firstCell").asInt(),
                                run.path("lastCell").asInt(),
                                planned.at("/plan/seedsPerCell").asInt(),
                                planned.at("/from/lotId").asLong(),
                                planned.at("/places/emergence/id").asLong()));
                String cells = IntStream.rangeClosed(
                                run.path("firstCell").asInt(),
                                run.path("lastCell").asInt())
                        .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                        .collect(Collectors.joining(","));
                record(
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[%s],\"complete\":true"
                                .formatted(run.path("tray").asInt(), cells));
            }
            record(
                    batch,
                    "hardening-starts",
                    "\"placeId\":%d,\"programme\":\"NONE\""
                            .formatted(planned.at("/places/hardening/id").asLong()));
            record(batch, "hardening-ends", "\"day\":null");
        }
    }

    private JsonNode get(String path) throws IOException, InterruptedException {
        return JSON.readTree(hand.get(path).body());
    }

    private void record(int batch, String what, String entries) throws IOException, InterruptedException {
        HttpResponse<String> answer = hand.post(
                "/api/batches/" + batch + "/" + what, "{\"requestId\":\"" + UUID.randomUUID() + "\"," + entries + "}");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }
}
