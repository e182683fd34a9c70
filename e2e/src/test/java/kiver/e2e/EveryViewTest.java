package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * Every view of the demonstration as it opens, in American English with its units: accessible and no wider than the screen, at
 * the desk and on a phone.
 */
class EveryViewTest {

    private static final Map<String, Screen> SCREENS = new HashMap<>();

    /** Who has seen what stands around every page on a phone. */
    private static final Set<String> FRAMES_SEEN = new HashSet<>();

    private static Nursery nursery;

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
        List<DynamicTest> tests = new ArrayList<>();
        for (View view : View.ALL) {
            tests.add(DynamicTest.dynamicTest("desk " + view, () -> lookAtTheDesk(screen(view.email()), view)));
            tests.add(DynamicTest.dynamicTest("phone " + view, () -> lookOnAPhone(screen(view.email()), view)));
        }
        return tests;
    }

    /** Each person signs in once. */
    private static Screen screen(String email) {
        return SCREENS.computeIfAbsent(email, each -> {
            Screen screen = Screen.desk(nursery);
            if (!email.isEmpty()) {
                screen.signIn(email).speak("AMERICAN");
                // Another page than the first that is looked at.
                screen.open("/account?");
            }
            return screen;
        });
    }

    /** From the page before, as by a link; that each opens by its address is seen where its words are looked at. */
    private static void come(Screen screen, View view) {
        if (view.email().isEmpty()) {
            screen.open(view.path());
        } else {
            screen.goTo(view.path());
        }
    }

    private static void lookAtTheDesk(Screen screen, View view) {
        Page page = screen.page();
        screen.widen();
        come(screen, view);
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                        .first())
                .containsText(view.heading());
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        assertThat(page).hasTitle(Pattern.compile(view.email().isEmpty() ? "Kiver" : ".+ – Kiver"));
        screen.requireNoSidewaysScroll();
        screen.requireLegible(false);
        screen.requireAccessible();
        screen.requireDrawnInForcedColours();
        requireUnitsOfThePerson(screen, view);
        screen.requireRoomForLargeWords(false);
    }

    /** The same page made narrow: what it has fetched is there, and only how it is laid out changes. */
    private static void lookOnAPhone(Screen screen, View view) {
        if (!screen.page().url().endsWith(view.path())) {
            come(screen, view);
        }
        screen.narrow();
        screen.requireNoSidewaysScroll();
        screen.requireLegible(true);
        // What stands around every page on a phone is looked at by all rules once for each person.
        screen.requireAccessibleInTheDark(!FRAMES_SEEN.add(view.email()));
        screen.requireRoomForLargeWords(true);
    }

    /** What files hold stays in their own units, and says so; so does the page on which units are chosen. */
    private static void requireUnitsOfThePerson(Screen screen, View view) {
        if (view.email().isEmpty()
                || view.path().equals("/nursery/crops")
                || view.path().startsWith("/crops")
                || view.path().equals("/account")) {
            return;
        }
        Object metric = screen.page().evaluate("""
                () => {
                  // What a container is called is the nursery's own, and a station's file is always in °C.
                  const text = document.querySelector('main').innerText.replace(/pots of \\d+ cm/g, '').replace(/in °C/, '');
                  return [...text.matchAll(/[^\\n]{0,30}(°C|\\d (?:mm|cm|mL|L|g|K|m)\\b)[^\\n]{0,20}/g)].map((found) => found[0]);
                }""");
        org.assertj.core.api.Assertions.assertThat((List<?>) metric)
                .as("metric on " + view.path())
                .isEmpty();
    }

    @Test
    void aPageThatWasNeverSeenSaysOfflineAtOnce() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.context().setOffline(true);
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Seed"))
                    .first()
                    .click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Offline")))
                    .isVisible();
            screen.context().setOffline(false);
            page.getByText("Try again").click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Seed"))
                            .first())
                    .isVisible();
        }
    }
}
