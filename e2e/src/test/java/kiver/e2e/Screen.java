package kiver.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.ResultType;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ForcedColors;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** A person at a screen. */
final class Screen implements AutoCloseable {

    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final Browser CHROMIUM = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    /** British and stretched. */
    private static final int DESK_WIDTH = 1280;

    private static final int DESK_HEIGHT = 800;
    private static final int PHONE_WIDTH = 390;

    private static final int PHONE_HEIGHT = 844;
    private static final String RULES = rules();
    private static final Pattern FETCHING = Pattern.compile("Fetching|Féétçhíñg");

    /** Cookies of those who have signed in to a running Kiver, by its address and theirs. */
    private static final Map<String, List<Cookie>> SIGNED_IN = new HashMap<>();

    private final String address;
    private final BrowserContext context;
    private final Page page;

    static {
        // A busy machine is slow, not wrong.
        PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    }

    private Screen(String address, int width, int height, boolean touch, boolean installed) {
        this.address = address;
        context = CHROMIUM.newContext(new Browser.NewContextOptions()
                .setBaseURL(address)
                .setViewportSize(width, height)
                .setHasTouch(touch)
                // Only where that is tried is the application put onto the device: each new screen would fetch all of
                // it.
                .setServiceWorkers(installed ? ServiceWorkerPolicy.ALLOW : ServiceWorkerPolicy.BLOCK)
                .setLocale("en-GB"));
        context.setDefaultTimeout(30_000);
        page = context.newPage();
    }

    static Screen desk(Nursery nursery) {
        return at(nursery.address(), false);
    }

    static Screen phone(Nursery nursery) {
        return at(nursery.address(), true);
    }

    static Screen at(String address, boolean phone) {
        return phone
                ? new Screen(address, PHONE_WIDTH, PHONE_HEIGHT, true, false)
                : new Screen(address, DESK_WIDTH, DESK_HEIGHT, false, false);
    }

    /** A phone on which the application lies. */
    static Screen installedPhone(Nursery nursery) {
        return new Screen(nursery.address(), PHONE_WIDTH, PHONE_HEIGHT, true, true);
    }

    /** Presses a key that opens something over the page, once it is there to be opened. */
    static void pressKey(Page page, String key) {
        page.locator("header kbd")
                .filter(new Locator.FilterOptions().setHasText(key))
                .first()
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
        page.keyboard().press(key);
    }

    /** Presses what stands in the head of the page at a desk, and behind one press more on a telephone. */
    static void pressAbove(Page page, String name) {
        Locator more = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("More"));
        Locator wanted = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
        // While a sheet goes, what is beneath it cannot be pressed yet.
        more.or(wanted).first().waitFor();
        if (more.isVisible()) {
            more.click();
        }
        wanted.click();
    }

    /** Chooses a place to move to; beside its name stands how much is free there. */
    static void moveTo(Page page, String place) {
        Locator places = page.getByLabel("To", new Page.GetByLabelOptions().setExact(true));
        places.selectOption(places.locator("option", new Locator.LocatorOptions().setHasText(place))
                .first()
                .getAttribute("value"));
    }

    /** Types an order; the page must be the one for taking orders. */
    static void typeOrder(Page page, String grower, String variety, String plants, String target) {
        // The page come from may have fields of these names, too.
        page.getByLabel("Wanted on").waitFor();
        page.getByLabel("Grower").selectOption(new SelectOption().setLabel(grower));
        page.getByLabel("Variety").fill(variety);
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(variety))
                .first()
                .click();
        page.getByLabel("Plants", new Page.GetByLabelOptions().setExact(true)).fill(plants);
        page.getByLabel("Wanted on").fill(target);
    }

    /** The page in front of the person. */
    Page page() {
        return page;
    }

    BrowserContext context() {
        return context;
    }

    /** Opens a page of any language as soon as it is there, with what it fetches; without waiting until all is quiet. */
    void open(String path) {
        page.navigate(path);
        page.locator("h1").first().waitFor();
        page.locator("main [role=status]")
                .filter(new Locator.FilterOptions().setHasText(FETCHING))
                .first()
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }

    /** Signs in; whoever has done so at this Kiver before comes back to the same session. */
    Screen signIn(String email) {
        List<Cookie> cookies = SIGNED_IN.get(address + " " + email);
        if (cookies != null) {
            context.addCookies(cookies);
            page.navigate("/");
            page.locator("header").waitFor();
            return this;
        }
        typePassword(email);
        SIGNED_IN.put(address + " " + email, context.cookies());
        return this;
    }

    /** Signs in by the form that people see. */
    Screen typePassword(String email) {
        page.navigate("/");
        page.getByLabel("E-mail address").fill(email);
        page.getByLabel("Password").fill(Nursery.PASSWORD);
        page.getByText("Sign in", new Page.GetByTextOptions().setExact(true)).click();
        page.getByRole(AriaRole.HEADING).first().waitFor();
        page.locator("header").waitFor();
        return this;
    }

    /** Says how the person who is signed in wants to be spoken to: "BRITISH", "AMERICAN" with its units, or "STRETCHED". */
    void speak(String language) {
        String units = language.equals("AMERICAN")
                ? "\"temperature\":\"FAHRENHEIT\",\"length\":\"INCHES\",\"volume\":\"GALLONS\",\"mass\":\"OUNCES\""
                : "\"temperature\":\"CELSIUS\",\"length\":\"MILLIMETRES\",\"volume\":\"LITRES\",\"mass\":\"GRAMS\"";
        page.evaluate("""
                async (speech) => {
                  const token = decodeURIComponent(document.cookie.split('; ').find((each) => each.startsWith('XSRF-TOKEN=')).slice(11));
                  const answer = await fetch('/api/session/speech', {
                    method: 'PUT', body: speech, headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                  });
                  if (!answer.ok) throw new Error(await answer.text());
                  localStorage.setItem('kiver.speech', speech);
                }""", "{\"language\":\"" + language + "\"," + units + "}");
    }

    /** Fails when the page as it stands breaks a rule of accessibility. */
    void requireAccessible() {
        require(axe().withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")));
    }

    private void require(AxeBuilder rules) {
        // What lies under the bar at the foot of a telephone can be scrolled from under it; here it stands at the end.
        page.evaluate("document.querySelector('nav.sticky')?.style.setProperty('position', 'static')");
        List<Rule> violations = rules.analyze().getViolations();
        page.evaluate("document.querySelector('nav.sticky')?.style.removeProperty('position')");
        assertThat(violations)
                .as(() -> page.url() + ": "
                        + violations.stream()
                                .map(rule -> rule.getId() + " at "
                                        + rule.getNodes().stream()
                                                .limit(3)
                                                .map(node -> node.getHtml())
                                                .toList())
                                .toList())
                .isEmpty();
    }

    private AxeBuilder axe() {
        AxeRunOptions onlyFaults = new AxeRunOptions();
        // What is right is not told one by one: naming each takes longer than looking.
        onlyFaults.setResultTypes(List.of(ResultType.Violations.getKey()));
        return new AxeBuilder(page)
                .options(onlyFaults)
                // No page holds frames, for which the other mode opens a page of its own each time.
                .setLegacyMode(true)
                // The rows of a long list are alike; looking at each takes twenty seconds and finds what the first had.
                .exclude("main li:nth-child(n+7)")
                .exclude("main tr:nth-child(n+7)");
    }

    /**
     * Fails when the page breaks a rule of accessibility in the dark look.
     *
     * @param seenInLight whether all that does not hang on colour and size was looked at in the light look
     */
    void requireAccessibleInTheDark(boolean seenInLight) {
        String wall = "getComputedStyle(document.documentElement).getPropertyValue('--wall')";
        Object light = page.evaluate(wall);
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        assertThat(page.evaluate(wall)).as("the dark look").isNotEqualTo(light);
        if (seenInLight) {
            require(axe().withRules(List.of("color-contrast", "target-size", "scrollable-region-focusable")));
        } else {
            requireAccessible();
        }
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    /** Fails when the page is wider than the screen. */
    void requireNoSidewaysScroll() {
        Object wider = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertThat(((Number) wider).intValue())
                .as("pixels wider than the screen: " + page.url())
                .isLessThanOrEqualTo(0);
    }

    private static String rules() {
        try (InputStream file = Screen.class.getResourceAsStream("/rules.js")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Fails where something is too small to be pressed or read; what is pressed only on a telephone. */
    void requireLegible(boolean phone) {
        assertThat((List<?>) page.evaluate(RULES, Map.of("touch", phone)))
                .as("too small: " + page.url())
                .isEmpty();
    }

    /** Fails where a narrow telephone, or words twice as large at the desk, which is half the room, need scrolling sideways. */
    void requireRoomForLargeWords(boolean phone) {
        page.setViewportSize(phone ? 320 : DESK_WIDTH / 2, phone ? 700 : DESK_HEIGHT / 2);
        requireNoSidewaysScroll();
        page.setViewportSize(phone ? PHONE_WIDTH : DESK_WIDTH, phone ? PHONE_HEIGHT : DESK_HEIGHT);
    }

    /** Fails where what is drawn by colour alone is gone once somebody has chosen the colours. */
    void requireDrawnInForcedColours() {
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
        Object gone = page.evaluate("""
                () => [...document.querySelectorAll("[aria-hidden][class*='bg-']:empty")].filter((drawn) => {
                  const box = drawn.getBoundingClientRect();
                  const style = getComputedStyle(drawn);
                  const page = getComputedStyle(document.documentElement).backgroundColor;
                  return box.width > 1 && box.height > 1 && (style.backgroundColor === page || style.backgroundColor === 'rgba(0, 0, 0, 0)');
                }).length""");
        assertThat(((Number) gone).intValue())
                .as("drawings gone: " + page.url())
                .isZero();
        page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.NONE));
    }

    @Override
    public void close() {
        context.close();
    }
}
