package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;

/** Plants are shared, picked and handed over; the grower opens their page by a code, asks, tells how they did, and is answered. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class HandedOverTest {

    private Nursery nursery;
    private String code;

    @BeforeAll
    void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @Test
    @Order(1)
    void whatIsDueIsPickedAndLetGoAsPicked() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/loading");
            Locator shares = region(page, "Shares");
            assertThat(shares).containsText("47 short");
            button(page, "all alike, in proportion").click();
            assertThat(region(page, "Pick list")).containsText("T1015");
            page.getByRole(AriaRole.BUTTON, named("Release 23 plants as picked"))
                    .click();
            assertThat(page.getByText("Released: 23 plants")).isVisible();
            assertThat(shares).not().containsText("Long Sexton");
        }
    }

    @Test
    @Order(2)
    void aReleaseSaysWhatTheSiteAsksAndKeepsWhatWasSeen() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/orders/104");
            assertThat(page.getByText(Pattern.compile("Planted today at"))).isVisible();
            page.getByLabel("stood in water for 20 minutes").check();
            page.getByLabel("hardened", new Page.GetByLabelOptions().setExact(true))
                    .check();
            assertThat(page.getByLabel("Plants looked at")).hasValue("5");
            screen.requireNoSidewaysScroll();
            page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Release \\d+ plants")))
                    .click();
            assertThat(page.getByText("The note is with the order")).isVisible();
            page.getByText("A page for").click();
            page.getByRole(AriaRole.BUTTON, named("Make one")).click();
            code = page.locator("code").textContent();
        }
    }

    @Test
    @Order(3)
    void theGrowerOpensTheirPageByACodeAndTellsHowTheyDid() {
        try (Screen screen = Screen.phone(nursery)) {
            Page page = screen.page();
            page.navigate("/g/" + code);
            page.getByRole(AriaRole.BUTTON, named("Open my plants")).click();
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Your plants")))
                    .isVisible();
            page.getByText("How did they do?").first().click();
            page.getByLabel("Plants lost").first().fill("500");
            page.getByRole(AriaRole.BUTTON, named("Tell it")).first().click();
            assertThat(page.getByRole(AriaRole.ALERT)
                            .or(page.getByText("enter at most that many"))
                            .first())
                    .containsText("enter at most that many");
            page.getByLabel("Plants lost").first().fill("2");
            page.getByRole(AriaRole.BUTTON, named("Tell it")).first().click();
            assertThat(page.getByText("Told. Your propagator sees it.").first()).isVisible();
            screen.requireNoSidewaysScroll();
        }
    }

    @Test
    @Order(4)
    void aRequestIsAnsweredAndMakesTheChange() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.GROWER)) {
            Page page = screen.page();
            screen.open("/");
            page.getByRole(AriaRole.BUTTON, named("Fewer")).first().click();
            page.getByLabel("How many in all").fill("7");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Ask").setExact(true))
                    .click();
            assertThat(page.getByText("has yet to answer").first()).isVisible();
        }
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/growers");
            Locator asks = region(page, "They ask");
            assertThat(asks).containsText("7 of them instead of");
            asks.getByLabel("A word with the answer").fill("Gladly.");
            asks.getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName("Yes").setExact(true))
                    .click();
            assertThat(asks).containsText("Nothing waits for an answer");
            assertThat(region(page, "They lost")).containsText("lost 2");
            page.getByRole(AriaRole.BUTTON, named("Give 2 again from what is kept"))
                    .click();
            assertThat(region(page, "They lost")).containsText("2 given again");
            screen.requireAccessible();
        }
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.GROWER)) {
            screen.open("/");
            assertThat(screen.page().getByText("“Gladly.”").first()).isVisible();
        }
    }

    @Test
    @Order(5)
    void plantsThatStandOverWinterAreOrderedAndSaidWithTheirBatch() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/orders/new");
            page.getByLabel("Grower").selectOption("1");
            page.getByLabel("Site").selectOption("1");
            page.getByLabel("Variety").fill("Speckled Bell");
            page.keyboard().press("Enter");
            page.getByLabel("Plants").fill("40");
            page.getByLabel("to", new Page.GetByLabelOptions().setExact(true)).fill("9");
            page.getByLabel("Container").selectOption("pot-9");
            page.getByLabel("Wanted on").fill("2028-04-12");
            page.getByLabel("Sow in late summer and stand it over winter, cold").check();
            Locator winter = region(page, "Over winter");
            assertThat(winter).containsText("less than a leaf a month");
            assertThat(winter).containsText("cover them or bring them in");
            screen.requireAccessible();
            page.getByRole(AriaRole.BUTTON, named("Take the order for 40 plants"))
                    .click();
            page.waitForURL(Pattern.compile("/orders/\\d+$"));
            page.getByRole(AriaRole.LINK, named(Pattern.compile("batch \\d+", Pattern.CASE_INSENSITIVE)))
                    .first()
                    .click();
            page.waitForURL(Pattern.compile("/batches/\\d+$"));
            assertThat(page.getByText("Stands over winter, cold, until")).isVisible();
            screen.requireAccessible();
        }
    }

    @Test
    @Order(6)
    void lessonsAreTakenTurnedDownAndUndone() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/lessons");
            Locator proposed = region(page, "Proposed").getByRole(AriaRole.LISTITEM);
            String first = proposed.first().locator("p").first().textContent();
            proposed.first()
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Go by")))
                    .click();
            Locator decided = region(page, "Decided");
            assertThat(decided).containsText("Taken: " + first);
            Locator drying = region(page, "At work already")
                    .getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("times as fast as weather and leaves say"));
            drying.first()
                    .getByRole(
                            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Go by weather and leaves instead"))
                    .click();
            assertThat(decided).containsText("Turned down: Trays of");
            for (int undone = 1; undone <= 2; undone++) {
                decided.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo"))
                        .first()
                        .click();
                assertThat(decided.getByText(Pattern.compile("^undone "))).hasCount(undone);
            }
            assertThat(region(page, "Proposed")).containsText(first);
        }
    }

    @Test
    @Order(7)
    void cropFiguresGoOutAndAreLookedAtBesideOnesOwn() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/lessons");
            Download given = page.waitForDownload(
                    () -> page.getByRole(AriaRole.LINK, named("Give them away")).click());
            page.getByLabel("A package of another nursery").setInputFiles(given.path());
            assertThat(region(page, "Exchange with other nurseries"))
                    .containsText(Pattern.compile("\\d+ crops in it; \\d+ as yours"));
        }
    }

    @Test
    @Order(8)
    void aSeasonIsLookedBackOnAndTakenAgain() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/looking-back");
            assertThat(page.getByText("Days came inside the band")).isVisible();
            screen.open("/season/again");
            button(page, "Plan it anew").first().click();
            Locator take = page.getByRole(AriaRole.BUTTON, named(Pattern.compile("^Take \\d+ lines?$")));
            assertThat(take).isVisible();
            assertThat(page.getByText("Planning…")).hasCount(0);
            for (Locator line : page.getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^No\\b|Not for")))
                    .all()) {
                line.getByRole(AriaRole.CHECKBOX).uncheck();
            }
            assertThat(take).isEnabled();
            take.click();
            assertThat(page.getByText("Taken.")).isVisible();
            // The way to it stays when the year is read anew and has no open line of it any more.
            assertThat(page.getByText("ordered again already")).isVisible();
            page.getByRole(AriaRole.LINK, named(Pattern.compile("^Order \\d+$")))
                    .click();
            assertThat(page).hasURL(Pattern.compile("/orders/\\d+$"));
        }
    }

    private static Locator region(Page page, String name) {
        return page.getByRole(AriaRole.REGION, named(name));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, named(name));
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static Page.GetByRoleOptions named(Pattern name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
