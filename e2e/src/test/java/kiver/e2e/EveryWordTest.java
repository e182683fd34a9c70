package kiver.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/**
 * Every page in the stretched language, in which each message is bracketed: a word outside of brackets is in no catalogue,
 * and what was cut off would be cut off in a longer language, too. And what is printed, on the paper of both countries.
 */
class EveryWordTest {

    private static final Map<String, Screen> SCREENS = new HashMap<>();

    private static Nursery nursery;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        nursery = Nursery.demo();
    }

    @AfterAll
    static void stop() throws IOException, InterruptedException {
        SCREENS.values().forEach(Screen::close);
        nursery.close();
    }

    @TestFactory
    List<DynamicTest> everyPage() {
        List<DynamicTest> tests = new ArrayList<>();
        List<View> signedIn =
                View.ALL.stream().filter(view -> !view.email().isEmpty()).toList();
        for (View view : signedIn) {
            tests.add(DynamicTest.dynamicTest("stretched " + view, () -> lookStretched(view)));
        }
        tests.add(DynamicTest.dynamicTest("stretched, what opens over a page", EveryWordTest::lookAtSheets));
        for (String path : List.of("/tomorrow", "/season/wall")) {
            tests.add(DynamicTest.dynamicTest("on A4 " + path, () -> print(path, "STRETCHED", 595, 842)));
            tests.add(DynamicTest.dynamicTest("on US Letter " + path, () -> print(path, "AMERICAN", 612, 792)));
        }
        return tests;
    }

    /** Sheets come in the house's own type, on the paper of whoever prints; tomorrow fits on one. */
    private static void print(String path, String language, int width, int height) throws IOException {
        Screen screen = screen(Nursery.PROPAGATOR, language);
        screen.open(path);
        assertThat(screen.page().evaluate("""
                () => ['main', 'h1'].map((place) => {
                  const type = getComputedStyle(document.querySelector(place)).fontFamily.split(',')[0];
                  return type + ' ' + document.fonts.check('16px ' + type);
                })"""))
                .isEqualTo(List.of("\"Commissioner Variable\" true", "\"Bitter Variable\" true"));
        try (PDDocument paper = Loader.loadPDF(screen.page().pdf(new Page.PdfOptions().setPreferCSSPageSize(true)))) {
            PDRectangle first = paper.getPage(0).getMediaBox();
            assertThat(first.getWidth()).isCloseTo(width, within(1f));
            assertThat(first.getHeight()).isCloseTo(height, within(1f));
            if (path.equals("/tomorrow")) {
                assertThat(paper.getNumberOfPages()).isEqualTo(1);
            }
        }
    }

    private static void lookStretched(View view) {
        Screen screen = screen(view.email(), "STRETCHED");
        screen.open(view.path());
        requireStretched(screen);
        screen.requireNoSidewaysScroll();
        screen.narrow();
        assertThat((List<?>) screen.page().evaluate(CUT_OFF))
                .as("cut off on a phone on " + view.path())
                .isEmpty();
        screen.requireNoSidewaysScroll();
        screen.widen();
    }

    private static void lookAtSheets() {
        Screen screen = screen(Nursery.PROPAGATOR, "STRETCHED");
        screen.open("/orders/new");
        Page page = screen.page();
        Screen.pressKey(page, "?");
        page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.HEADING).first().waitFor();
        requireStretched(screen);
        page.keyboard().press("Escape");
        page.getByRole(AriaRole.DIALOG).waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
        Screen.pressKey(page, "p");
        page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.TEXTBOX).fill("400 curly kale, 12 June");
        page.getByRole(AriaRole.DIALOG).locator("section").first().waitFor();
        page.waitForLoadState(LoadState.NETWORKIDLE);
        requireStretched(screen);
    }

    private static void requireStretched(Screen screen) {
        Page page = screen.page();
        page.evaluate(NAMES);
        assertThat((List<?>) page.evaluate(BARE_WORDS))
                .as("words in no catalogue on " + page.url())
                .isEmpty();
        assertThat((List<?>) page.evaluate(CUT_OFF))
                .as("cut off on " + page.url())
                .isEmpty();
    }

    /** Each person signs in once, and says how they want to be spoken to. */
    private static Screen screen(String email, String language) {
        Screen screen = SCREENS.computeIfAbsent(
                email + language, each -> Screen.desk(nursery).signIn(email));
        screen.speak(language);
        return screen;
    }

    /** What the nursery's own things are called, kept in the browser: the same on every page. */
    private static final String NAMES = """
            async () => {
              if (localStorage.getItem('names of this nursery')) return;
              const get = async (path) => { const answer = await fetch(path); return answer.ok ? answer.json() : {}; };
              const names = new Set(['Kiver']);
              // Within a sentence crops, containers and places are written small.
              const gatherSmall = (value) => { if (typeof value === 'string') names.add(value.trim().toLowerCase()); else if (value && typeof value === 'object') Object.values(value).forEach(gatherSmall); };
              const gather = (value) => {
                if (typeof value === 'string') names.add(value.trim());
                else if (value && typeof value === 'object') Object.values(value).forEach(gather);
              };
              const choices = await get('/api/choices');
              gather([choices.growers, choices.sites, choices.crops, choices.varieties, choices.containers, choices.lots, choices.places]);
              gatherSmall([choices.crops, choices.containers, choices.places, choices.varieties?.map((variety) => variety.crop)]);
              gather(await get('/api/session'));
              for (const sheet of ['crops', 'containers', 'varieties', 'places', 'sites', 'lots', 'rates']) {
                const { rows = [], columns = [] } = await get('/api/sheets/' + sheet);
                gather(rows);
                gather(columns.map((column) => [column.name, column.choices]));
              }
              gather((await get('/api/orders?withDone=true')).map?.((order) => [order.grower, order.site, order.lines.map((line) => [line.asked.variety, line.asked.crop, line.asked.container])]));
              (await get('/api/batches?withGone=true')).forEach?.((batch) => gather([batch.variety, batch.crop, batch.place]));
              const free = (await get('/api/free')).map?.((plants) => [plants.variety, plants.crop, plants.container]);
              gather(free);
              gatherSmall(free);
              gatherSmall((await get('/api/orders')).map?.((order) => order.lines.map((line) => [line.asked.crop, line.asked.container])));
              gather((await get('/api/messages')).map?.((message) => [message.subject, message.body]));
              gather(await get('/api/people'));
              gather(await get('/api/traces/mixes'));
              gather((await get('/api/trials')).map?.((trial) => [trial.name, trial.ways.map((way) => way.name)]));
              gather(await get('/api/store/spots'));
              gather((await get('/api/feeding')).feeds?.map((each) => each.feed.name));
              gather((await get('/api/devices')).devices?.map((device) => device.name));
              const media = await get('/api/media');
              gather([media.recipes?.map((recipe) => recipe.name), media.library?.map((recipe) => [recipe.name, recipe.litres.map((each) => each.name)]), media.ingredients?.map((each) => each.name)]);
              gather((await get('/api/stock')).ingredients?.map((each) => each.deliveries.map((delivery) => delivery.supplier)));
              ['Pell Oskway', 'Pell', 'Maro', 'Ansa', 'Nursery hands', 'Sowing mix, fine'].forEach((each) => names.add(each));
              const phrases = [...names].filter((name) => /[A-Za-z]{2}/.test(name)).sort((one, other) => other.length - one.length);
              localStorage.setItem('names of this nursery', JSON.stringify(phrases));
            }""";

    /**
     * Words outside of all brackets that are no names of this nursery's things. Brackets are counted through the page, for a
     * message may hold more than one element.
     */
    private static final String BARE_WORDS = """
            async () => {
              const phrases = JSON.parse(localStorage.getItem('names of this nursery'));
              const escape = (text) => text.replace(/[.*+?^${}()|[\\]\\\\]/g, '\\\\$&');
              const known = new RegExp('(?<![A-Za-zÀ-ž])(?:' + phrases.map(escape).join('|') + ')(?![A-Za-zÀ-ž])', 'g');
              const outside = (text, depth = 0) => {
                let bare = '';
                for (const letter of text) {
                  if (letter === '⟦') { depth++; bare += ' '; } else if (letter === '⟧') depth--; else if (depth === 0) bare += letter;
                }
                return { bare, depth };
              };
              const words = (text) => !/[A-Za-zÀ-ž]{2,}/.test(text) ? [] : text.replace(known, ' ').replace(/\\S*\\d\\S*|°[CF]|\\b(mm|cm|mL|in|kg|lb)\\b|\\S+@\\S+|https?:\\S+/g, ' ').match(/[A-Za-zÀ-ž]{2,}/g) ?? [];
              const found = [];
              let depth = 0;
              const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              for (let node = walker.nextNode(); node; node = walker.nextNode()) {
                if (node.parentElement.closest('script, style, noscript')) continue;
                const read = outside(node.textContent, depth);
                depth = read.depth;
                const bare = words(read.bare);
                if (bare.length > 0) found.push(bare.join(' ') + '  <' + node.parentElement.tagName + ': ' + node.textContent.slice(0, 80) + '>');
              }
              for (const element of document.body.querySelectorAll('[aria-label], [title], [placeholder], [alt]')) {
                for (const name of ['aria-label', 'title', 'placeholder', 'alt']) {
                  const bare = words(outside(element.getAttribute(name) ?? '').bare);
                  if (bare.length > 0) found.push(bare.join(' ') + '  <' + name + ': ' + element.getAttribute(name).slice(0, 80) + '>');
                }
              }
              return [...new Set(found)].slice(0, 30);
            }""";

    /** Elements whose words do not fit into them, unless the whole of it can be read in another way. */
    private static final String CUT_OFF = """
            () => [...document.body.querySelectorAll('*')]
              .filter((element) => element.clientWidth > 2 && element.scrollWidth > element.clientWidth + 1 && element.innerText?.trim())
              .filter((element) => ['hidden', 'clip'].includes(getComputedStyle(element).overflowX) || element.matches('button, .act'))
              .filter((element) => !element.title && !element.closest('.sr-only, select'))
              .map((element) => element.tagName + '.' + element.className + ': ' + element.innerText.slice(0, 80))
              .slice(0, 20)""";
}
