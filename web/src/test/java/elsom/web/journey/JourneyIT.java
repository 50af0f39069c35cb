package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** From an empty Elsom to a verdict and a file, with the keyboard only. The property gives it a store of its own. */
@TestPropertySource(properties = "elsom.demo=false")
class JourneyIT extends BrowserTest {
    private static final Map<String, Double> HELD = Map.of("Wood fibre", 210.0, "Crushed brick", 95.0);
    private static final Map<String, Double> DRY = Map.of("Wood fibre", 37.0, "Crushed brick", 410.0);
    private static final Map<String, Double> RATE = Map.of("Wood fibre", 0.004, "Crushed brick", 0.018);

    @Test
    void fromQuestionToVerdict() {
        open(1280, 800);
        page.navigate("/");
        isAccessible();
        follow("plan it part by part", "/trials/new");

        planTheTrial();
        weighEverything();
        readTheFindings();
        takeTheFilesOutAndIn();
    }

    private void planTheTrial() {
        tabTo(page.locator("#question"));
        isAccessible();
        press("Enter");
        assertThat(page.getByText("Write the question first").first()).isVisible();
        isAccessible();
        tabTo(page.locator("#question"));
        type("Which keeps water over a long weekend?");
        press("Enter");
        page.waitForURL("**/trials/1");
        isAccessible();
        goOn("treatments");
        tabTo(field("Treatment 1"));
        type("Wood fibre");
        tabTo(page.getByLabel("Organic matter of treatment 1, percent"));
        type("94");
        tabTo(field("Treatment 2"));
        type("Crushed brick");
        goOn("size");
        tabTo(page.locator("#replicates"));
        type("3");
        goOn("bench");
        assertThat(page.locator(".map .unit")).hasCount(6);
        goOn("dates");
        // Begun ten days ago, so that every look may have been: no reading lies in the future.
        page.locator("#start")
                .fill(LocalDateTime.now(ZoneId.systemDefault())
                        .minusDays(10)
                        .truncatedTo(ChronoUnit.MINUTES)
                        .toString());
        plansLook(4, "", "");
        plansLook(8, "4 d", "day 4");
        plansLook(9, "", "");
        goOn("ready");
        follow("Overview", "/trials/1/plan");
        assertThat(page.getByText("What goes into what")).isVisible();
        assertThat(page.locator(".map .unit")).hasCount(6);
        isAccessible();
        enter(button("Start the trial"));
        page.waitForURL("**/bench");
    }

    private void plansLook(int line, String when, String name) {
        tabTo(field("Time of look " + line));
        type(when);
        press("Tab");
        type(name);
    }

    private String codeNow() {
        return page.locator("#unit-code").textContent();
    }

    private void save(String text) {
        String before = codeNow();
        type(text);
        press("Enter");
        page.waitForCondition(() -> !codeNow().equals(before)
                || page.locator("#asked").isVisible()
                || page.locator("#understood").textContent().startsWith("Saved. All"));
        assertThat(page.locator("#asked")).isHidden();
    }

    private void weighEverything() {
        isAccessible();
        tabTo(page.locator("#station-name"));
        press("Enter");
        assertThat(page.locator("#station-name")).hasCount(0);
        page.waitForLoadState();
        isAccessible();
        for (int unit = 0; unit < 6; unit++) {
            save(unit % 2 == 0 ? "31,5" : "31.5 g");
        }
        nextRound("dry");
        correctAMistake();
        for (int unit = 0; unit < 6; unit++) {
            save(Double.toString(31.5 + DRY.get(medium())));
        }
        nextRound("drained");
        takeOneFromTheScale();
        for (int unit = 0; unit < 6; unit++) {
            save(grams(0, unit));
        }
        loseNoUnitAfterAll();
        for (int hours : List.of(6, 24, 48, 96)) {
            nextRound(hours < 48 ? hours + " h" : "day " + hours / 24);
            for (int unit = 0; unit < 6; unit++) {
                save(grams(hours, unit));
            }
        }
        assertThat(page.locator("#understood")).containsText("is measured");
    }

    private String medium() {
        return page.locator("#unit-treatment span").textContent();
    }

    private String grams(int hours, int unit) {
        double left = HELD.get(medium()) * Math.exp(-RATE.get(medium()) * hours) * (1 + 0.01 * unit);
        return String.format(java.util.Locale.ROOT, "%.1f", 31.5 + DRY.get(medium()) + left);
    }

    private void nextRound(String look) {
        Locator round =
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + look + ",")));
        String address = round.getAttribute("href");
        enter(round);
        // The page left also shows six units: what is typed before the next one stands would be lost with it.
        page.waitForURL("**" + address);
        assertThat(page.locator("#unit-treatment span")).not().isEmpty();
        assertThat(page.locator("#expected")).hasText("6");
        // A page that opens leaves the focus at its start; the first digit goes to the field.
        assertThat(page.locator("#value")).not().isFocused();
    }

    /** A weight below the empty one is asked about at once, put right with a reason, and undone again. */
    private void correctAMistake() {
        String code = codeNow();
        type("20");
        assertThat(page.locator("#understood")).hasText("understood as 20 g");
        press("Enter");
        assertThat(page.locator("#asked")).containsText("Not heavier than its own empty container (31.5 g)");
        assertThat(page.locator("#unit-code")).hasText(code);
        isAccessible();
        // An order only in the field: with a button in focus a letter does nothing.
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Type it again"))
                .focus();
        press("u");
        assertThat(page.locator("#asked")).containsText("Not heavier");
        press("Enter");
        assertThat(page.locator("#value")).isFocused();
        press("u");
        assertThat(page.locator("#understood")).hasText("Undone.");
        assertThat(page.locator("#value")).hasValue("");
        type("20");
        press("Enter");
        assertThat(page.locator("#asked")).containsText("Not heavier than its own empty container (31.5 g)");
        type("about x");
        press("Enter");
        assertThat(page.locator("#asked")).containsText("No number in “about x”");
        type("70");
        assertThat(page.locator("#why")).isVisible();
        press("Enter");
        assertThat(page.locator("#unit-code")).not().hasText(code);
        press("Shift+Enter");
        assertThat(page.locator("#unit-code")).hasText(code);
        assertThat(page.locator("#history")).containsText("20.0 g");
        press("u");
        assertThat(page.locator("#understood")).hasText("Undone.");
        assertThat(page.locator("#value")).hasValue("20");
        press("u");
        assertThat(page.locator("#value")).hasValue("");
    }

    private void takeOneFromTheScale() {
        String code = codeNow();
        press("s");
        press("Enter");
        assertThat(page.locator("#value")).isFocused();
        press("t");
        assertThat(page.locator("#scale-says")).containsText("Zeroed");
        press("s");
        page.waitForCondition(
                () -> !codeNow().equals(code) || page.locator("#asked").isVisible());
        assertThat(page.locator("#scale-display")).containsText(" g");
        if (codeNow().equals(code)) {
            press("Enter");
        }
        assertThat(page.locator("#unit-code")).not().hasText(code);
        press("u");
        assertThat(page.locator("#unit-code")).hasText(code);
        assertThat(page.locator("#value")).hasValue("");
    }

    private void loseNoUnitAfterAll() {
        String code = codeNow();
        page.locator("#value").evaluate("field => field.select()");
        press("k");
        assertThat(page.locator("#wrong")).isVisible();
        assertThat(page.locator("#wrong [data-units]")).hasText(code);
        isAccessible();
        tabTo(page.locator("[data-note]"));
        page.keyboard().type("dropped, but whole");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Lost or taken away"))
                .focus();
        press("Enter");
        assertThat(page.locator(".mishaps")).containsText("dropped, but whole");
        assertThat(page.locator(".mishaps")).containsText(code);
        enter(page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take back: " + code))));
        assertThat(page.locator(".mishaps")).hasCount(0);
    }

    private void readTheFindings() {
        follow("Findings", "/findings");
        assertThat(page.locator(".first-answer .sentence"))
                .hasText(
                        "Wood fibre still holds 36 % water by volume after 4 days, the most of all; crushed brick is under its"
                                + " refill weight after 1.6 days.");
        assertThat(page.locator(".first-answer .in-full"))
                .containsText(Pattern.compile(
                        "Wood fibre still holds 36 % \\(95 %: \\d+–\\d+\\) water by volume after 4 days, the most of all; crushed"
                                + " brick is under its refill weight after 1\\.6 days \\(95 %: 1\\.\\d–1\\.\\d\\)\\."));
        assertThat(page.locator(".drawn-course svg .point")).not().hasCount(0);
        isAccessible();
        press("o");
        assertThat(page.locator(".account .drawn-course svg").first()).isVisible();
        isAccessible();
        press("n");
        assertThat(page.locator(".pictured table").first()).isVisible();
        press("n");
        Locator figure = page.locator("a.figure[href*='kind=capacity']").first();
        // The table is one stop of the Tab key, with arrows from number to number.
        tabTo(page.locator("table[data-grid] a.figure[tabindex='0']"));
        press("ArrowRight");
        assertThat(figure).isFocused();
        press("Enter");
        assertThat(page.locator("#working")).containsText("mean of the units' own figures");
        isAccessible();
        enter(page.locator("#working a", new Page.LocatorOptions().setHasText("its own working"))
                .first());
        assertThat(page.locator("#working")).containsText("water held after draining ÷ filled volume");
        press("Escape");
        assertThat(page.locator("#working")).isHidden();
        press("o");
        assertThat(page.locator(".account .drawn-course svg").first()).isHidden();
    }

    private void takeTheFilesOutAndIn() {
        String verdict = page.locator(".sentence").first().textContent();
        follow("Report", "/report");
        assertThat(page.locator(".sentence").first()).hasText(verdict);
        isAccessible();
        follow("Files out and in", "/files");
        isAccessible();
        Path csv = download(link("Readings as CSV"), "readings.csv");
        Path zip = download(link("The whole trial as a zip"), "trial.zip");
        page.locator("#file").setInputFiles(csv);
        enter(button("Read it in"));
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("0 added, 0 corrected, 42 unchanged.");

        page.navigate("/trials/import");
        isAccessible();
        page.locator("#file").setInputFiles(zip);
        enter(button("Read it in"));
        page.waitForURL(Pattern.compile(".*/trials/2$"));
        follow("Findings", "/findings");
        assertThat(page.locator(".sentence").first()).hasText(verdict);
        page.navigate("/trials");
        assertThat(page.locator(".trials li")).hasCount(2);
        isAccessible();
        press("/");
        page.keyboard().type("brick");
        press("Enter");
        assertThat(page.locator("main")).containsText("2 trials for “brick”");
    }
}
