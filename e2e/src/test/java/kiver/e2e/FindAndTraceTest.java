package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One field finds everything; a note is followed back, a lot forward; lists keep what was chosen in their address. */
class FindAndTraceTest {

    private static Nursery nursery;

    /** From one find to the next, as one works. */
    private static Screen finding;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
        finding = Screen.desk(nursery).signIn(Nursery.PROPAGATOR);
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        finding.close();
        nursery.close();
    }

    @ParameterizedTest
    @CsvSource({
        "T1001, Tray T1001, /trays/1001",
        "http://127.0.0.1/trays/1001, Tray T1001, /trays/1001",
        "note 504, Where delivery note 504 came from, /trace/notes/504",
        "order 109, Order 109, /orders/109",
        "curly kale, Curly kale, /crops/curly-kale",
        "Upper terr, Upper terrace, /sites/",
        "12 May, Week from, /season/wall"
    })
    void whatIsTypedOrScannedIsOpenedByEnter(String typed, String shown, String page) {
        Page window = finding.page();
        if (!window.url().startsWith(nursery.address())) {
            finding.open("/seed");
        }
        Screen.pressKey(window, "/");
        window.getByRole(AriaRole.COMBOBOX).fill(typed);
        window.keyboard().press("Enter");
        window.waitForURL(Pattern.compile(".*" + Pattern.quote(page) + ".*"));
        assertThat(window.locator("main")).containsText(shown);
    }

    @Test
    void fromANoteBackToTheLotAndForwardToEveryGrowerInThreePresses() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/orders/128");
            link(page, Pattern.compile("^Where note \\d+ came from")).first().click();
            assertThat(page.locator("main")).containsText("on average");
            link(page, Pattern.compile("^lot ")).first().click();
            Locator growers = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("With growers"));
            assertThat(growers).containsText("Fennick Flowers");
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }

    @Test
    void aListKeepsItsChoicesInItsAddress() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/orders");
            page.getByLabel("Sort").selectOption("tight");
            page.getByLabel("Together").selectOption("week");
            page.getByLabel("Find an order").fill("kale");
            page.waitForURL(Pattern.compile(".*sort=tight.*group=week.*find=kale.*"));
            String address = page.url();
            Locator rows = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Orders"))
                    .getByRole(AriaRole.LISTITEM);
            page.navigate(address);
            assertThat(rows.first()).containsText("Week from");
            assertThat(page.getByLabel("Sort")).hasValue("tight");
            int shown = rows.count();
            page.navigate("/batches");
            page.goBack();
            assertThat(rows).hasCount(shown);
            assertThat(page.getByLabel("Find an order")).hasValue("kale");
        }
    }

    @Test
    void aTaskIsTickedOffAndADayWithoutTimeIsCleared() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/");
            Locator tick = page.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Done: ")))
                    .first();
            tick.click();
            assertThat(tick).hasAttribute("aria-pressed", "true");
            page.reload();
            assertThat(tick).hasAttribute("aria-pressed", "true");
            screen.open("/week");
            assertThat(page.locator("main")).containsText("More work than hands on");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("No time: move what may wait"))
                    .click();
            assertThat(page.locator("main")).containsText(Pattern.compile("\\d+ tasks? moved"));
            assertThat(page.locator("main")).containsText("of none");
        }
    }

    @Test
    void aLabelIsScannedByTheCamera() throws IOException, InterruptedException {
        try (Screen screen = Screen.phone(nursery)) {
            HeldLabel.before(screen, nursery, 203, 1006);
            screen.signIn(Nursery.HAND);
            Page page = screen.page();
            Locator find = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Find"))
                    .first();
            find.tap();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Scan with the camera"))
                    .tap();
            assertThat(page).hasURL(Pattern.compile(".*/trays/1006$"));
            find.tap();
            page.getByRole(AriaRole.COMBOBOX).fill("T1006-A");
            page.keyboard().press("Enter");
            assertThat(page.getByText("T1006-A does not fit its check character"))
                    .isVisible();
        }
    }

    private static Locator link(Page page, Object name) {
        Page.GetByRoleOptions named = name instanceof Pattern pattern
                ? new Page.GetByRoleOptions().setName(pattern)
                : new Page.GetByRoleOptions().setName((String) name);
        return page.getByRole(AriaRole.LINK, named);
    }
}
