package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;

/** One real order, from the telephone to the delivery note, as the people at the nursery do it; at one width. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class OrderToRelease {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private final boolean phone;
    private Nursery nursery;
    private int order;
    private int batch;
    private int tray;
    private int sown;

    OrderToRelease(boolean phone) {
        this.phone = phone;
    }

    @BeforeAll
    void start() throws IOException, InterruptedException {
        nursery = nursery();
    }

    /** The nursery in which it happens. */
    Nursery nursery() throws IOException, InterruptedException {
        return Nursery.demo();
    }

    @AfterAll
    void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @Test
    @Order(1)
    void aWrongPasswordIsRefusedAndARightOneLetsIn() {
        try (Screen screen = screen()) {
            Page page = screen.page();
            page.navigate("/");
            page.getByLabel("E-mail address").fill(Nursery.PROPAGATOR);
            page.getByLabel("Password").fill("wrong");
            button(page, "Sign in").click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not fit together");
            assertThat(page.getByLabel("E-mail address")).hasValue(Nursery.PROPAGATOR);
            screen.requireAccessible();
            screen.signIn(Nursery.PROPAGATOR);
            assertThat(heading(page, "The round")).isVisible();
        }
    }

    @Test
    @Order(2)
    void anOrderIsPlannedWhileItIsTypedAndTaken() {
        try (Screen screen = screen().signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/");
            page.getByRole(AriaRole.LINK, named("Orders")).click();
            page.getByRole(AriaRole.LINK, named("Take an order")).click();
            page.waitForURL("**/orders/new");
            Screen.typeOrder(
                    page,
                    "Lowermead Market Garden",
                    "White Ladle",
                    "30",
                    TODAY.plusDays(4).toString());
            assertThat(page.getByText("Not for this date")).isVisible();
            assertThat(page.getByText("It is too late to sow for")).isVisible();
            assertThat(button(page, "Take the order")).isDisabled();
            page.getByLabel("Wanted on").fill(TODAY.plusDays(55).toString());
            assertThat(heading(page, "Sow")).isVisible();
            assertThat(page.getByText("Seeds per cell compared")).isVisible();
            int before = cells(page);
            page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true))
                    .fill("50");
            assertThat(button(page, "Take the order for 50 plants")).isEnabled();
            page.waitForCondition(() -> cells(page) > before);
            button(page, "Take 3").click();
            assertThat(page.getByText("3 a cell")).isVisible();
            sown = cells(page);
            screen.requireAccessible();
            button(page, "Take the order for 50 plants").click();
            page.waitForURL(Pattern.compile(".*/orders/\\d+"));
            order = lastNumber(page.url());
            assertThat(heading(page, "50 White Ladle")).isVisible();
            Locator planned = page.getByRole(AriaRole.LINK, named("Planned"));
            batch = lastNumber(planned.getAttribute("href"));
            screen.requireAccessible();
        }
    }

    @Test
    @Order(3)
    void theRunOfCellsIsSownOnThePhone() throws IOException {
        try (Screen screen = screen().signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/batches/" + batch);
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Sow \\d+ cells")))
                    .click();
            page.waitForURL(Pattern.compile(".*/trays/\\d+"));
            tray = lastNumber(page.url());
            String label = pdf(screen, "/api/batches/" + batch + "/labels.pdf");
            assertThat(label).contains("White Ladle", "batch " + batch, "T" + tray, "Lot ");
            page.getByLabel("Seeds a cell").fill("0");
            page.getByText(Pattern.compile("^Sow \\d+ cells$")).click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("At least one seed");
            page.getByLabel("Seeds a cell").fill("1");
            page.getByLabel("Filled from").selectOption("");
            page.getByLabel("Filled with").fill("Fine mix, test heap");
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
            page.getByText(Pattern.compile("^Sow \\d+ cells$")).click();
            assertThat(button(page, "Save count")).isVisible();
            assertThat(cell(page, 1)).hasAttribute("aria-label", Pattern.compile("^Cell 1, .*sown, nothing up"));
        }
    }

    @Test
    @Order(4)
    void daysPassAndTheRoundAsksForACount() {
        try (Screen screen = screen().signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/");
            assertThat(heading(page, "The round, Thu 15 Apr")).isVisible();
            Screen.pressAbove(page, "Let days pass");
            page.getByText("7", new Page.GetByTextOptions().setExact(true)).click();
            page.getByLabel("The nursery's hands do the round meanwhile").uncheck();
            button(page, "Let 7 days pass").click();
            assertThat(heading(page, "The round, Thu 22 Apr"))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(180_000));
            Locator work = page.getByRole(AriaRole.LINK, named("T" + tray))
                    .filter(new Locator.FilterOptions().setHasText("Count"));
            assertThat(work).isVisible();
            work.click();
            page.waitForURL("**/trays/" + tray);
        }
    }

    @Test
    @Order(5)
    void seedlingsAreCountedByTappingSweepingAndTyping() {
        try (Screen screen = screen().signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/trays/" + tray);
            cell(page, 1).click();
            cell(page, 1).click();
            assertThat(cell(page, 1)).hasText("2");
            button(page, "Undo tap").click();
            assertThat(cell(page, 1)).hasText("1");
            sweep(page, 2, 10);
            assertThat(button(page, "Save count of 10 cells")).isEnabled();
            cell(page, 11).focus();
            page.keyboard().press("3");
            assertThat(cell(page, 11)).hasText("3");
            page.reload();
            assertThat(cell(page, 11)).hasText("3");
            button(page, "Save count of 11 cells").click();
            assertThat(page.getByText("11 of").first()).isVisible();
            assertThat(button(page, "Save count")).isDisabled();
            assertThat(page.getByRole(AriaRole.IMG, named("Emergence:"))).isVisible();
            sweep(page, 12, sown);
            button(page, "Save count of").click();
            assertThat(page.getByText(sown + " of " + sown)).isVisible();
            screen.requireAccessible();
        }
    }

    @Test
    @Order(6)
    void aCountMadeWithoutConnectionIsKeptAndSentLater() {
        try (Screen screen = screen().signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/trays/" + tray);
            cell(page, 5).click();
            screen.context().setOffline(true);
            button(page, "Save count of 1 cell").click();
            assertThat(page.getByText("kept on this device until there is a connection"))
                    .isVisible();
            assertThat(cell(page, 5)).hasText("2");
            Screen.pressAbove(page, "Sign out");
            assertThat(page.getByText("could not be sent yet")).isVisible();
            button(page, "Stay signed in").click();
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device")).isHidden();
            assertThat(cell(page, 5)).hasText("2");
            screen.requireNoSidewaysScroll();
            screen.requireAccessible();
        }
    }

    @Test
    @Order(7)
    void lossesAreMarkedAndTakenBack() {
        try (Screen screen = screen().signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/trays/" + tray);
            button(page, "Mark losses").click();
            cell(page, 3).click();
            cell(page, 4).click();
            page.getByLabel("Reason").selectOption("SLUGS");
            assertThat(page.getByText("Slug pellets")).isVisible();
            button(page, "Mark 2 cells as lost").click();
            assertThat(cell(page, 3)).hasAttribute("aria-label", Pattern.compile("^Cell 3, .*lost"));
            page.navigate("/batches/" + batch);
            assertThat(page.getByText("2 lost")).isVisible();
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(Pattern.compile("Undo entry \\d+: Lost")))
                    .click();
            button(page, "Undo this entry").click();
            assertThat(page.getByText("Say in a few words why")).isVisible();
            page.getByLabel("Why").fill("the other tray was meant");
            screen.requireAccessible();
            button(page, "Undo this entry").click();
            assertThat(page.getByText("2 lost")).isHidden();
            assertThat(page.getByText("the other tray was meant")).isVisible();
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }

    @Test
    @Order(8)
    void theBatchIsMovedHardenedAndItsForecastFollows() {
        try (Screen screen = screen().signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/trays/" + tray);
            page.getByLabel("Last look").check();
            button(page, "Save last look").click();
            assertThat(button(page, "Save count")).isDisabled();
            page.navigate("/batches/" + batch);
            Locator path = page.getByRole(AriaRole.FIGURE, named("Path towards"));
            String before = path.innerText();
            button(page, "Move to another place").click();
            Screen.moveTo(page, "South house");
            screen.requireAccessible();
            button(page, "Move to South house").click();
            assertThat(page.getByText("Moved to South house")).isVisible();
            // The first figure of the page is the count's, which tells nothing of places.
            page.waitForCondition(() -> !path.innerText().equals(before));
            button(page, "Begin hardening off").click();
            page.getByLabel("Programme").selectOption("BY_DAY");
            button(page, "Begin hardening").last().click();
            assertThat(heading(page, "Hardening: 0 of 5 days")).isVisible();
            page.getByLabel("Hours outside today").fill("40");
            button(page, "Note the day").click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("1 to 24 hours");
            page.getByLabel("Hours outside today").fill("3");
            button(page, "Note the day").click();
            assertThat(heading(page, "Hardening: 1 of 5 days")).isVisible();
            screen.requireAccessible();
            button(page, "End hardening early").click();
            assertThat(page.getByText("ready since")).isVisible();
        }
    }

    @Test
    @Order(9)
    void plantsAreReleasedInTwoParts() throws IOException {
        try (Screen screen = screen().signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/" + order);
            page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true))
                    .fill("5000");
            button(page, "Release").click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("release at most");
            page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true))
                    .fill("30");
            screen.requireAccessible();
            button(page, "Release 30 plants").click();
            assertThat(page.getByText("30 of 50", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            assertThat(button(page, "Release 20 plants")).isVisible();
            Locator note = page.getByRole(AriaRole.LINK, named("Delivery note"));
            String text = pdf(screen, note.getAttribute("href"));
            assertThat(text)
                    .contains(
                            "30 White Ladle",
                            "To Lowermead Market Garden",
                            "batch " + batch,
                            "Fine mix, test heap",
                            "How to plant",
                            "of 50 ordered");
            button(page, "Release 20 plants").click();
            assertThat(page.getByText("50 of 50", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
        }
    }

    @Test
    @Order(10)
    void theGrowerSeesTheirOrderAndNobodyElseDoes() {
        try (Screen screen = screen().signIn(Nursery.GROWER)) {
            Page page = screen.page();
            screen.open("/");
            assertThat(heading(page, "Your plants")).isVisible();
            Locator mine =
                    page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("50 White Ladle"));
            assertThat(mine.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Delivery note"))
                            .first())
                    .isVisible();
            String note = mine.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Delivery note"))
                    .first()
                    .getAttribute("href");
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
            assertThat(page.request().get(note).status()).isEqualTo(200);
            assertThat(page.request().get("/api/batches").status()).isEqualTo(403);
            try (Screen other = screen().signIn(Nursery.OTHER_GROWER)) {
                other.open("/");
                assertThat(heading(other.page(), "Your plants")).isVisible();
                assertThat(other.page().getByText("50 White Ladle")).isHidden();
                assertThat(other.page().request().get(note).status()).isEqualTo(404);
                assertThat(other.page().request().get("/api/orders/" + order).status())
                        .isEqualTo(404);
            }
        }
    }

    private Screen screen() {
        return phone ? Screen.phone(nursery) : Screen.desk(nursery);
    }

    private static void sweep(Page page, int first, int last) {
        cell(page, first).hover();
        page.mouse().down();
        for (int number = first + 1; number <= last; number++) {
            cell(page, number).hover();
        }
        page.mouse().up();
    }

    private static Locator cell(Page page, int number) {
        return page.locator("[data-cell='" + number + "']");
    }

    private static int cells(Page page) {
        String words = page.getByRole(AriaRole.HEADING, named("Sow")).innerText();
        return Integer.parseInt(words.replaceAll("Sow (\\d+) cells.*", "$1"));
    }

    private static int lastNumber(String path) {
        return Integer.parseInt(path.substring(path.lastIndexOf('/') + 1));
    }

    private static String pdf(Screen screen, String path) throws IOException {
        APIResponse answer = screen.page().request().get(path);
        assertThat(answer.status()).isEqualTo(200);
        try (PDDocument document = Loader.loadPDF(answer.body())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, named(name)).first();
    }

    private static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, named(name)).first();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
