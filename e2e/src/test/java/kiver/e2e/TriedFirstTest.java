package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/** A season is tried before one trusts in it: run through a past year, and played in a copy of which nothing is kept. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TriedFirstTest {

    /** Beside two other classes a cold process took a minute to start, alone it takes ten seconds. */
    private static final int TIME_TO_COPY = 240_000;

    private static final int TIME_FOR_A_WEEK = 180_000;

    private Nursery nursery;

    @BeforeAll
    void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @Test
    void whatBreaksInAPastYearIsNamedOnThePhoneToo() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/space");
            Locator weather = page.getByLabel("in the weather");
            String year = page.locator("optgroup option").first().getAttribute("value");
            weather.selectOption(year);
            assertThat(page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions().setName("What breaks in the weather of " + year)))
                    .isVisible();
            assertThat(page).hasURL(Pattern.compile("year=" + year));
            screen.requireNoSidewaysScroll();
            screen.requireLegible(true);
            page.reload();
            assertThat(page.getByLabel("in the weather")).hasValue(year);
        }
    }

    @Test
    void aWeekIsPlayedInACopyAndNothingOfItIsKept() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/season/play");
            page.getByLabel("in the weather of")
                    .selectOption(page.locator("optgroup option").first().getAttribute("value"));
            page.getByRole(AriaRole.BUTTON, named("Play the season in the weather of"))
                    .click();
            Locator door = page.getByRole(AriaRole.LINK, named("Open the copy"));
            assertThat(door).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(TIME_TO_COPY));
            Page copy = page.waitForPopup(door::click);
            assertThat(copy.getByText("A copy, played in the weather of")).isVisible();
            assertThat(copy.getByRole(AriaRole.HEADING, named("The round, Thu 15 Apr")))
                    .isVisible();
            copy.getByRole(AriaRole.BUTTON, named("Let days pass")).click();
            copy.getByText("7", new Page.GetByTextOptions().setExact(true)).click();
            copy.getByRole(AriaRole.BUTTON, named("Let 7 days pass")).click();
            assertThat(copy.getByRole(AriaRole.HEADING, named("The round, Thu 22 Apr")))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(TIME_FOR_A_WEEK));
            // Nobody else can enter, not even by their own password.
            try (Screen hand = Screen.at(copy.url().replaceAll("(://[^/]+).*", "$1"), false)) {
                hand.page().navigate("/");
                hand.page().getByLabel("E-mail address").fill(Nursery.HAND);
                hand.page().getByLabel("Password").fill(Nursery.PASSWORD);
                hand.page()
                        .getByText("Sign in", new Page.GetByTextOptions().setExact(true))
                        .click();
                assertThat(hand.page().getByRole(AriaRole.ALERT)).isVisible();
            }
            page.reload();
            assertThat(page.getByText("Thu 15 Apr").first()).isVisible();
            page.getByRole(AriaRole.BUTTON, named("End the play")).click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Choose a year first")))
                    .isVisible();
            assertThat(copy.evaluate("fetch('/api/session').then(() => 'there', () => 'gone')"))
                    .isEqualTo("gone");
            screen.open("/");
            assertThat(page.getByRole(AriaRole.HEADING, named("The round, Thu 15 Apr")))
                    .isVisible();
        }
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
