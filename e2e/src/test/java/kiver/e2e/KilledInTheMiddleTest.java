package kiver.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Ending the application or the database at once, while counts pour in, loses nothing acknowledged, leaves no half. */
class KilledInTheMiddleTest {

    private static final int LEAST_BEFORE_THE_END = 8;
    private static final int CELLS_PER_COUNT = 3;

    private static Nursery.ByCommand nursery;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demoByCommand("killed");
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @ParameterizedTest(name = "the {0}")
    @CsvSource({"application,application.pid", "database,database/postmaster.pid"})
    void killed(String what, String pidFile) throws Exception {
        Nursery.Caller hand = nursery.signedIn(Nursery.HAND);
        int batch = firstBatchWithWaitingCells(hand);
        int tray = number(hand.get("/api/batches/" + batch).body(), "\"tray\":(\\d+)");
        Set<String> acknowledged = ConcurrentHashMap.newKeySet();
        AtomicBoolean ended = new AtomicBoolean();
        Thread counting = new Thread(() -> {
            for (int count = 0; !ended.get() && count < 2000; count++) {
                String request = UUID.randomUUID().toString();
                try {
                    if (hand.post("/api/batches/" + batch + "/counts", count(request, tray))
                                    .statusCode()
                            == 200) {
                        acknowledged.add(request);
                    }
                } catch (IOException | InterruptedException away) {
                    return;
                }
            }
        });
        int before = countsRecorded(hand, batch);
        counting.start();
        while (acknowledged.size() < LEAST_BEFORE_THE_END) {
            Thread.sleep(5);
        }
        nursery.killAtOnce(pidFile);
        Thread.sleep(300);
        ended.set(true);
        counting.join();
        int sure = acknowledged.size();

        nursery.close();
        nursery.start();
        Nursery.Caller again = nursery.signedIn(Nursery.HAND);
        HttpResponse<String> view = again.get("/api/batches/" + batch);
        assertThat(view.statusCode()).isEqualTo(200);
        int recorded = countsRecorded(again, batch);
        // One more than was acknowledged may have been saved when the answer was cut off.
        assertThat(recorded - before).isBetween(sure, sure + 1);
        // Requests that were carried out and entries of the record are written together or not at all.
        assertThat(nursery.answerOf("select count(*) from request where result is null"))
                .isEqualTo("0");
        assertThat(nursery.answerOf("select count(*) from request r where r.result = " + batch
                        + " and r.id::text = any('{" + String.join(",", acknowledged) + "}')"))
                .isEqualTo(String.valueOf(sure));
        String retried = acknowledged.iterator().next();
        assertThat(again.post("/api/batches/" + batch + "/counts", count(retried, tray))
                        .statusCode())
                .isEqualTo(200);
        assertThat(countsRecorded(again, batch)).isEqualTo(recorded);
    }

    private static String count(String request, int tray) {
        return """
                {"requestId":"%s","tray":%d,"complete":false,
                 "cells":[{"cell":1,"seedlings":1},{"cell":2,"seedlings":1},{"cell":3,"seedlings":1}]}""".formatted(request, tray);
    }

    private static int countsRecorded(Nursery.Caller caller, int batch) throws IOException, InterruptedException {
        return occurrences(caller.get("/api/batches/" + batch).body(), "Counted " + CELLS_PER_COUNT + " cells");
    }

    private static int occurrences(String text, String pattern) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        int count = 0;
        while (matcher.find()) {
            count++;
        }
        return count;
    }

    private static int firstBatchWithWaitingCells(Nursery.Caller caller) throws IOException, InterruptedException {
        return number(
                caller.get("/api/batches").body(),
                "\"number\":(\\d+),\"variety\":\"[^\"]*\",\"crop\":\"[^\"]*\",\"stage\":\"SOWN\"");
    }

    private static int number(String text, String pattern) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        assertThat(matcher.find())
                .as(pattern + " in " + text.substring(0, Math.min(400, text.length())))
                .isTrue();
        return Integer.parseInt(matcher.group(1));
    }
}
