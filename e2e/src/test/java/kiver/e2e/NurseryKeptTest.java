package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;

/** The nursery is changed where it is seen: people, sheets with their history, files of others, copies. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NurseryKeptTest {

    private Nursery nursery;

    @BeforeAll
    void open() throws Exception {
        nursery = Nursery.demo();
    }

    @AfterAll
    void close() throws Exception {
        nursery.close();
    }

    @Test
    @Order(1)
    void whoForgotTheirPasswordChoosesAnotherByACode() {
        String address;
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/nursery");
            page.getByText("People who can sign in").first().click();
            page.getByRole(AriaRole.BUTTON, named("Change Pell Oskway")).click();
            page.getByRole(AriaRole.BUTTON, named("Make a code for a new password"))
                    .click();
            address = page.getByText(Pattern.compile("/new-password/")).textContent();
            screen.requireAccessible();
        }
        try (Screen phone = Screen.phone(nursery)) {
            Page page = phone.page();
            page.navigate(address.substring(address.indexOf("/new-password/")));
            page.getByLabel("New password").fill("three dry words");
            phone.requireNoSidewaysScroll();
            page.getByRole(AriaRole.BUTTON, named("Take it and sign in")).click();
            assertThat(page.getByRole(AriaRole.NAVIGATION).first()).isVisible();
            phone.open("/account");
            assertThat(page.getByText(", this one")).isVisible();
            phone.requireAccessible();
        }
    }

    @Test
    @Order(2)
    void aListOfSeedIsLookedOverMatchedAndTakenAndTakenBack() {
        byte[] list = "Our seed;;\nLot;Cultivar;Germ %;Pieces\nZZ-9;Speckled Bell;81,5;1.250\n"
                .getBytes(StandardCharsets.UTF_8);
        try (Screen screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/nursery/lots");
            page.getByLabel("Read a file in").setInputFiles(new FilePayload("seed.csv", "text/csv", list));
            Locator understood = page.getByRole(
                    AriaRole.REGION, new Page.GetByRoleOptions().setName("What was understood of the file"));
            assertThat(understood).containsText("1 row that cannot be taken");
            fillForAll(page, "Supplier", "Seed house");
            fillForAll(page, "Seeds tested", "100");
            fillForAll(page, "Tested on", "2027-01-05");
            screen.requireAccessible();
            understood
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Read 1 row in"))
                    .click();
            assertThat(page.getByText("1 row read in: 1 new, 0 changed.")).isVisible();
            page.getByLabel("Find a lot").fill("ZZ-9");
            assertThat(page.getByRole(AriaRole.ROW).nth(1)).containsText("0.815");
            page.getByRole(AriaRole.BUTTON, named("Change ZZ-9")).click();
            page.getByLabel("Still used").selectOption("no");
            page.getByRole(AriaRole.BUTTON, named("Save")).click();
            assertThat(page.getByText(", no longer used")).isVisible();
            page.getByText("What was changed here").click();
            page.getByRole(AriaRole.BUTTON, named("Undo the change of ZZ-9"))
                    .first()
                    .click();
            assertThat(page.getByText(", no longer used")).hasCount(0);
        }
    }

    @Test
    @Order(3)
    void aCopyIsMadeAndEverythingTakenAlong() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
            Page page = screen.page();
            screen.open("/nursery");
            Locator safe = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Kept safe"));
            safe.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Make a copy now"))
                    .click();
            assertThat(safe).containsText("The last whole copy is of");
            String name = page.waitForDownload(
                            () -> safe.getByText("Take everything out").click())
                    .suggestedFilename();
            assertEquals("kiver-nursery.zip", name);
            screen.requireNoSidewaysScroll();
        }
    }

    private static void fillForAll(Page page, String column, String entry) {
        page.getByLabel(column, new Page.GetByLabelOptions().setExact(true)).selectOption("same");
        Locator same = page.getByLabel(column + ", the same for all rows");
        same.fill(entry);
        same.press("Tab");
        assertThat(page.getByLabel(column + ", the same for all rows")).hasValue(entry);
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }
}
