package kiver.e2e;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Times the answers that people wait for, over HTTP from a running demonstration: promises and trials of dragged sow
 * days. A program to run by hand, with the address as its argument; never part of the tests.
 */
final class MeasureAnswers {

    private static final int WARM_UP = 20;
    private static final int TIMES = 100;
    private static final List<String> QUESTIONS = List.of(
            "400 curly kale, 12 June, Upper terrace, standard module", "200 lettuce 10 june lower meadow",
            "90 squash 1 june upper terrace", "120 curly kale, 25 April, Upper terrace");

    private MeasureAnswers() {}

    public static void main(String[] arguments) throws Exception {
        Nursery.Caller caller = new Nursery.Caller(arguments[0]);
        caller.get("/api/session");
        caller.post("/api/session", "{\"email\":\"" + Nursery.PROPAGATOR + "\",\"password\":\"" + Nursery.PASSWORD + "\"}");
        tell("promise", caller, "/api/promises",
                call -> "{\"text\":\"" + QUESTIONS.get(call % QUESTIONS.size()) + "\"}");
        Matcher batch = Pattern.compile("\"number\":(\\d+)[^{}]*?\"sown\":false").matcher(caller.get("/api/season").body());
        if (!batch.find()) {
            throw new IllegalStateException("No batch is planned in this demonstration.");
        }
        tell("trial of a sow day", caller, "/api/season/trials", call ->
                "{\"edit\":{\"batch\":" + batch.group(1) + ",\"sowDay\":\"2027-05-" + (10 + call % 18) + "\"}}");
    }

    /** A request for each call. */
    private interface Body {
        String of(int call);
    }

    private static void tell(String what, Nursery.Caller caller, String path, Body body)
            throws IOException, InterruptedException {
        List<Double> milliseconds = new ArrayList<>();
        for (int call = 0; call < WARM_UP + TIMES; call++) {
            long start = System.nanoTime();
            int status = caller.post(path, body.of(call)).statusCode();
            if (status != 200) {
                throw new IllegalStateException(path + " answered " + status);
            }
            if (call >= WARM_UP) {
                milliseconds.add((System.nanoTime() - start) / 1e6);
            }
        }
        Collections.sort(milliseconds);
        System.out.printf("%s: median %.0f ms, 95 of 100 within %.0f ms%n", what, milliseconds.get(TIMES / 2), milliseconds.get(TIMES * 95 / 100));
    }
}
