package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * A phone at the bench, worked by touch, with and without signal: nothing recorded is lost, nothing is sent under another
 * name.
 */
class BenchOnThePhoneTest {

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

    /**
     * A run is skipped and taken up again, its packet is short and another lot goes on; then the signal goes in the middle and
     * the phone is loaded anew without it: nothing is sown twice or lost.
     */
    @Test
    void theSowingGoesOnWithoutSignalAlsoAfterAReload() throws IOException, InterruptedException {
        try (Screen screen = Screen.installedPhone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/sow/along");
            keptOnTheDevice(page, "sowing-list");
            String heading = page.locator("h1").innerText();
            int tray = Integer.parseInt(heading.replaceAll("^T(\\d+).*", "$1"));
            Locator skipped = button(page, "Go through what was skipped");
            while (!skipped.isVisible()) {
                String shown = page.locator("main").innerText();
                button(page, "Skip this run").tap();
                page.waitForCondition(() -> !shown.equals(page.locator("main").innerText()));
            }
            skipped.tap();
            button(page, "Packet is short").tap();
            page.locator("svg[role=img] rect").nth(19).tap();
            button(page, "Sown up to cell 20").tap();
            assertThat(page.locator("h1")).containsText("cells 21 to");
            button(page, "Another lot").tap();
            Locator lot = page.locator("button:has-text(' left')").first();
            String code = lot.innerText().replaceAll(",.*", "");
            lot.tap();
            assertThat(page.getByText(Pattern.compile(code + " [A-Z]")).first()).isVisible();
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
            keptOnTheDevice(page, "trays");
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

    /** A thermometer is read, something looked for and a note made where there is no signal; all of it is sent afterwards. */
    @Test
    void theRoundIsWalkedWithoutSignal() throws IOException, InterruptedException {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/trays/1006?work=note");
            screen.open("/");
            page.getByText("Look for").first().waitFor();
            screen.context().setOffline(true);
            button(page, "Read the thermometer").tap();
            page.getByLabel("Lowest, °C").fill("19,5");
            page.getByLabel("Highest, °C").fill("12");
            button(page, "Save, and set it back").tap();
            assertThat(page.getByText("The highest is below the lowest")).isVisible();
            page.getByLabel("Highest, °C").fill("27");
            button(page, "Save, and set it back").tap();
            assertThat(button(page, "Thermometer read, waiting to be sent")).isVisible();
            Locator look = page.locator("button[aria-expanded]")
                    .filter(new Locator.FilterOptions().setHasText("fungus gnats"))
                    .first();
            look.tap();
            button(page, "a few").tap();
            assertThat(page.getByText("2 entries kept on this device")).isVisible();
            assertThat(look).containsText("a few");
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            assertThat(page.getByText("yesterday 19.5 to 27.0 °C").first()).isVisible();
            assertThat(look).containsText("a few");
        }
        org.assertj.core.api.Assertions.assertThat(
                        nursery.signedIn(Nursery.PROPAGATOR).get("/api/round").body())
                .contains("\"lastMinimum\":19.5,\"lastMaximum\":27.0");
    }

    /** A tray is watered, another lifted and one put on the scale; leaves are counted: what has no signal is sent afterwards. */
    @Test
    void waterAndLeavesAreNotedWithAndWithoutSignal() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/trays/1001?work=look");
            button(page, "3 leaves").waitFor();
            screen.open("/water");
            Locator lifted = page.getByRole(
                            AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("^Lift T")))
                    .first();
            lifted.waitFor();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Say how T")))
                    .first()
                    .tap();
            button(page, "On the scale").tap();
            Locator weight = page.getByLabel(Pattern.compile("^Weight of T\\d+, g$"));
            assertThat(weight).hasValue(Pattern.compile("\\d{3,4}"));
            weight.fill("3");
            button(page, "Weighed").tap();
            assertThat(page.getByText("the scale seems to show pounds")).isVisible();
            screen.requireNoSidewaysScroll();
            screen.context().setOffline(true);
            Locator watered = page.getByRole(
                            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Watered: T")))
                    .first();
            String tray = watered.getAttribute("aria-label").replace("Watered: ", "");
            watered.tap();
            lifted.getByText("heavy").tap();
            assertThat(page.getByText("2 entries kept on this device")).isVisible();
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            assertThat(button(page, "Watered: " + tray)).isHidden();
            screen.open("/trays/1001?work=look");
            screen.context().setOffline(true);
            for (int plant = 0; plant < 5; plant++) {
                button(page, "3 leaves").tap();
            }
            button(page, "at the edge").tap();
            button(page, "Save what was seen").tap();
            assertThat(page.getByText("No plant counted yet")).isVisible();
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            screen.open("/batches/201");
            assertThat(page.getByText("Looked closely: 3.0 true leaves on average of 5 plants; roots at the edge")
                            .first())
                    .isVisible();
        }
    }

    @Test
    void aNoteIsMadeWithoutSignal() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/trays/1006?work=note");
            page.getByLabel("What you saw or thought").waitFor();
            screen.context().setOffline(true);
            page.getByLabel("What you saw or thought").fill("Pale at the north end; the water was cold");
            button(page, "Note it").tap();
            assertThat(page.getByText("kept on this device until there is a connection: note on batch 203"))
                    .isVisible();
            screen.context().setOffline(false);
            assertThat(page.getByText("kept on this device until")).isHidden();
            page.navigate("/batches/203");
            assertThat(page.getByText("Noted: Pale at the north end; the water was cold"))
                    .isVisible();
        }
    }

    /** While one was without signal another recorded of the same plants: both are shown, and what still fits is recorded. */
    @Test
    void whatClashedIsShownBesideWhatTheOtherDid() throws IOException, InterruptedException {
        Nursery.Caller propagator = nursery.signedIn(Nursery.PROPAGATOR);
        Matcher alive = Pattern.compile("\"number\":(\\d+),\"batch\":(\\d+),\"condition\":\"ALIVE\"")
                .matcher(propagator.get("/api/trays/1001").body());
        org.assertj.core.api.Assertions.assertThat(alive.find()).isTrue();
        int first = Integer.parseInt(alive.group(1));
        int own = Integer.parseInt(alive.group(2));
        org.assertj.core.api.Assertions.assertThat(alive.find()).isTrue();
        int second = Integer.parseInt(alive.group(1));
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            Page page = screen.page();
            screen.open("/trays/1001?work=lose");
            page.locator("[data-cell='" + first + "']").waitFor();
            screen.context().setOffline(true);
            page.locator("[data-cell='" + first + "']").tap();
            page.locator("[data-cell='" + second + "']").tap();
            button(page, "Mark 2 cells as lost").tap();
            assertThat(page.getByText("1 entry kept on this device")).isVisible();
            propagator.post(
                    "/api/batches/" + own + "/losses",
                    "{\"requestId\":\"%s\",\"tray\":1001,\"cells\":[%d],\"reason\":\"SLUGS\"}"
                            .formatted(UUID.randomUUID(), first));
            screen.context().setOffline(false);
            Locator clash = page.getByRole(AriaRole.ALERT)
                    .filter(new Locator.FilterOptions().setHasText("Entered by Pell Oskway"));
            assertThat(clash).containsText("loss of 2 cells in T1001");
            assertThat(clash).containsText("Lost 1 in T1001: slugs");
            assertThat(clash).containsText("Maro Tindle");
            screen.requireNoSidewaysScroll();
            screen.requireAccessible();
            page.waitForResponse(
                    answer -> answer.url().endsWith("/losses") && answer.ok(),
                    () -> clash.getByRole(
                                    AriaRole.BUTTON,
                                    new Locator.GetByRoleOptions()
                                            .setName("Record it for the 1 of 2 cells that still fit"))
                            .tap());
            assertThat(clash).isHidden();
            assertThat(page.locator("[data-cell='" + second + "']"))
                    .hasAttribute("aria-label", Pattern.compile(".*lost.*"));
        }
        org.assertj.core.api.Assertions.assertThat(
                        propagator.get("/api/trays/1001").body())
                .contains("\"number\":" + second + ",\"batch\":" + own + ",\"condition\":\"LOST\"");
    }

    @Test
    void smallSowingsShareATrayAndATrayIsCut() {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            new DeskWorkByTouch(screen).shareATray();
        }
    }

    /** Part of a batch is potted, a tray photographed and plants are pinched without a signal; a batch goes to the light. */
    @Test
    void plantsAreGrownOnByTouch() throws IOException {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.HAND)) {
            GrowingOnByTouch work = new GrowingOnByTouch(screen);
            work.potAPartWithoutSignal();
            work.countAPhotograph(1006);
            work.lookHowTheyFared(batch);
            work.feedWithoutSignal();
            work.bringToLight(3);
            work.noteADayOutside();
            try (Screen desk = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
                new DeskWorkByTouch(desk).pinchACrop("tomato");
            }
            work.pinch();
        }
    }

    /** A printed label is held before the camera, and its tray opens; a wrong code opens nothing. */
    /** Looks, trials, labels, warmth and the question whether lot or place is to blame, each opened and worked by touch. */
    @Test
    void whatTheDeskHasIsWorkedByTouch() throws IOException, InterruptedException {
        try (Screen screen = Screen.phone(nursery).signIn(Nursery.PROPAGATOR)) {
            DeskWorkByTouch work = new DeskWorkByTouch(screen);
            work.gradeATrial();
            work.printLabelsAgain();
            work.lookAtWarmth();
            work.askWhetherSeedOrPlaceIsToBlame(nursery.signedIn(Nursery.HAND));
        }
    }

    /** Waits until the application lies on the device, and what it has fetched of a kind with it. */
    private static void keptOnTheDevice(Page page, String fetched) {
        page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
        page.waitForFunction("() => navigator.serviceWorker.controller !== null");
        page.waitForFunction("""
                (fetched) => new Promise((told) => {
                  const opened = indexedDB.open('kiver');
                  opened.onerror = () => told(false);
                  opened.onsuccess = () => {
                    const kept = opened.result.transaction('queries').objectStore('queries').get('now');
                    kept.onerror = () => told(false);
                    kept.onsuccess = () => { opened.result.close(); told(kept.result?.state.queries.some((query) => query.queryKey[0] === fetched) ?? false); };
                  };
                })""", fetched);
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
