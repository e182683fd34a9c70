package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is mostly done at the desk, done by touch. */
final class DeskWorkByTouch {

    private final Screen screen;
    private final Page page;

    DeskWorkByTouch(Screen screen) {
        this.screen = screen;
        this.page = screen.page();
    }

    void gradeATrial() {
        screen.open("/trials");
        page.getByText("Note what was graded")
                .first()
                .or(page.locator("summary").last())
                .first()
                .tap();
        page.getByLabel("Did well").first().fill("30");
        page.getByLabel("Of plants").first().fill("20");
        button("Note it").tap();
        assertThat(page.getByText("Of 20 plants 30 cannot have done well.").first())
                .isVisible();
        page.getByLabel("Did well").first().fill("18");
        button("Note it").tap();
        assertThat(page.getByLabel("Did well").first()).hasValue("");
    }

    void printLabelsAgain() {
        screen.open("/sow");
        button("Send to the printer").tap();
        assertThat(button("Sent; send once more")).isVisible();
        screen.open("/labels");
        int before = page.getByRole(AriaRole.LISTITEM).count();
        button("Print again").tap();
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(before + 1);
    }

    void pinchACrop(String code) {
        screen.open("/crops/" + code);
        page.getByLabel("Pinched at, true leaves").fill("1");
        button("Tend it like this").tap();
        assertThat(page.getByText("Kept.")).isVisible();
        screen.requireNoSidewaysScroll();
    }

    void lookAtWarmth() {
        screen.open("/warmth");
        assertThat(page.getByRole(AriaRole.IMG).first()).isVisible();
    }

    void askWhetherSeedOrPlaceIsToBlame(Nursery.Caller caller) throws IOException, InterruptedException {
        Matcher failing = Pattern.compile("\"number\":(\\d+),[^{]*?\"verdict\":\"(?:LATE|FAILING)\"")
                .matcher(caller.get("/api/batches").body());
        org.assertj.core.api.Assertions.assertThat(failing.find()).isTrue();
        screen.open("/batches/" + failing.group(1));
        page.getByText("Is it the seed or the place?").first().tap();
        assertThat(page.getByText(Pattern.compile(
                                "Cannot tell yet|The lot\\.|The place\\.|Both:|Neither|It is told after"))
                        .first())
                .isVisible();
    }

    /** Small sowings are laid out in one tray. */
    void shareATray() {
        screen.open("/sow?day=2027-04-22");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Say where .+ is kept$")))
                .last()
                .tap();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Where .+ is kept$")))
                .fill("Cold drawer");
        button("Save").tap();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Cold drawer")))
                .isVisible();
        page.getByText("Share or cut trays").first().tap();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lay out tray"))
                .waitFor();
        page.locator("[data-cell='1']").tap();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Set \\d+ cells aside")))
                .tap();
        assertThat(button("Choose its cells")).isVisible();
        screen.requireNoSidewaysScroll();
        screen.requireLegible(true);
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }
}
