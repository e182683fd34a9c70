package kiver.e2e;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/** A person at a screen. */
final class Screen implements AutoCloseable {

    /** Each class of tests runs on a thread, and each thread drives a browser of its own. */
    private static final ThreadLocal<Browser> CHROMIUM = ThreadLocal.withInitial(Screen::chromium);

    private static Browser chromium() {
        return Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
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
    }

    /** British and stretched. */
    private static final int DESK_WIDTH = 1280;

    private static final int DESK_HEIGHT = 800;
    private static final int PHONE_WIDTH = 390;

    private static final int PHONE_HEIGHT = 844;
    private static final String RULES = resource("/rules.js");
    private static final String AXE = resource("/axe.min.js");
    private static final Pattern FETCHING = Pattern.compile("Fetching|Féétçhíñg");

    /** Cookies of those who have signed in to a running Kiver, by its address and theirs. */
    private static final Map<String, List<Cookie>> SIGNED_IN = new ConcurrentHashMap<>();

    private final String address;
    private final BrowserContext context;
    private final Page page;

    static {
        // A busy machine is slow, not wrong.
        PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    }

    private Screen(String address, int width, int height, boolean touch, boolean installed) {
        this.address = address;
        context = CHROMIUM.get()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(address)
                        .setViewportSize(width, height)
                        .setHasTouch(touch)
                        // Only where that is tried is the application put onto the device: each new screen would fetch
                        // all of
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
        // How wide anything is hangs on its letters.
        page.evaluate("() => document.fonts.ready.then(() => true)");
        untilFetched();
    }

    /**
     * Goes to another page from within the application, as by a link: what has been fetched stays. The page come from must be
     * drawn by another component.
     */
    void goTo(String path) {
        page.evaluate("""
                (path) => new Promise((arrived, lost) => {
                  document.querySelector('h1').setAttribute('data-come-from', '');
                  const look = () => {
                    if (!document.querySelector('h1:not([data-come-from])')) return;
                    if ([...document.querySelectorAll('main [role=status]')].some((status) => /Fetching|Féétçhíñg/.test(status.textContent))) return;
                    watching.disconnect();
                    arrived(true);
                  };
                  const watching = new MutationObserver(look);
                  watching.observe(document.body, { childList: true, subtree: true, characterData: true });
                  setTimeout(() => lost(new Error('never came to ' + path + ': ' + document.body.innerText.slice(0, 300))), 30_000);
                  history.pushState(null, '', path);
                  dispatchEvent(new PopStateEvent('popstate'));
                })""", path);
    }

    private void untilFetched() {
        page.locator("main [role=status]")
                .filter(new Locator.FilterOptions().setHasText(FETCHING))
                .first()
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }

    /** Signs in; whoever has done so at this Kiver before comes back to the same session, and opens what they want. */
    Screen signIn(String email) {
        List<Cookie> cookies = SIGNED_IN.get(address + " " + email);
        if (cookies != null) {
            context.addCookies(cookies);
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
        if (!page.url().startsWith(address)) {
            page.navigate("/api/session");
        }
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
        requireInOrder(true);
        requireContrast();
    }

    /** All rules but contrast; of what is alike beside one another some. */
    private void requireInOrder(boolean all) {
        page.evaluate(MARK_WHAT_IS_ALIKE);
        require(
                all
                        ? "{runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], rules: {'color-contrast': {enabled: false}}}"
                        : "{runOnly: {type: 'rule', values: ['target-size', 'scrollable-region-focusable']}}");
    }

    /** What looks like something that could be read before can be read. */
    private void requireContrast() {
        Object fresh = page.evaluate(MARK_WHAT_WAS_SEEN, List.copyOf(LOOKS_SEEN));
        require("{runOnly: {type: 'rule', values: ['color-contrast']}}");
        ((List<?>) fresh).forEach(look -> LOOKS_SEEN.add((String) look));
    }

    /** Looks at all that is not marked to be left out. */
    private void require(String rules) {
        if (Boolean.FALSE.equals(page.evaluate("'axe' in window"))) {
            page.evaluate(AXE);
        }
        Object faults = page.evaluate("""
                async () => {
                  // What lies under the bar at the foot of a telephone can be scrolled from under it; here it stands at the end.
                  const bar = document.querySelector('nav.sticky');
                  bar?.style.setProperty('position', 'static');
                  const found = await axe.run({ include: [['html']], exclude: [['[data-left-out]']] }, { resultTypes: ['violations'], ...%s });
                  bar?.style.removeProperty('position');
                  for (const marked of document.querySelectorAll('[data-left-out]')) marked.removeAttribute('data-left-out');
                  return found.violations.map((rule) => rule.id + ' at ' + rule.nodes.slice(0, 3).map((node) => node.html).join(', '));
                }""".formatted(rules));
        assertThat((List<?>) faults).as(page.url()).isEmpty();
    }

    /** How words looked that could be read, by any page in either look: their size, weight and colour on all that lies beneath. */
    private static final Set<String> LOOKS_SEEN = ConcurrentHashMap.newKeySet();

    /** Marks all in which no words look in a new way, and answers with the new ways. */
    private static final String MARK_WHAT_WAS_SEEN = """
            (seen) => {
              const before = new Set(seen);
              const fresh = new Set();
              const hash = (text) => {
                let value = 0;
                for (let at = 0; at < text.length; at++) value = (Math.imul(value, 31) + text.charCodeAt(at)) | 0;
                return value.toString(36);
              };
              const mark = (element, beneath) => {
                const style = getComputedStyle(element);
                const ground = hash([beneath, style.backgroundColor, style.backgroundImage, style.opacity, style.filter, style.position].join());
                const written = [...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.data.trim())
                  || element.matches('input, textarea, select');
                const look = hash([ground, style.color, style.fontSize, style.fontWeight, style.textShadow].join());
                let known = !written || before.has(look);
                if (written && !before.has(look)) fresh.add(look);
                for (const child of element.children) known = mark(child, ground) && known;
                if (known) element.setAttribute('data-left-out', '');
                return known;
              };
              mark(document.body, '');
              return [...fresh];
            }""";

    /**
     * Of what is built alike beside one another (rows, trays of a place, cells) some are looked at: looking at each takes twenty
     * seconds and finds what the first had. Alike is what has the same elements of the same classes down to its children's.
     */
    private static final String MARK_WHAT_IS_ALIKE = """
            () => {
              const built = (element, depth) => element.tagName + '.' + (element.getAttribute('class') ?? '') + (element.getAttribute('role') ?? '')
                + (depth > 0 ? '(' + [...element.children].map((child) => built(child, depth - 1)).join() + ')' : element.children.length);
              for (const parent of document.querySelectorAll('main, main *')) {
                if (parent.children.length < 4) continue;
                const seen = new Map();
                for (const child of parent.children) {
                  const kind = built(child, 2);
                  const before = seen.get(kind) ?? 0;
                  seen.set(kind, before + 1);
                  if (before >= 3) child.setAttribute('data-left-out', '');
                }
              }
            }""";

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
        requireInOrder(!seenInLight);
        requireContrast();
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    /** Fails when the page is wider than the screen, and names what is. */
    void requireNoSidewaysScroll() {
        Object wider = page.evaluate("""
                () => {
                  const page = document.documentElement;
                  if (page.scrollWidth <= page.clientWidth) return [];
                  const wide = [...document.body.querySelectorAll('*')].filter((element) => element.getBoundingClientRect().right > page.clientWidth + 0.5);
                  return [page.scrollWidth - page.clientWidth + ' px', ...wide.slice(0, 4).map((element) => element.outerHTML.slice(0, 160))];
                }""");
        assertThat((List<?>) wider).as("wider than the screen: " + page.url()).isEmpty();
    }

    private static String resource(String name) {
        try (InputStream file = Screen.class.getResourceAsStream(name)) {
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

    /** Makes it a narrow telephone, or words twice as large at the desk, which is half the room: fails where that scrolls sideways. */
    void requireRoomForLargeWords(boolean phone) {
        resize(phone ? 320 : DESK_WIDTH / 2, phone ? 700 : DESK_HEIGHT / 2);
        requireNoSidewaysScroll();
    }

    /** Makes the page as narrow as a phone; it stays what it is. */
    void narrow() {
        resize(PHONE_WIDTH, PHONE_HEIGHT);
    }

    void widen() {
        resize(DESK_WIDTH, DESK_HEIGHT);
    }

    /** What measures itself is drawn anew a frame later. */
    private void resize(int width, int height) {
        if (page.viewportSize().width == width && page.viewportSize().height == height) {
            return;
        }
        page.setViewportSize(width, height);
        page.evaluate(
                "() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(() => drawn(true))))");
    }

    /** Nobody is signed in to a Kiver that has begun anew at an address. */
    static void forgetWhoSignedIn(String address) {
        SIGNED_IN.keySet().removeIf(key -> key.startsWith(address + " "));
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
