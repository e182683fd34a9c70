package kiver.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/** Every view of the demonstration as it opens: accessible and no wider than the screen, at the desk and on a phone. */
class EveryViewTest {

    private static final Map<String, Screen> SCREENS = new HashMap<>();

    private static Nursery nursery;

    private record View(String email, String path) {}

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        SCREENS.values().forEach(Screen::close);
        nursery.close();
    }

    @TestFactory
    List<DynamicTest> views() {
        List<View> views = List.of(
                new View("", "/"),
                new View(Nursery.PROPAGATOR, "/"),
                new View(Nursery.PROPAGATOR, "/orders"),
                new View(Nursery.PROPAGATOR, "/orders/new"),
                new View(Nursery.PROPAGATOR, "/orders/109"),
                new View(Nursery.PROPAGATOR, "/batches"),
                new View(Nursery.HAND, "/batches/242"),
                new View(Nursery.HAND, "/batches/262"),
                new View(Nursery.HAND, "/trays/1001"),
                new View(Nursery.HAND, "/season"),
                new View(Nursery.PROPAGATOR, "/space"),
                new View(Nursery.HAND, "/seed"),
                new View(Nursery.PROPAGATOR, "/weather"),
                new View(Nursery.HAND, "/sites/3"),
                new View(Nursery.HAND, "/crops/lettuce"),
                new View(Nursery.HAND, "/season/wall"),
                new View(Nursery.PROPAGATOR, "/season/reschedule"),
                new View(Nursery.PROPAGATOR, "/nursery"),
                new View(Nursery.PROPAGATOR, "/nursery/crops"),
                new View(Nursery.GROWER, "/"));
        List<DynamicTest> tests = new ArrayList<>();
        for (View view : views) {
            tests.add(DynamicTest.dynamicTest("desk " + view, () -> look(screen(view.email(), false), view)));
            tests.add(DynamicTest.dynamicTest("phone " + view, () -> look(screen(view.email(), true), view)));
        }
        return tests;
    }

    /** Each person signs in once at each width. */
    private static Screen screen(String email, boolean phone) {
        return SCREENS.computeIfAbsent(email + phone, each -> {
            Screen screen = phone ? Screen.phone(nursery) : Screen.desk(nursery);
            return email.isEmpty() ? screen : screen.signIn(email);
        });
    }

    private static void look(Screen screen, View view) {
        Page page = screen.page();
        page.navigate(view.path());
        page.waitForLoadState(LoadState.NETWORKIDLE);
        screen.requireAccessible();
        screen.requireNoSidewaysScroll();
    }
}
