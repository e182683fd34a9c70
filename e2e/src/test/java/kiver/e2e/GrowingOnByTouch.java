package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;

/** Potting up, a photograph and a batch's health, worked on a phone. */
final class GrowingOnByTouch {

    private final Screen screen;
    private final Page page;

    GrowingOnByTouch(Screen screen) {
        this.screen = screen;
        this.page = screen.page();
    }

    /** A morning is looked at for two, then a part of its first batch goes on without a signal, parted by size. */
    void potAPartWithoutSignal() {
        screen.open("/potting");
        button("2").tap();
        assertThat(button("2")).hasAttribute("aria-pressed", "true");
        page.getByRole(AriaRole.CHECKBOX).last().check();
        assertThat(page.getByText("In this order")).isVisible();
        // The list moves under the finger while what it takes is worked out anew; where its first link leads does not.
        screen.open(page.locator("ol a").first().getAttribute("href"));
        button("Pot on").tap();
        assertThat(page.getByText(Pattern.compile("^Roots: "))).isVisible();
        assertThat(page.getByText(Pattern.compile("for carriers, "))).isVisible();
        page.getByLabel("Plants").fill("5");
        page.getByText("Parted by size").tap();
        page.getByLabel("Small").fill("2");
        screen.context().setOffline(true);
        button("Pot 5 plants into 1 tray").tap();
        assertThat(page.getByText(
                        Pattern.compile("kept on this device until there is a connection: potting of 5 plants")))
                .isVisible();
        screen.context().setOffline(false);
        assertThat(page.getByText(", small").first()).isVisible();
    }

    /** What a photograph shows, though it was taken without a signal, is proposed, and is recorded only when it is saved. */
    void countAPhotograph(int tray) throws IOException {
        screen.open("/trays/" + tray);
        page.getByLabel("From a photograph").setInputFiles(new FilePayload("tray.jpg", "image/jpeg", photograph()));
        Locator shown = page.getByAltText("The tray as it was photographed");
        assertThat(shown).isVisible();
        assertThat(shown).not().hasJSProperty("naturalWidth", 0);
        screen.requireLegible(true);
        button("Corner above left").focus();
        page.keyboard().press("ArrowRight");
        page.getByLabel("Keep a small copy with this tray").check();
        screen.context().setOffline(true);
        button("Propose a count").tap();
        assertThat(page.getByText("1 photograph waits here to be read")).isVisible();
        screen.context().setOffline(false);
        screen.open("/trays/" + tray);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Read the photograph of ")))
                .tap();
        assertThat(shown).not().hasJSProperty("naturalWidth", 0);
        button("Propose a count").tap();
        assertThat(page.getByText(Pattern.compile("The photograph shows something in \\d+ of \\d+ cells")))
                .isVisible();
        assertThat(page.getByText("waits here to be read")).hasCount(0);
        assertThat(page.getByText(Pattern.compile("^Photograph of "))).isVisible();
        button("Throw away").tap();
        assertThat(page.getByText(Pattern.compile("^Photograph of "))).hasCount(0);
    }

    /** Lamps are tried longer, and what stretches is moved to where there is light. */
    void bringToLight(int place) {
        screen.open("/light/" + place);
        page.getByLabel("Hours a day").fill("17");
        assertThat(page.getByText("As tried; nothing is kept yet.")).isVisible();
        screen.requireNoSidewaysScroll();
        screen.open("/light/" + place);
        Locator move = page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Move to ")))
                .first();
        move.tap();
        assertThat(page.getByText(Pattern.compile("move of batch \\d+: saved"))).hasCount(1);
    }

    /** What the meter shows is noted with a feed, and both are sent when there is a signal. */
    void feedWithoutSignal() {
        screen.open("/feed");
        page.getByLabel("Meter, mS/cm").fill("1.2");
        screen.context().setOffline(true);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Fed: ")))
                .first()
                .tap();
        assertThat(page.getByText("waiting to be sent")).isVisible();
        screen.context().setOffline(false);
        assertThat(page.getByText("waiting to be sent")).isHidden();
    }

    /** What stood out today is noted with one press, without a signal. */
    void noteADayOutside() {
        screen.open("/hardening");
        Locator out = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Out today: note ")));
        out.first().waitFor();
        int before = out.count();
        screen.context().setOffline(true);
        out.first().tap();
        assertThat(page.getByText(Pattern.compile("kept on this device until .*outside for batch")))
                .isVisible();
        screen.context().setOffline(false);
        assertThat(page.getByText("Today is noted.").first()).isVisible();
        assertThat(out).hasCount(before - 1);
    }

    /** What the nursery asks for is done on the round, without a signal, and is not asked again. */
    void pinch() {
        screen.open("/");
        Locator pinched =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Done: Pinch, ")));
        pinched.first().waitFor();
        int before = pinched.count();
        screen.context().setOffline(true);
        pinched.first().tap();
        assertThat(page.getByText("kept on this device until there is a connection: Pinch, "))
                .isVisible();
        screen.context().setOffline(false);
        assertThat(page.getByText("kept on this device until")).isHidden();
        assertThat(pinched).hasCount(before - 1);
    }

    void lookHowTheyFared(int batch) {
        screen.open("/batches/" + batch + "/health");
        assertThat(page.getByText("True leaves: as worked out")).isVisible();
        screen.requireNoSidewaysScroll();
    }

    /** Soil with something green in the middle of most of it. */
    private static byte[] photograph() throws IOException {
        BufferedImage image = new BufferedImage(1000, 600, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = image.createGraphics();
        drawn.setColor(new Color(60, 46, 38));
        drawn.fillRect(0, 0, 1000, 600);
        drawn.setColor(new Color(88, 148, 62));
        for (int x = 120; x < 880; x += 60) {
            for (int y = 80; y < 520; y += 60) {
                drawn.fillOval(x, y, 22, 16);
            }
        }
        drawn.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", bytes);
        return bytes.toByteArray();
    }

    private Locator button(String name) {
        return page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first();
    }
}
