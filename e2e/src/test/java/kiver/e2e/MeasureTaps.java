package kiver.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * How fast a tray of 300 cells answers taps on a telephone whose processor is four times slower than this one, by the browser's
 * own event timing; and beside it a page that holds one button and nothing else, the least that this browser takes until the
 * next picture. Needs a running demonstration: its tray 1001 is drawn with 300 cells.
 *
 * <p>Call: {@code MeasureTaps http://127.0.0.1:8080}
 */
public final class MeasureTaps {

    private static final int TAPS = 150;
    private static final int ROWS = 15;
    private static final int COLUMNS = 20;

    private static final String WATCH = """
            () => {
              window.taps_ = [];
              new PerformanceObserver((list) => list.getEntries().filter((entry) => entry.name === 'click').forEach((entry) =>
                window.taps_.push([entry.processingEnd - entry.processingStart, entry.duration])))
                .observe({ type: 'event', durationThreshold: 16, buffered: true });
            }""";

    /** Cells that are seen: scrolling before a tap would be drawn with it. */
    private static final String SEEN = """
            () => {
              document.querySelector(`[data-cell='121']`).scrollIntoView({ block: 'center' });
              return [...document.querySelectorAll("[data-cell][aria-disabled='false']")].map((cell) => cell.getBoundingClientRect())
                .filter((box) => box.top > 80 && box.bottom < innerHeight - 220 && box.left > 20 && box.right < innerWidth - 20)
                .map((box) => [box.x + box.width / 2, box.y + box.height / 2]);
            }""";

    private static final String TELL = """
            () => [0, 1].map((which) => {
              const sorted = window.taps_.map((tap) => tap[which]).sort((one, other) => one - other);
              return [sorted.length, sorted[Math.floor(sorted.length / 2)] ?? 0, sorted.at(-1) ?? 0];
            })""";

    private MeasureTaps() {}

    private static final String BARE = """
            <button style="width: 200px; height: 200px" onclick="this.textContent = ++taps">0</button>
            <script>
              window.taps = 0;
              window.taps_ = [];
              new PerformanceObserver((list) => list.getEntries().filter((entry) => entry.name === 'click').forEach((entry) =>
                window.taps_.push([entry.processingEnd - entry.processingStart, entry.duration])))
                .observe({ type: 'event', durationThreshold: 16 });
            </script>""";

    /** What a button alone takes. */
    private static void bare(String address) {
        try (Screen screen = Screen.at(address, true)) {
            Page page = screen.page();
            page.navigate("about:blank");
            page.setContent(BARE);
            slowDown(screen);
            for (int tap = 0; tap < TAPS; tap++) {
                page.touchscreen().tap(100, 100);
                page.waitForTimeout(200);
            }
            tell("one button", page);
        }
    }

    private static void slowDown(Screen screen) {
        JsonObject rate = new JsonObject();
        rate.addProperty("rate", 4);
        screen.context().newCDPSession(screen.page()).send("Emulation.setCPUThrottlingRate", rate);
    }

    private static void tell(String what, Page page) {
        @SuppressWarnings("unchecked")
        List<List<Number>> told = (List<List<Number>>) page.evaluate(TELL);
        for (int which = 0; which < 2; which++) {
            System.out.printf(
                    "%s, %s: of %d taps %d took 16 ms or more; of these median %.1f ms, longest %.1f ms%n",
                    what,
                    which == 0 ? "handled" : "until drawn",
                    TAPS,
                    told.get(which).get(0).intValue(),
                    told.get(which).get(1).doubleValue(),
                    told.get(which).get(2).doubleValue());
        }
    }

    public static void main(String[] arguments) {
        bare(arguments[0]);
        try (Screen screen = Screen.at(arguments[0], true)) {
            screen.signIn(Nursery.HAND);
            Page page = screen.page();
            page.route("**/api/trays/1001", MeasureTaps::enlarged);
            page.navigate("/trays/1001");
            page.locator("[data-cell='300']").waitFor();
            slowDown(screen);
            page.evaluate(WATCH);
            Random dice = new Random(1);
            @SuppressWarnings("unchecked")
            List<List<Number>> seen = (List<List<Number>>) page.evaluate(SEEN);
            page.waitForTimeout(1_000);
            for (int tap = 0; tap < TAPS; tap++) {
                List<Number> at = seen.get(dice.nextInt(seen.size()));
                page.touchscreen().tap(at.get(0).doubleValue(), at.get(1).doubleValue());
                page.waitForTimeout(200);
            }
            page.waitForTimeout(1_000);
            tell("300 cells", page);
        }
        System.exit(0);
    }

    /** The tray as the server tells it, with 300 cells. */
    private static void enlarged(Route route) {
        JsonObject tray = JsonParser.parseString(route.fetch().text()).getAsJsonObject();
        JsonArray cells = tray.getAsJsonArray("cells");
        JsonArray many = new JsonArray();
        for (int number = 1; number <= ROWS * COLUMNS; number++) {
            JsonObject cell = cells.get((number - 1) % cells.size()).deepCopy().getAsJsonObject();
            cell.addProperty("number", number);
            many.add(cell);
        }
        tray.add("cells", many);
        tray.addProperty("rows", ROWS);
        tray.addProperty("columns", COLUMNS);
        route.fulfill(new Route.FulfillOptions()
                .setBody(tray.toString())
                .setHeaders(Map.of("Content-Type", "application/json")));
    }
}
