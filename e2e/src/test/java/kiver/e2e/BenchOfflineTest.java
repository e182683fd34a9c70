package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A phone at the bench without signal: nothing recorded is lost, nothing is sent under another name. */
class BenchOfflineTest {

    private static Nursery nursery;
    private static int batch;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
        Matcher growing = Pattern.compile(
                        "\"number\":(\\d+),\"variety\":\"[^\"]*\",\"crop\":\"[^\"]*\",\"stage\":\"GROWING_ON\"")
                .matcher(nursery.signedIn(Nursery.HAND).get("/api/batches").body());
        growing.find();
        batch = Integer.parseInt(growing.group(1));
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        nursery.close();
    }

    @Test
    void aMoveMadeWithoutSignalIsSentByWhoMadeItAndByNobodyElse() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            page.navigate("/batches/" + batch);
            button(page, "Move to another place").click();
            page.getByLabel("To", new Page.GetByLabelOptions().setExact(true))
                    .selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(0));
            screen.context().setOffline(true);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move to .+")))
                    .last()
                    .click();
            assertThat(page.getByText(
                            "1 entry kept on this device until there is a connection: move of batch " + batch))
                    .isVisible();
            Screen.pressAbove(page, "Sign out");
            assertThat(page.getByText("1 entry of yours could not be sent yet")).isVisible();
            button(page, "Sign out all the same").click();
            assertThat(page.getByText("Without a connection nobody can be signed out"))
                    .isVisible();

            screen.context().clearCookies();
            screen.context().setOffline(false);
            screen.typePassword(Nursery.PROPAGATOR);
            assertThat(page.getByText("1 entry of Pell Oskway kept on this device"))
                    .isVisible();
            page.navigate("/batches/" + batch);
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What was done and seen")))
                    .isVisible();
            int before = moves(page);

            screen.context().clearCookies();
            screen.typePassword(Nursery.HAND);
            assertThat(page.getByText("kept on this device")).isHidden();
            page.navigate("/batches/" + batch);
            Locator moved = page.getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("Moved to"))
                    .first();
            assertThat(moved).containsText("Pell Oskway");
            org.assertj.core.api.Assertions.assertThat(moves(page)).isEqualTo(before + 1);
        }
    }

    /** The signal goes in the middle of a sowing; the phone is loaded anew without it; nothing is sown twice or lost. */
    @Test
    void theSowingGoesOnWithoutSignalAlsoAfterAReload() throws IOException, InterruptedException {
        try (Screen screen = Screen.installedPhone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/sow/along");
            keptOnTheDevice(page);
            String heading = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                    .innerText();
            int tray = Integer.parseInt(heading.replaceAll("^T(\\d+).*", "$1"));
            screen.context().setOffline(true);
            button(page, "Dropped").click();
            assertThat(button(page, "Covered, next")).isVisible();
            page.reload();
            assertThat(page.getByText("No connection. What you see is as it was"))
                    .isVisible();
            assertThat(page.getByText("1 entry kept on this device until there is a connection: sowing of cells"))
                    .isVisible();
            button(page, "Covered, next").click();
            assertThat(button(page, "Covered, next")).isHidden();
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            page.navigate("/trays/" + tray);
            assertThat(page.locator("[data-cell='1']"))
                    .hasAttribute("aria-label", Pattern.compile("^Cell 1, .*sown.*"));
        }
    }

    /** A tray that was on the round is there without a signal, also in a second tab; what is counted there is sent once. */
    @Test
    void aTrayOfTheRoundIsCountedWithoutSignalInTwoTabs() {
        try (Screen screen = Screen.installedPhone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/");
            Locator count = page.getByRole(AriaRole.LINK)
                    .filter(new Locator.FilterOptions().setHasText("Count "))
                    .first();
            String path = count.getAttribute("href");
            screen.open(path);
            keptOnTheDevice(page);
            screen.context().setOffline(true);
            Page other = screen.context().newPage();
            other.navigate(page.url());
            Locator waiting =
                    other.locator("[data-cell][aria-label*='nothing up']").first();
            waiting.click();
            other.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save count"))
                    .click();
            assertThat(other.getByText("1 entry kept on this device until there is a connection"))
                    .isVisible();
            assertThat(page.getByText("1 entry kept on this device until there is a connection"))
                    .isVisible();
            other.reload();
            assertThat(other.getByText("1 entry kept on this device until there is a connection"))
                    .isVisible();
            screen.context().setOffline(false);
            assertThat(other.getByText("kept on this device until")).isHidden();
            assertThat(page.getByText("kept on this device until")).isHidden();
        }
    }

    /** Doubles are thinned and a row goes over into a new tray, by touch and without a signal; both are sent when it is back. */
    @Test
    void cellsAreThinnedAndMovedWithoutSignal() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/trays/1006?work=thin");
            button(page, "Pick all with more than one").waitFor();
            screen.context().setOffline(true);
            page.locator("[data-cell][aria-label*='2 up']").first().tap();
            button(page, "Thin 1 cell to 1").tap();
            assertThat(page.getByText("kept on this device until there is a connection: thinning of 1 cell in T1006"))
                    .isVisible();
            button(page, "Move").tap();
            button(page, "Row 2").tap();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move \\d+ cells$")))
                    .tap();
            assertThat(page.getByText("2 entries kept on this device")).isVisible();
            assertThat(page.locator("[data-cell='11']")).hasAttribute("aria-label", Pattern.compile(".*free$"));
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            assertThat(page.getByText(Pattern.compile("could not be|was refused")))
                    .isHidden();
            page.navigate("/batches/203");
            assertThat(page.getByRole(AriaRole.LISTITEM)
                            .filter(new Locator.FilterOptions().setHasText("Moved over from T1006 into T"))
                            .first())
                    .containsText("Pell Oskway");
            assertThat(page.getByText("Thinned 1 cell of T1006 to 1").first()).isVisible();
        }
    }

    /** Waits until the application and what it fetched lie on the device. */
    private static void keptOnTheDevice(Page page) {
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        page.waitForFunction("() => navigator.serviceWorker.controller !== null");
        page.waitForTimeout(2_500);
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

    private static int moves(Page page) {
        return page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Moved to"))
                .count();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }
}
