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
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A nursery of one's own, from an empty database to its first plan, with every entry counted. */
class FirstRunTest {

    /** No more than so many entries lie between an empty database and the first plan. */
    private static final int MOST_ENTRIES = 40;

    /** Somebody who founds a nursery, and how many entries that took. */
    private static final class Founder {
        private final Screen screen;
        private final Page page;
        private int entries;

        Founder(Screen screen) {
            this.screen = screen;
            this.page = screen.page();
        }

        void type(String label, String text) {
            page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
            entries++;
        }

        void choose(String label, String choice) {
            page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                    .selectOption(new SelectOption().setLabel(choice));
            entries++;
        }

        void press(String button) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button))
                    .click();
        }

        /** The way to the next step, whether this one is done or left for later. */
        void on(String step) {
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("On: " + step + "$")))
                    .click();
            page.getByRole(
                            AriaRole.HEADING,
                            new Page.GetByRoleOptions()
                                    .setName(Pattern.compile("."))
                                    .setLevel(1))
                    .waitFor();
        }

        void account(String latitude, String altitude) {
            type("Name of the nursery", "Hill nursery");
            type("Latitude", latitude);
            type("Height above the sea", altitude);
            type("Your name", "First Person");
            type("E-mail address", "first@hill.example");
            type("Password", Nursery.PASSWORD);
            press("Found the nursery");
            arrive("Its climate");
        }

        /** The first years of weather are drawn on the way, which takes some seconds on a slow machine. */
        void arrive(String heading) {
            heading(heading).waitFor();
        }

        Locator heading(String name) {
            return page.getByRole(
                    AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setLevel(1));
        }

        void place(String kind) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + kind)))
                    .click();
            press("Add this place");
            assertThat(page.getByText(Pattern.compile("There so far:.*" + kind)))
                    .isVisible();
        }

        void packet(String crop, String variety, String seeds) {
            choose("Crop", crop);
            type("Variety", variety);
            type("Seeds in it", seeds);
            press("Take the packet in");
            assertThat(page.getByText(variety + " is in the store")).isVisible();
        }

        void plan(String variety, String plants, LocalDate target) {
            Screen.typeOrder(page, "Hill nursery", variety, plants, target.toString());
            entries += 4;
            assertThat(page.getByText("Seeds per cell compared")).isVisible();
            press("Take the order for " + plants + " plants");
            arrive(plants + " " + variety);
            assertThat(entries).isLessThanOrEqualTo(MOST_ENTRIES);
        }
    }

    @Test
    void aGardenInTheSouthInFahrenheitAndInches() throws IOException, InterruptedException {
        try (Nursery nursery = Nursery.emptyByCommand("south");
                Screen screen = Screen.desk(nursery)) {
            Founder founder = new Founder(screen);
            Page page = screen.page();
            page.navigate("/");
            founder.press("°F, inches and feet instead");
            page.getByText("Figures are in °F").waitFor();
            page.getByLabel("E-mail address").fill("first");
            page.getByLabel("Password").fill("short");
            page.getByLabel("Latitude").fill("91");
            founder.press("Found the nursery");
            assertThat(page.getByText("Enter −90 to 90 degrees, south negative."))
                    .isVisible();
            assertThat(page.getByText("This is not an e-mail address.")).isVisible();
            assertThat(page.getByText("Use 10 letters or more.")).isVisible();
            screen.requireAccessible();
            founder.account("-38", "130");

            assertThat(page.getByText("Guessed from latitude and height alone")).isVisible();
            founder.type("Coldest month: nights", "39");
            founder.type("Coldest month: days", "55");
            founder.type("Warmest month: nights", "55");
            founder.type("Warmest month: days", "81");
            page.getByLabel("There is hardly any frost").uncheck();
            founder.entries++;
            founder.press("Go by this climate");
            assertThat(page.getByText("Enter a day and its month, like 14 May."))
                    .hasCount(4);
            founder.type("Last frost, usually", "4/20");
            founder.type("Last frost, one year in ten later than", "May 10");
            founder.type("First frost, usually", "Oct 1");
            founder.type("First frost, one year in ten before", "Sep 20");
            founder.press("Go by this climate");
            assertThat(page.getByText("These are dates of the other half of the earth"))
                    .isVisible();
            founder.type("Last frost, usually", "Sep 5");
            founder.type("Last frost, one year in ten later than", "Oct 2");
            founder.type("First frost, usually", "6/1");
            founder.type("First frost, one year in ten before", "8 May");
            assertThat(page.getByText(
                            Pattern.compile("five have their last frost by (Aug 2[89]|Aug 3.|Sep .|Sep 1[0-3])")))
                    .isVisible();
            screen.requireAccessible();
            founder.press("Go by this climate");

            founder.arrive("Places for trays");
            founder.place("Lit shelf");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Cold frame")))
                    .click();
            Locator night = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("night"));
            night.focus();
            night.press("ArrowUp");
            assertThat(night).hasAttribute("aria-valuetext", "4.5 °F");
            screen.requireAccessible();
            founder.press("Add this place");
            assertThat(page.getByText("There so far: Lit shelf, Cold frame")).isVisible();
            founder.on("What one grows");
            founder.press("The kitchen table");
            assertThat(page.getByText("20 crops of")).isVisible();
            founder.press("Carrot");
            founder.press("Offer these");
            assertThat(page.getByText("Only these are offered from now on")).isVisible();
            screen.requireAccessible();
            founder.on("Seed packets");
            founder.packet("Curly kale", "Hill Curl", "400");
            founder.on("Growers and sites");
            founder.press("Add our own beds");
            assertThat(page.getByText("There so far: Hill nursery: Own beds")).isVisible();
            founder.on("People");
            founder.on("the first plan");
            founder.plan("Hill Curl", "40", LocalDate.now().plusDays(75));
            screen.open("/weather");
            assertThat(page.getByText("Estimated, not measured.")).isVisible();
        }
    }

    @Test
    void aNurseryFarInTheNorthOnThePhone() throws IOException, InterruptedException {
        try (Nursery nursery = Nursery.empty();
                Screen screen = Screen.phone(nursery)) {
            Founder founder = new Founder(screen);
            Page page = screen.page();
            page.navigate("/");
            founder.account("61", "120");
            screen.requireAccessible();
            founder.press("Go by this guess");
            founder.arrive("Places for trays");
            // Everything can wait: the nursery says what is missing next.
            founder.on("What one grows");
            founder.on("Seed packets");
            founder.on("Growers and sites");
            screen.open("/nursery");
            Locator next = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Next"));
            assertThat(next).containsText("nothing can be sown");
            screen.requireAccessible();
            next.getByRole(AriaRole.LINK).click();
            founder.place("Warm windowsill");
            founder.place("Unheated house");
            founder.place("Sheltered yard");
            screen.requireAccessible();
            founder.on("What one grows");
            founder.on("Seed packets");
            founder.packet("Curly kale", "Lake Curl", "400");
            screen.requireAccessible();
            founder.on("Growers and sites");
            founder.press("Add our own beds");
            assertThat(page.getByText("There so far: Hill nursery: Own beds")).isVisible();
            screen.open("/nursery");
            assertThat(next).containsText("Everything is there for a first plan");
            next.getByRole(AriaRole.LINK).click();
            founder.plan("Lake Curl", "40", nextSummer(LocalDate.now()));
            screen.open("/");
            assertThat(page.getByText("The weather outdoors is estimated, not measured"))
                    .isVisible();
            screen.requireAccessible();
        }
    }

    /** A day of a northern summer for which there is time to raise plants. */
    private static LocalDate nextSummer(LocalDate today) {
        return Stream.of(
                        LocalDate.of(today.getYear(), 6, 15),
                        LocalDate.of(today.getYear(), 7, 20),
                        LocalDate.of(today.getYear() + 1, 6, 15))
                .filter(day -> day.isAfter(today.plusDays(65)))
                .findFirst()
                .orElseThrow();
    }
}
