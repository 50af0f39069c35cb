package elsom.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import elsom.web.AppTest;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A browser on the whole application; every journey ends with a clean console. */
@AppTest
abstract class BrowserTest {
    private static final int LONGEST_WAY = 120;
    private static final String RUNNING_OFF = "[...document.querySelectorAll('main *')]"
            + ".filter(e => e.getBoundingClientRect().right > window.innerWidth + 1 && !e.closest('.scroll, .parts, .timebar, .map'))"
            + ".slice(0, 5).map(e => e.outerHTML.slice(0, 120)).join(' | ')";

    /** One for all journeys of a run; it ends with it. */
    private static final Browser BROWSER = launched();

    @TempDir
    private Path folder;

    private final List<String> complaints = new ArrayList<>();
    private final List<BrowserContext> devices = new ArrayList<>();
    private static final double PATIENCE_MS = 20_000;

    private int keys;
    protected Page page;

    @LocalServerPort
    private int port;

    private static Browser launched() {
        // A busy machine answers late, which is no fault of the page.
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        Browser browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        // Without the browser's own windows, which take more of the machine than the pages do.
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                "--no-first-run")));
        Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
        return browser;
    }

    protected void open(int width, int height) {
        page = anotherDevice(width, height);
    }

    /** A second device: its own window, which stays in view, and its own store for drafts. */
    protected Page anotherDevice(int width, int height) {
        // What a worker answers is seen by no route of a test, so only the journey without a network has one.
        return anotherDevice(width, height, port, ServiceWorkerPolicy.BLOCK);
    }

    /** A device with workers, at the end of a wire. */
    protected Page deviceOn(Wire wire, int width, int height) {
        return anotherDevice(width, height, wire.port(), ServiceWorkerPolicy.ALLOW);
    }

    protected Wire wire() {
        return new Wire(port);
    }

    private Page anotherDevice(int width, int height, int at, ServiceWorkerPolicy workers) {
        BrowserContext device = BROWSER.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setServiceWorkers(workers)
                .setBaseURL("http://127.0.0.1:" + at)
                .setReducedMotion(ReducedMotion.REDUCE));
        devices.add(device);
        Page opened = device.newPage();
        opened.setDefaultTimeout(PATIENCE_MS);
        opened.onPageError(error -> complaints.add("error: " + error));
        opened.onConsoleMessage(message -> {
            // The browser notes every refused request itself; a refusal is an answer, not a fault.
            boolean refusal = message.text().matches("Failed to load resource: .* status of (409|422) .*");
            boolean blocked = message.text().equals("Service Worker registration blocked by Playwright");
            if (List.of("error", "warning").contains(message.type()) && !refusal && !blocked) {
                complaints.add(message.type() + ": " + message.text());
            }
        });
        return opened;
    }

    protected BrowserContext context() {
        return page.context();
    }

    /** Complaints that a test brings about on purpose, such as a dropped connection. */
    protected void forgetComplaints() {
        complaints.clear();
    }

    @AfterEach
    void consoleIsClean() {
        devices.forEach(BrowserContext::close);
        assertThat(complaints).isEmpty();
    }

    /** No barrier that an automatic check finds on the page as it is now. */
    protected void isAccessible() {
        new Barriers(page).none();
    }

    /** Nothing runs off or is too small for a finger, also with text twice as large. */
    protected void fitsAPhone() {
        new Barriers(page).noneForFingers();
        fits("");
        fits("32px");
    }

    private void fits(String text) {
        page.evaluate("size => { document.documentElement.style.fontSize = size; }", text);
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth - window.innerWidth"))
                .as("runs off %s with text of %s: %s", page.url(), text, page.evaluate(RUNNING_OFF))
                .isLessThanOrEqualTo(0);
        page.evaluate("document.documentElement.style.fontSize = ''");
    }

    /** No barrier in light, in the dark, or with text twice as large, when nothing may run off the page either. */
    protected void isGoodForAll() {
        isAccessible();
        new Barriers(page).noneInTheDark();
        fits("32px");
    }

    protected void press(String key) {
        keys++;
        page.keyboard().press(key);
    }

    /** Types over what the focused field holds. */
    protected void type(String text) {
        press("Control+A");
        typeOn(text);
    }

    /** Types where the cursor is. */
    protected void typeOn(String text) {
        keys += text.length();
        page.keyboard().type(text);
    }

    /** Keys pressed so far, one for a key with Shift or Control. */
    protected int keysPressed() {
        return keys;
    }

    /** Presses Tab until the element has the focus. */
    protected void tabTo(Locator target) {
        for (int i = 0; i < LONGEST_WAY; i++) {
            if ((Boolean) target.evaluate("element => element === document.activeElement")) {
                return;
            }
            press("Tab");
        }
        throw new AssertionError("can't be reached with Tab: " + target);
    }

    /** Goes to a link or button with Tab and presses Enter on it. */
    protected void enter(Locator target) {
        tabTo(target);
        press("Enter");
    }

    protected Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    protected Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /** The field with exactly this label. */
    protected Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    protected void follow(String name, String address) {
        enter(link(name));
        page.waitForURL("**" + address);
    }

    /** Saves a part of a plan and goes on to the next. */
    protected void goOn(String next) {
        enter(button("Save and go on"));
        page.waitForURL("**/plan/" + next);
    }

    /** Fetches the file behind a link or button. */
    protected Path download(Locator from, String file) {
        Download download = page.waitForDownload(() -> enter(from));
        Path to = folder.resolve(file);
        download.saveAs(to);
        assertThat(to).isNotEmptyFile();
        return to;
    }
}
