package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse.MoveOptions;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The desk half of the job: promises, counting back, the season on its board, space, weather, seed and sheets. */
class SeasonAtTheDeskTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);

    private static Nursery nursery;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aGrowerOnTheTelephoneIsAnswered(boolean phone) {
        try (Screen screen = screen(phone)) {
            Page page = screen.page();
            screen.open("/");
            if (phone) {
                button(page, "Can we?").click();
            } else {
                Screen.pressKey(page, "p");
            }
            Locator asked = page.getByLabel("Asked on the telephone");
            asked.fill("120 leek, 25 April, Upper terrace, standard module");
            Locator answer = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Answer"));
            assertThat(answer).containsText("No");
            assertThat(answer).containsText("too late to sow");
            assertThat(page.getByText("Read as").locator("xpath=..")).containsText("120");
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
            button(page, Pattern.compile("^on .* instead")).first().click();
            assertThat(answer).containsText("Yes");
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What it takes")))
                    .containsText("L of mix");
            asked.fill("10000000 curly kale, 25 June");
            assertThat(page.getByText("Ask for 1 to 100,000 plants")).isVisible();
            asked.fill("40 curly kale, bare root, in 8 weeks, Upper terrace, standard module");
            assertThat(page.locator("mark").first()).hasText("bare");
            assertThat(page.getByText("Which of these?")).isVisible();
            button(page, Pattern.compile("^Blue Lantern.*yes")).click();
            assertThat(answer).containsText("Yes");
            asked.press("Enter");
            Locator further = page.getByLabel("And if");
            further.fill("a week later, make it 44");
            assertThat(page.getByText("Read as")).containsText("44 Blue Lantern");
            screen.requireAccessible();
            further.fill("what can I still sow for Highbank?");
            assertThat(page.getByText(Pattern.compile("plants of .* seeds")).first())
                    .isVisible();
            screen.requireAccessible();
            further.fill("and 40 leeks");
            assertThat(page.getByText(Pattern.compile("Read as"))).hasCount(2);
            further.fill("40 blue lantern, in 8 weeks, Upper terrace");
            assertThat(page.getByText(Pattern.compile("Read as"))).hasCount(1);
            assertThat(answer).containsText("Yes");
            button(page, Pattern.compile("take the order|Take the order")).click();
            page.waitForURL(Pattern.compile(".*/orders/\\d+"));
            assertThat(page.getByRole(AriaRole.HEADING, heading("40 ").setLevel(1)))
                    .isVisible();
        }
    }

    /** From the top of the page a few tab stops lead to the first sowing, and the arrow keys from row to row. */
    @Test
    void theBoardIsWalkedWithTheKeyboard() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/season");
            assertThat(page.getByRole(AriaRole.SLIDER).first()).isVisible();
            page.locator("#content").focus();
            int stops = 0;
            while (stops < 30 && !"slider".equals(page.evaluate("document.activeElement.getAttribute('role')"))) {
                page.keyboard().press("Tab");
                stops++;
            }
            org.assertj.core.api.Assertions.assertThat(stops).isLessThanOrEqualTo(16);
            page.keyboard().press("Shift+Tab");
            String before = (String) page.evaluate("document.activeElement.textContent");
            page.keyboard().press("ArrowDown");
            assertThat(page.locator("[data-row]:focus")).not().hasText(before);
            page.keyboard().press("End");
            assertThat(page.locator("[data-row]:focus")).isVisible();
            page.keyboard().press("Home");
            assertThat(page.locator("[data-row='0']")).isFocused();
        }
    }

    @Test
    void countingBackLooksAtTheSite() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            Screen.typeOrder(page, "Upper Tarrow Farm", "Sunboat", "30", "2027-05-20");
            Locator site = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("At the site"));
            assertThat(site).containsText("Out from");
            assertThat(site).containsText("Rule of thumb");
            assertThat(page.getByText("Squash is harmed at 1 °C")).isVisible();
            page.getByLabel("Grower").selectOption(new SelectOption().setLabel("Skarrow Hill Farm"));
            page.getByLabel("Variety").fill("Ruffled");
            page.getByRole(AriaRole.OPTION).first().click();
            page.getByLabel("Wanted on").fill("2027-06-15");
            assertThat(page.getByText("May go out", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            assertThat(page.getByText("even odds")).isVisible();
            page.navigate("/sites/5");
            assertThat(page.getByText("1 year in 10")).isVisible();
            screen.requireAccessible();
        }
    }

    @Test
    void pathsAreComparedAndSuccessionsTaken() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            Screen.typeOrder(page, "Lowermead Market Garden", "Copper Bell", "40", "2027-06-19");
            page.getByLabel("Container").selectOption("pot-9");
            page.getByText("Compare paths through containers").click();
            Locator paths = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Paths compared"));
            assertThat(paths).containsText("Potted once");
            assertThat(paths).containsText("Room, trays × days");
            screen.requireAccessible();
            paths.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take this path"))
                    .first()
                    .click();
            assertThat(paths).containsText("chosen");
            page.getByLabel("Container").selectOption("module-60");
            page.getByLabel("Variety").fill("Butterlow");
            page.getByRole(AriaRole.OPTION).first().click();
            page.getByText("Little and often").click();
            page.getByLabel("Into how many sowings").fill("3");
            page.getByLabel("Last day").fill("2027-07-03");
            assertThat(button(page, "Take 3 orders, 40 plants in all")).isVisible();
            page.getByText("As many every time").click();
            page.getByLabel("Every how many days").fill("7");
            assertThat(button(page, "Take 3 orders, 120 plants in all")).isVisible();
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aSowingIsDraggedAndUndone(boolean phone) {
        try (Screen screen = screen(phone)) {
            Page page = screen.page();
            page.navigate("/season");
            page.getByLabel("All states").selectOption("PLANNED");
            Locator sowing = page.getByRole(AriaRole.SLIDER).first();
            sowing.scrollIntoViewIfNeeded();
            String before = sowing.getAttribute("aria-valuetext");
            BoundingBox box = sowing.boundingBox();
            page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
            page.mouse().down();
            page.mouse()
                    .move(
                            box.x + box.width / 2 + (phone ? 40 : 90),
                            box.y + box.height / 2,
                            new MoveOptions().setSteps(6));
            assertThat(page.getByText("if so:")).isVisible();
            assertThat(page.getByText(Pattern.compile("instead of"))).not().hasCount(0);
            page.mouse().up();
            Locator undo = button(page, Pattern.compile("^Undo"));
            assertThat(undo).isVisible();
            assertThat(sowing).not().hasAttribute("aria-valuetext", before);
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
            undo.click();
            assertThat(sowing).hasAttribute("aria-valuetext", before);
        }
    }

    @Test
    void aDraftIsComparedAndThrownAway() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/season");
            page.getByLabel("All states").selectOption("PLANNED");
            button(page, "Begin a draft").click();
            assertThat(button(page, "Compare with the plan")).isVisible();
            Locator sowing = page.getByRole(AriaRole.SLIDER).first();
            String before = sowing.getAttribute("aria-valuetext");
            sowing.focus();
            page.keyboard().press("ArrowRight");
            page.keyboard().press("ArrowRight");
            assertThat(page.getByText("if so:")).isVisible();
            page.keyboard().press("Enter");
            assertThat(page.getByText("if so:")).isHidden();
            button(page, "Compare with the plan").click();
            assertThat(page.getByText("1 batch changed.")).isVisible();
            screen.requireAccessible();
            button(page, "Close").click();
            button(page, "Throw it away").click();
            assertThat(button(page, "Begin a draft")).isVisible();
            assertThat(page.getByRole(AriaRole.SLIDER).first()).hasAttribute("aria-valuetext", before);
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setPressed(false).setName(Pattern.compile("%$")))
                    .first()
                    .click();
            Locator growing = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Grows on in"));
            growing.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(false))
                    .first()
                    .click();
            assertThat(button(page, "Change it so")).isEnabled();
            button(page, "Leave it").click();
        }
    }

    @Test
    void theWholeSeasonIsPlaced() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/space");
            assertThat(page.getByRole(
                            AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("Heat mat: holds 8"))))
                    .isVisible();
            button(page, "Place the whole season").click();
            assertThat(button(page, "Place all anew"))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
            page.getByText("Each batch with its reason").click();
            assertThat(page.getByText("Stands there already.").first()).isVisible();
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aStationFileIsLookedOverAndReadIn(boolean phone) {
        try (Screen screen = screen(phone)) {
            Page page = screen.page();
            page.navigate("/weather");
            Locator file = page.getByLabel("Station file");
            file.setInputFiles(payload("day;minimum;maximum\n2027-01-01;1;5\n"));
            assertThat(page.getByText("So it begins: 1 Jan 2027 1.0 °C to 5.0 °C."))
                    .isVisible();
            file.setInputFiles(payload("variety;seeds\nHill Curl;40\n"));
            assertThat(page.getByText("No line of this file holds a day")).isVisible();
            file.setInputFiles(payload("day,minimum,maximum\n2027-01-01,1.5,5\n2027-01-02,9,2\n2027-01-04,-3,2\n"));
            assertThat(page.getByText("Line 3:")).containsText("swapped");
            assertThat(page.getByText("1 gap, the longest 2 days")).isVisible();
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
            button(page, "Read 2 good days in").click();
            assertThat(page.getByText("Every forecast now rests on it.")).isVisible();
            assertThat(page.getByText("were read in from files")).isVisible();
        }
    }

    @Test
    void seedIsLinedUpAndDaysAreRescheduled() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/seed");
            assertThat(page.getByRole(AriaRole.HEADING, heading("Lined up by sow day")))
                    .isVisible();
            assertThat(page.getByText(Pattern.compile("100 plants take \\d+ cells"))
                            .first())
                    .isVisible();
            screen.requireAccessible();
            page.navigate("/season/reschedule");
            page.getByLabel("Find batches").fill("Highbank");
            page.getByRole(AriaRole.CHECKBOX).first().check();
            page.getByLabel("The day moves by").fill("5");
            button(page, "What can be done for 1 batch").click();
            Locator choices = page.getByRole(AriaRole.ARTICLE).first();
            assertThat(choices).containsText("Leave it as it is");
            screen.requireAccessible();
            choices.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take this"))
                    .first()
                    .click();
            assertThat(choices).containsText("Done.");
        }
    }

    @Test
    void sheetsHangOnTheWallAndCalendarsAreFetched() throws IOException, InterruptedException {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/season/wall");
            assertThat(page.getByRole(AriaRole.HEADING, heading("Week from"))).isVisible();
            screen.requireAccessible();
            page.getByText("Month", new Page.GetByTextOptions().setExact(true)).click();
            assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Month")))
                    .isVisible();
            button(page, "Show its address").click();
            String address = page.getByRole(
                            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("calendar")))
                    .getAttribute("href");
            String calendar = new Nursery.Caller("").get(address).body();
            Assertions.assertThat(calendar).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Sow ");
        }
    }

    @Test
    void whatTheNurseryHasIsChangedAndLookedAt() {
        try (Screen screen = screen(false)) {
            Page page = screen.page();
            page.navigate("/nursery/places");
            button(page, "Change Frames").click();
            page.getByLabel("Trays it holds").fill("0");
            button(page, "Save").click();
            assertThat(page.getByText("a place holds at least one tray")).isVisible();
            page.getByLabel("Trays it holds").fill("52");
            screen.requireAccessible();
            button(page, "Save").click();
            assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("Frames"))))
                    .containsText("52");
            page.getByLabel("Read a file in").setInputFiles(payload("name,walking_order\nX,1\n"));
            assertThat(page.getByText("1 row that cannot be taken")).isVisible();
            assertThat(button(page, "Read 1 row in")).isDisabled();
            page.navigate("/crops/tomato");
            assertThat(page.getByRole(
                            AriaRole.IMG, new Page.GetByRoleOptions().setName("Days from sowing until half are up")))
                    .isVisible();
            assertThat(page.getByText("6 true leaves")).isVisible();
            page.getByLabel("in", new Page.GetByLabelOptions().setExact(true))
                    .selectOption(new SelectOption().setLabel("Heat mat"));
            assertThat(page.getByText("about 2")).isVisible();
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }

    private static FilePayload payload(String text) {
        return new FilePayload("station.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }

    private static Screen screen(boolean phone) {
        return (phone ? Screen.phone(nursery) : Screen.desk(nursery)).signIn(Nursery.PROPAGATOR);
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    private static Locator button(Page page, Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static Page.GetByRoleOptions heading(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
