package kiver.e2e;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Times the answers that people wait for, over HTTP from a running demonstration or made-up season: promises, trials of
 * dragged sow days, the round, the board, lists, a batch, a tray, an order. A program to run by hand, with the address as its argument; never part of the tests.
 */
final class MeasureAnswers {

    private static final int WARM_UP = 20;
    private static final int TIMES = 100;
    private static final List<String> QUESTIONS = List.of(
            "400 curly kale, in 8 weeks, Upper terrace, standard module", "200 lettuce in 7 weeks lower meadow",
            "90 squash in 6 weeks upper terrace", "120 curly kale, in 2 weeks, Upper terrace");

    private MeasureAnswers() {}

    public static void main(String[] arguments) throws Exception {
        Nursery.Caller caller = new Nursery.Caller(arguments[0]);
        caller.get("/api/session");
        caller.post(
                "/api/session", "{\"email\":\"" + Nursery.PROPAGATOR + "\",\"password\":\"" + Nursery.PASSWORD + "\"}");
        tell(
                "promise",
                caller,
                "/api/promises",
                call -> "{\"text\":\"" + QUESTIONS.get(call % QUESTIONS.size()) + "\"}");
        String board = caller.get("/api/board").body();
        List<String> planned = all(board, "\"number\":(\\d+)[^{}]*?\"sown\":false");
        if (!planned.isEmpty()) {
            tell(
                    "trial of a sow day",
                    caller,
                    "/api/board/trials",
                    call -> "{\"edit\":{\"batch\":" + planned.get(0) + ",\"sowDay\":\"2027-06-" + (10 + call % 18)
                            + "\"}}");
        }
        String batches = caller.get("/api/batches").body();
        List<String> numbers = all(batches, "\"number\":(\\d+)");
        List<String> trays = all(batches, "\"trays\":\\[(\\d+)");
        List<String> orders = all(caller.get("/api/orders").body(), "\"number\":(\\d+),\"growerId\"");
        look("round", caller, call -> "/api/round");
        look("board", caller, call -> "/api/board");
        look("list of batches", caller, call -> "/api/batches");
        look("list of orders", caller, call -> "/api/orders");
        look("a batch", caller, call -> "/api/batches/" + numbers.get(call % numbers.size()));
        look("a tray", caller, call -> "/api/trays/" + trays.get(call % trays.size()));
        look("an order", caller, call -> "/api/orders/" + orders.get(call % orders.size()));
    }

    private static List<String> all(String text, String pattern) {
        List<String> found = new ArrayList<>();
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        while (matcher.find()) {
            found.add(matcher.group(1));
        }
        return found;
    }

    /** A request for each call. */
    private interface Body {
        String of(int call);
    }

    /** An answer to a call. */
    private interface Ask {
        int status(int call) throws IOException, InterruptedException;
    }

    private static void look(String what, Nursery.Caller caller, Body path) throws IOException, InterruptedException {
        time(what, call -> caller.get(path.of(call)).statusCode());
    }

    private static void tell(String what, Nursery.Caller caller, String path, Body body)
            throws IOException, InterruptedException {
        time(what, call -> caller.post(path, body.of(call)).statusCode());
    }

    private static void time(String what, Ask ask) throws IOException, InterruptedException {
        List<Double> milliseconds = new ArrayList<>();
        for (int call = 0; call < WARM_UP + TIMES; call++) {
            long start = System.nanoTime();
            int status = ask.status(call);
            if (status != 200) {
                throw new IllegalStateException(what + " answered " + status);
            }
            if (call >= WARM_UP) {
                milliseconds.add((System.nanoTime() - start) / 1e6);
            }
        }
        Collections.sort(milliseconds);
        System.out.printf(
                "%s: median %.0f ms, 95 of 100 within %.0f ms%n",
                what, milliseconds.get(TIMES / 2), milliseconds.get(TIMES * 95 / 100));
    }
}
