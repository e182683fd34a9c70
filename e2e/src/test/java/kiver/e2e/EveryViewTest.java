package kiver.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/** Every view of the demonstration as it opens: accessible and no wider than the screen, at the desk and on a phone. */
class EveryViewTest {

    private static Nursery nursery;

    private record View(String email, String path) {}

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo("demo");
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
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
            tests.add(DynamicTest.dynamicTest("desk " + view, () -> look(Screen.desk(nursery), view)));
            tests.add(DynamicTest.dynamicTest("phone " + view, () -> look(Screen.phone(nursery), view)));
        }
        return tests;
    }

    private static void look(Screen screen, View view) {
        try (screen) {
            Page page = screen.page();
            if (!view.email().isEmpty()) {
                screen.signIn(view.email());
            }
            page.navigate(view.path());
            page.waitForLoadState(LoadState.NETWORKIDLE);
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }
}
