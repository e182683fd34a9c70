package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** What was found at the desk is taken: the season changes, and can be changed back. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SeasonChangedTest {

    private static Nursery nursery;
    private static Screen screen;
    private static Page page;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
        screen = Screen.desk(nursery).signIn(Nursery.PROPAGATOR);
        page = screen.page();
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        screen.close();
        nursery.close();
    }

    @Test
    @Order(1)
    void aBatchIsDraggedIntoAnotherPlaceAndAnotherContainer() {
        page.navigate("/season");
        page.getByLabel("All states").selectOption("PLANNED");
        Locator name = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("%$")))
                .first();
        drag(name, "Grows on in");
        assertThat(name).containsText("by hand");
        Locator undo = button(Pattern.compile("^Undo"));
        undo.click();
        assertThat(name).not().containsText("by hand");
        drag(name, "Container");
        assertThat(undo).isVisible();
        undo.click();
        assertThat(undo).isHidden();
    }

    @Test
    @Order(2)
    void aDraftIsTaken() {
        page.navigate("/season");
        page.getByLabel("All states").selectOption("PLANNED");
        button("Begin a draft").click();
        assertThat(button("Compare with the plan")).isVisible();
        Locator sowing = page.getByRole(AriaRole.SLIDER).first();
        String before = sowing.getAttribute("aria-valuetext");
        sowing.focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByText("if so:")).isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByText("if so:")).isHidden();
        button(Pattern.compile("^Make it the plan|^Take ")).first().click();
        assertThat(button("Begin a draft")).isVisible();
        assertThat(sowing).not().hasAttribute("aria-valuetext", before);
        assertThat(button(Pattern.compile("^Undo: take the draft"))).isVisible();
    }

    @Test
    @Order(3)
    void aPlaceThatLacksRoomIsRelieved() {
        page.navigate("/space");
        Locator lacks = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("lacks \\d+ tray places")));
        lacks.last().click();
        Locator help = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What could be done"));
        assertThat(help).containsText("frees");
        screen.requireAccessible();
        help.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Do it"))
                .first()
                .click();
        page.navigate("/season");
        assertThat(button(Pattern.compile("^Undo: "))).isVisible();
    }

    @Test
    @Order(4)
    void thePlacementOfTheWholeSeasonIsTaken() {
        page.navigate("/space");
        button("Place the whole season").click();
        Locator take = button(Pattern.compile("^Place \\d+ batch(es)? so$"));
        assertThat(take).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
        assertThat(page.getByText(Pattern.compile("At most [\\d.]+ % from the best there can be")))
                .isVisible();
        take.click();
        assertThat(page.getByText("placed anew")).isVisible();
        page.navigate("/season");
        button("Undo: place the whole season").click();
        assertThat(button("Undo: place the whole season")).isHidden();
    }

    @Test
    @Order(5)
    void aSuccessionIsTakenAsOrders() {
        page.navigate("/orders/new");
        Screen.typeOrder(page, "Lowermead Market Garden", "Butterlow", "90", "2027-06-19");
        page.getByText("Little and often").click();
        page.getByLabel("Into how many sowings").fill("3");
        page.getByLabel("Last day").fill("2027-07-17");
        button("Take 3 orders, 90 plants in all").click();
        page.waitForURL(Pattern.compile(".*/orders(/\\d+)?$"));
        page.navigate("/orders?find=butterlow");
        assertThat(page.getByText("Sat 3 Jul").first()).isVisible();
    }

    @Test
    @Order(6)
    void aMorningOfPottingLeadsToTheBatchAndItIsRecorded() {
        page.navigate("/potting");
        page.getByRole(AriaRole.CHECKBOX).last().check();
        assertThat(page.getByText("In this order")).isVisible();
        page.navigate(page.locator("ol a").first().getAttribute("href"));
        page.waitForURL(Pattern.compile(".*/batches/\\d+"));
        button("Pot on").click();
        assertThat(page.getByText("Plant in the middle, firm lightly")).isVisible();
        screen.requireAccessible();
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill("9999");
        button(Pattern.compile("^Pot 9,999 plants")).click();
        assertThat(page.getByText("living plants of this batch, not 9999")).isVisible();
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill("18");
        button(Pattern.compile("^Pot 18 plants into 1 tray")).click();
        assertThat(page.getByText(Pattern.compile("Potted 18|18 plants? potted|potted on", Pattern.CASE_INSENSITIVE))
                        .first())
                .isVisible();
    }

    @Test
    @Order(7)
    void whatCannotBeIsSaidAtItsPlace() {
        page.navigate("/orders/new");
        Screen.typeOrder(page, "Lowermead Market Garden", "Grey Sergeant", "60", "2027-06-19");
        page.getByLabel("Container").selectOption("plug-150");
        assertThat(page.getByText(Pattern.compile("The seed lies \\d+ mm deep in a cell of")))
                .isVisible();
        page.getByLabel("Wanted on").fill("2027-04-14");
        assertThat(page.getByText("This day has passed").first()).isVisible();
        page.getByLabel("Wanted on").fill("2027-06-19");
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill("0");
        assertThat(page.getByText("Order at least 1 plant.").first()).isVisible();
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill("10000000");
        assertThat(page.getByText("Order at most 100,000 plants in one order.").first())
                .isVisible();
        screen.requireAccessible();
    }

    /** Takes a batch by its name and lets it go over the first choice of a row that is not its own. */
    private static void drag(Locator name, String row) {
        name.click();
        Locator target = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(row))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(false))
                .first();
        target.scrollIntoViewIfNeeded();
        BoundingBox from = name.boundingBox();
        BoundingBox to = target.boundingBox();
        page.mouse().move(from.x + 40, from.y + from.height / 2);
        page.mouse().down();
        page.mouse().move(to.x + to.width / 2, to.y + to.height / 2, new Mouse.MoveOptions().setSteps(8));
        assertThat(page.getByText("if so:")).isVisible();
        page.mouse().up();
        assertThat(page.getByText("if so:")).isHidden();
    }

    private static Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    private static Locator button(Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }
}
