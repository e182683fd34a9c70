package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A nursery of one's own begins with its first account. */
class FirstRunTest {

    private static void fillTheNursery(Page page) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Nursery"))
                .click();
        Locator places = part(page, "Places");
        for (String use : List.of("EMERGENCE", "GROWING_ON", "HARDENING_OFF")) {
            places.getByLabel("Name").fill("Place for " + use);
            places.getByLabel("Trays it holds").fill(use.equals("EMERGENCE") ? "0" : "12");
            places.getByLabel("Set point by day").fill("20");
            places.getByLabel("Set point by night").fill("17");
            places.getByLabel("Used for").selectOption(use);
            places.getByText("Add the place").click();
            if (use.equals("EMERGENCE")) {
                assertThat(places.getByText("A place holds at least one tray.")).isVisible();
                places.getByLabel("Trays it holds").fill("12");
                places.getByText("Add the place").click();
            }
            assertThat(places.getByText("Place for " + use)).isVisible();
        }
        Locator growers = part(page, "Growers");
        growers.getByLabel("Grower", new Locator.GetByLabelOptions().setExact(true))
                .fill("Hill farm");
        growers.getByLabel("Site").fill("Home field");
        growers.getByLabel("Altitude").fill("640");
        // Frost must not stand in the way on any day of the year on which this runs.
        growers.getByLabel("Warmer than the station").fill("20");
        growers.getByText("Add the site").click();
        assertThat(growers.getByText("Hill farm: Home field, 640 m")).isVisible();
        Locator varieties = part(page, "Varieties");
        varieties.getByLabel("Crop").selectOption("thyme");
        varieties.getByLabel("Name").fill("Hill kale");
        varieties.getByText("Add the variety").click();
        assertThat(varieties.getByText("Hill kale, thyme")).isVisible();
        Locator lots = part(page, "Seed lots");
        lots.getByLabel("Code on the packet").fill("H-1");
        lots.getByLabel("Variety").selectOption("Hill kale");
        lots.getByLabel("Supplier").fill("Own seed");
        lots.getByLabel("Germination on the label").fill("90");
        lots.getByLabel("Tested on").fill(LocalDate.now().minusDays(60).toString());
        lots.getByLabel("Seeds in the packet").fill("500");
        lots.getByText("Take the lot in").click();
        assertThat(lots.getByText("500 seeds left")).isVisible();
    }

    private static Locator part(Page page, String name) {
        Locator part = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
        part.getByText("Add", new Locator.GetByTextOptions().setExact(true)).click();
        return part;
    }

    @Test
    void makesTheFirstAccount() throws IOException, InterruptedException {
        try (Nursery nursery = Nursery.empty("own");
                Screen screen = Screen.desk(nursery)) {
            Page page = screen.page();
            page.navigate("/");
            page.getByLabel("Name of the nursery").fill("Hill nursery");
            page.getByLabel("Your name").fill("First Person");
            page.getByLabel("E-mail address").fill("first");
            page.getByLabel("Password").fill("short");
            page.getByLabel("Latitude").fill("north");
            page.getByRole(AriaRole.BUTTON).click();
            assertThat(page.getByText("Say how far north or south it lies.")).isVisible();
            assertThat(page.getByText("This is not an e-mail address.")).isVisible();
            assertThat(page.getByText("Use 10 letters or more.")).isVisible();
            screen.requireAccessible();
            page.getByLabel("Latitude").fill("46,5");
            page.getByLabel("Height above the sea").fill("620");
            page.getByLabel("E-mail address").fill("first@hill.example");
            page.getByLabel("Password").fill(Nursery.PASSWORD);
            page.getByRole(AriaRole.BUTTON).click();
            page.getByText("Sign in", new Page.GetByTextOptions().setExact(true))
                    .waitFor();
            screen.signIn("first@hill.example");
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("The round")))
                    .isVisible();
            assertThat(page.getByText("The weather is assumed from latitude and height, not measured"))
                    .isVisible();
            screen.requireAccessible();
            fillTheNursery(page);
            screen.requireAccessible();
            page.navigate("/orders/new");
            Screen.typeOrder(
                    page,
                    "Hill farm",
                    "Hill kale",
                    "40",
                    LocalDate.now().plusDays(75).toString());
            assertThat(page.getByText("Seeds per cell compared")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take the order for 40 plants"))
                    .click();
            assertThat(page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions().setName("40 Hill kale").setLevel(1)))
                    .isVisible();
        }
    }
}
