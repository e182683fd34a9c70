package kiver.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Takes the pictures in docs/screenshots from a running demonstration: a program, with the address as its first
 * argument, the folder as its second, and the names of the pictures wanted after them (none: all).
 */
public final class TakePictures {

    private record View(String name, String path, String email, boolean phone) {}

    private static final List<View> VIEWS = List.of(
            new View("today", "/", Nursery.PROPAGATOR, false),
            new View("today-phone", "/", Nursery.HAND, true),
            new View("orders", "/orders?sort=tight", Nursery.PROPAGATOR, false),
            new View("new-order", "/orders/new", Nursery.PROPAGATOR, false),
            new View("new-order-phone", "/orders/new", Nursery.PROPAGATOR, true),
            new View("order", "/orders/104", Nursery.PROPAGATOR, false),
            new View("loading", "/loading", Nursery.PROPAGATOR, false),
            new View("loading-phone", "/loading", Nursery.PROPAGATOR, true),
            new View("growers", "/growers", Nursery.PROPAGATOR, false),
            new View("looking-back", "/looking-back?", Nursery.HAND, false),
            new View("lessons", "/lessons", Nursery.PROPAGATOR, false),
            new View("lessons-phone", "/lessons", Nursery.PROPAGATOR, true),
            new View("looking-back-phone", "/looking-back?", Nursery.HAND, true),
            new View("ways", "/orders/236", Nursery.PROPAGATOR, false),
            new View("ways-phone", "/orders/236", Nursery.PROPAGATOR, true),
            new View("batches", "/batches", Nursery.PROPAGATOR, false),
            new View("batch", "/batches/242", Nursery.PROPAGATOR, false),
            new View("batch-phone", "/batches/242", Nursery.HAND, true),
            new View("water-phone", "/water", Nursery.HAND, true),
            new View("potting", "/potting", Nursery.PROPAGATOR, false),
            new View("health", "/batches/212/health", Nursery.HAND, false),
            new View("light", "/light/3", Nursery.PROPAGATOR, false),
            new View("hardening", "/hardening", Nursery.PROPAGATOR, false),
            new View("hardening-phone", "/hardening", Nursery.HAND, true),
            new View("failing", "/batches/201/failing?sign=YELLOW", Nursery.HAND, false),
            new View("tray", "EMERGING", Nursery.HAND, false),
            new View("tray-phone", "EMERGING", Nursery.HAND, true),
            new View("sow", "PLANNED", Nursery.HAND, false),
            new View("sow-phone", "PLANNED", Nursery.HAND, true),
            new View("my-plants", "/", Nursery.GROWER, false),
            new View("my-plants-phone", "/", Nursery.GROWER, true),
            new View("nursery", "/nursery", Nursery.PROPAGATOR, false),
            new View("season", "/season", Nursery.PROPAGATOR, false),
            new View("season-phone", "/season", Nursery.PROPAGATOR, true),
            new View("promise", "ASK", Nursery.PROPAGATOR, false),
            new View("promise-phone", "ASK", Nursery.PROPAGATOR, true),
            new View("space", "/space", Nursery.PROPAGATOR, false),
            new View("space-phone", "/space", Nursery.PROPAGATOR, true),
            new View("seed", "/seed", Nursery.PROPAGATOR, false),
            new View("seed-phone", "/seed", Nursery.PROPAGATOR, true),
            new View("mix", "/mix", Nursery.PROPAGATOR, false),
            new View("mix-phone", "/mix/barrow?recipe=living&litres=60", Nursery.HAND, true),
            new View("sowing", "/sow", Nursery.HAND, false),
            new View("sow-along-phone", "/sow/along", Nursery.HAND, true),
            new View("weather", "/weather", Nursery.PROPAGATOR, false),
            new View("weather-phone", "/weather", Nursery.PROPAGATOR, true),
            new View("week", "/week", Nursery.PROPAGATOR, false),
            new View("trace", "/trace/lots/9", Nursery.PROPAGATOR, false),
            new View("site", "/sites/5", Nursery.PROPAGATOR, false),
            new View("crop", "/crops/tomato", Nursery.PROPAGATOR, false),
            new View("crop-phone", "/crops/tomato", Nursery.PROPAGATOR, true),
            new View("site-phone", "/sites/5", Nursery.PROPAGATOR, true),
            new View("crop-sheet", "/nursery/crops", Nursery.PROPAGATOR, false),
            new View("month-sheet", "/season/wall", Nursery.PROPAGATOR, false),
            new View("reschedule-phone", "/season/reschedule", Nursery.PROPAGATOR, true),
            new View("reschedule", "/season/reschedule", Nursery.PROPAGATOR, false),
            new View("week-sheet", "/season/wall", Nursery.PROPAGATOR, false),
            new View("sheet", "/nursery/places", Nursery.PROPAGATOR, false),
            new View("account", "/account", Nursery.HAND, false),
            new View("account-phone", "/account", Nursery.HAND, true),
            new View("sign-in", "", "", false));

    private TakePictures() {}

    public static void main(String[] arguments) throws Exception {
        Path folder = Path.of(arguments[1]);
        Files.createDirectories(folder);
        List<String> wanted = List.of(arguments).subList(2, arguments.length);
        for (View view : VIEWS) {
            if (wanted.isEmpty() || wanted.contains(view.name())) {
                take(arguments[0], folder, view);
            }
        }
        System.exit(0);
    }

    /** Whoever looks at the pictures is not new here. */
    private static void walkedRound(Page page) {
        page.evaluate("""
                async () => {
                  const session = await (await fetch('/api/session')).json();
                  localStorage.setItem('kiver.walked.' + session.person, 'yes');
                }""");
    }

    private static void take(String address, Path folder, View view) {
        try (Screen screen = Screen.at(address, view.phone())) {
            Page page = screen.page();
            if (view.email().isEmpty()) {
                page.navigate("/");
            } else {
                screen.signIn(view.email());
                walkedRound(page);
                page.navigate(
                        view.path().startsWith("/")
                                ? view.path()
                                : view.path().equals("ASK") ? "/" : trayIn(page, view.path()));
            }
            page.waitForLoadState(LoadState.NETWORKIDLE);
            if (view.path().equals("/orders/new")) {
                Screen.typeOrder(page, "Lowermead Market Garden", "Low Ember", "30", "2027-06-11");
                page.getByText("50 free").waitFor();
            }
            if (view.path().equals("ASK")) {
                Screen.pressKey(page, "p");
                page.getByLabel("Asked on the telephone")
                        .fill("400 blue lantern, 12 June, Upper terrace, standard module");
                page.getByText("What it takes")
                        .or(page.getByText("What would be a yes"))
                        .first()
                        .waitFor();
            }
            if (view.path().equals("/season/reschedule")) {
                page.getByRole(AriaRole.CHECKBOX).first().check();
                page.getByText("What can be done for 1 batch").click();
                page.getByText("Take this").first().waitFor();
            }
            if (view.name().startsWith("ways")) {
                page.getByText("Compare the ways").click();
                page.getByText("as it is now").waitFor();
            }
            if (view.name().equals("month-sheet")) {
                page.getByText("Month", new Page.GetByTextOptions().setExact(true))
                        .click();
            }
            page.waitForTimeout(600);
            page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(view.name() + ".png")));
        }
    }

    private static String trayIn(Page page, String stage) {
        Object tray = page.evaluate(
                "stage => fetch('/api/batches').then(r => r.json())"
                        + ".then(all => all.filter(b => b.stage === stage).at(0).trays[0])",
                stage);
        return "/trays/" + tray;
    }
}
