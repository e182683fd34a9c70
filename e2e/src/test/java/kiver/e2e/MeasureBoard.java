package kiver.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;

/**
 * A program that opens the season's board of a running Kiver, drags a sowing for some seconds and tells how long the
 * board took to show, how evenly it was drawn and how soon after the sowing came to another day the screen told what would come of it.
 *
 * <p>Its argument is the address, of {@code ./kiver demo} or {@code ./kiver season 500}.
 */
public final class MeasureBoard {

    private static final int MOVES = 240;

    private static final String WATCH = """
            () => {
              window.frames_ = []; window.told_ = []; let last = performance.now(); let asked = 0;
              const frame = (now) => { window.frames_.push(now - last); last = now; requestAnimationFrame(frame); };
              requestAnimationFrame(frame);
              const fetch_ = window.fetch;
              window.fetch = (...request) => { asked ||= performance.now(); return fetch_(...request); };
              new MutationObserver(() => { if (asked) { window.told_.push(performance.now() - asked); asked = 0; } })
                .observe(document.querySelector('section[aria-label^="Batch "]'), { subtree: true, childList: true, characterData: true });
            }""";

    private static final String TELL = """
            () => Object.fromEntries([['frames', window.frames_.slice(2)], ['told', window.told_]].map(([name, all]) => {
              const sorted = [...all].sort((one, other) => one - other);
              return [name, [sorted.length, sorted[Math.floor(sorted.length / 2)], sorted[Math.floor(sorted.length * 0.95)]]];
            }))""";

    private MeasureBoard() {}

    public static void main(String[] arguments) {
        try (Screen screen = Screen.at(arguments[0], false)) {
            screen.signIn(Nursery.PROPAGATOR);
            Page page = screen.page();
            page.setDefaultTimeout(90_000);
            for (int times = 0; times < 2; times++) {
                long start = System.nanoTime();
                page.navigate("/season");
                page.getByLabel("All states").waitFor();
                page.getByText("Batch, and its chance").waitFor();
                System.out.printf("board shown after %d ms%n", (System.nanoTime() - start) / 1_000_000);
            }
            page.getByLabel("All states").selectOption("PLANNED");
            Locator sowing = page.getByRole(AriaRole.SLIDER).first();
            BoundingBox box = sowing.boundingBox();
            double y = box.y + box.height / 2;
            page.mouse().move(box.x + box.width / 2, y);
            page.mouse().down();
            page.mouse().move(box.x + box.width / 2 + 20, y);
            page.getByText("if so:").waitFor();
            page.evaluate(WATCH);
            for (int move = 0; move < MOVES; move++) {
                page.mouse().move(box.x + box.width / 2 + 20 + 1.5 * (move % 80), y);
                page.waitForTimeout(16);
            }
            @SuppressWarnings("unchecked")
            Map<String, List<Number>> told = (Map<String, List<Number>>) page.evaluate(TELL);
            told.forEach((what, figures) -> System.out.printf(
                    "%s: %d, median %.1f ms, 95 of 100 within %.1f ms%n",
                    what,
                    figures.get(0).intValue(),
                    figures.get(1).doubleValue(),
                    figures.get(2).doubleValue()));
            page.keyboard().press("Escape");
            page.mouse().up();
        }
        System.exit(0);
    }
}
