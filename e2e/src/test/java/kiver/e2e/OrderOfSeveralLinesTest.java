package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
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

/**
 * Five kinds asked for at once: two sown together with what another grower ordered, one from plants that were sown for
 * nobody, two sown for it; all of them go with one note.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OrderOfSeveralLinesTest {

    private static final LocalDate TARGET = LocalDate.of(2027, 6, 4);
    private static final String ASKING = "Fennick Flowers";
    private static final String OTHER = "Lowermead Market Garden";
    private Nursery nursery;
    private int spares;
    private int order;

    @BeforeAll
    void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @Test
    @Order(0)
    void aLineIsSownInPlaceInsteadAndItsSeedGoesWithANote() throws IOException {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            page.getByLabel("Grower").selectOption(new SelectOption().setLabel(ASKING));
            line(page, "White Ladle", "25");
            alone(page);
            take(page, "Take the order");
            button(page, "Compare the ways").click();
            button(page, "Have it sown in place").click();
            assertThat(page.getByText("is not sown and for nobody else; it leaves the plan."))
                    .isVisible();
            screen.requireAccessible();
            button(page, "Go over to this").click();
            assertThat(page.getByText("White Ladle: sown in place instead of raised here."))
                    .isVisible();
            page.getByLabel("the seed of White Ladle").check();
            screen.requireAccessible();
            button(page, "Release the seed").click();
            assertThat(page.getByText("The seed went with note")).isVisible();
            Locator note = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Delivery note"));
            assertThat(page.getByText("25 of 25", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            try (PDDocument document =
                    Loader.loadPDF(page.request().get(note.getAttribute("href")).body())) {
                assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                        .contains("Seed for 25 White Ladle", "To be sown in place from", "seed lot");
            }
        }
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.OTHER_GROWER)) {
            assertThat(screen.page().getByText("seed to be sown from")).isVisible();
            screen.requireNoSidewaysScroll();
        }
    }

    @Test
    @Order(1)
    void plantsAreSownForNobodyYet() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            page.getByLabel("Grower")
                    .selectOption(new SelectOption().setLabel("Nobody yet: own beds, the stall, spares"));
            line(page, "White Ladle", "40");
            button(page, "Plan 40 plants for nobody yet").click();
            page.waitForURL(Pattern.compile(".*/batches/\\d+"));
            spares = number(page.url());
            assertThat(page.getByText("nobody yet, 40 plants planned")).isVisible();
            assertThat(page.getByText("40 free")).isVisible();
            screen.requireAccessible();
        }
    }

    @Test
    @Order(2)
    void anotherGrowerOrdersTwoKinds() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            page.getByLabel("Grower").selectOption(new SelectOption().setLabel(OTHER));
            line(page, "Ruffled Warden", "60");
            button(page, "Put it on the order, and another line").click();
            line(page, "Blue Lantern", "60");
            button(page, "Take the order: 2 lines, 120 plants").click();
            page.waitForURL(Pattern.compile(".*/orders/\\d+"));
            assertThat(heading(page, "2 lines, 120 plants")).isVisible();
        }
    }

    @Test
    @Order(3)
    void fiveKindsAreAskedForAtOnce() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/new");
            page.getByLabel("Grower").selectOption(new SelectOption().setLabel(ASKING));
            line(page, "White Ladle", "30");
            page.getByLabel("Batch " + spares + ", 40 free").check();
            put(page);
            for (String pooled : new String[] {"Ruffled Warden", "Blue Lantern"}) {
                line(page, pooled, "40");
                Locator together = page.getByLabel("Sown together with batch").last();
                together.check();
                assertThat(together).isChecked();
                put(page);
            }
            line(page, "Stonecap", "20");
            alone(page);
            put(page);
            line(page, "Green Anvil", "20");
            alone(page);
            assertThat(button(page, "Take the order: 5 lines, 150 plants")).isEnabled();
            screen.requireAccessible();
            take(page, "Take the order: 5 lines, 150 plants");
            order = number(page.url());
            assertThat(heading(page, "5 lines, 150 plants")).isVisible();
            assertThat(page.getByText(Pattern.compile("shared with \\d+ other line")))
                    .hasCount(2);
            screen.requireAccessible();
        }
    }

    @Test
    @Order(4)
    void aChangeShowsWhatFollowsAndIsKept() {
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/" + order);
            page.getByText("Change or cancel").click();
            page.getByLabel("Of which line").selectOption(new SelectOption().setLabel("20 Green Anvil"));
            page.getByLabel("Plants wanted now").fill("24");
            button(page, "What follows from it?").click();
            assertThat(page.getByText("4 plants more would be sown with batch")).isVisible();
            screen.requireAccessible();
            button(page, "Change it to 24 plants").click();
            assertThat(page.getByText("Green Anvil: 24 plants instead of 20.")).isVisible();
            assertThat(heading(page, "5 lines, 154 plants")).isVisible();
        }
    }

    @Test
    @Order(5)
    void allOfItGoesWithOneNote() throws IOException, InterruptedException {
        new BenchWork(nursery).makeReady(order);
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            page.navigate("/orders/" + order);
            screen.requireAccessible();
            button(page, "Release 154 plants of 5 lines").click();
            assertThat(page.getByText("154 of 154", new Page.GetByTextOptions().setExact(true)))
                    .isVisible();
            Locator note = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Delivery note"));
            assertThat(note).hasCount(1);
            try (PDDocument document =
                    Loader.loadPDF(page.request().get(note.getAttribute("href")).body())) {
                assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                        .contains(
                                "30 White Ladle",
                                "40 Ruffled Warden",
                                "40 Blue Lantern",
                                "20 Stonecap",
                                "24 Green Anvil",
                                "To " + ASKING,
                                "batch " + spares);
            }
        }
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.OTHER_GROWER)) {
            screen.open("/");
            assertThat(screen.page().getByText("24 Green Anvil")).isVisible();
            screen.requireAccessible();
            screen.requireNoSidewaysScroll();
        }
    }

    /** Fills the fields of one line and waits for its plan. */
    private static void line(Page page, String variety, String plants) {
        page.getByLabel("Variety").fill(variety);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(variety))
                .first()
                .click();
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill(plants);
        page.getByLabel("Wanted on").fill(TARGET.toString());
        assertThat(heading(page, "Sow")).isVisible();
    }

    /** Lines may take room or seed from one another; what is said about that is agreed to. */
    private static void take(Page page, String words) {
        Locator terms = page.getByText("Take it on these terms");
        for (int line = 0; line < 5; line++) {
            button(page, words).click();
            page.waitForCondition(() -> page.url().matches(".*/orders/\\d+") || terms.isVisible());
            if (page.url().matches(".*/orders/\\d+")) {
                return;
            }
        }
        throw new AssertionError(
                "It is not taken: " + page.getByRole(AriaRole.ALERT).allInnerTexts());
    }

    private static void alone(Page page) {
        Locator own = page.getByLabel("A sowing of its own");
        if (own.isVisible()) {
            own.check();
        }
    }

    private static void put(Page page) {
        button(page, "Put it on the order, and another line").click();
        assertThat(page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("");
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(false));
    }

    private static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    private static int number(String path) {
        return Integer.parseInt(path.substring(path.lastIndexOf('/') + 1));
    }
}
