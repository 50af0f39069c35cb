package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import elsom.web.AppTest;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** From an empty store to a running trial on one page, by keyboard alone. */
@AppTest
@TestPropertySource(properties = {"elsom.demo=false", "elsom.warm=false"})
class QuickJourneyIT extends BrowserTest {
    private static final int MOST_WORDS = 600;

    private int words() {
        return page.locator("main").innerText().split("\\s+").length;
    }

    @Test
    void aTrialRunsAfterThreePages() {
        open(1280, 800);
        page.navigate("/");
        isAccessible();
        int read = words();
        follow("Begin a trial on one page", "/trials/quick");
        isAccessible();
        tabTo(button("Begin"));
        press("Enter");
        assertThat(page.locator("#question-problem")).containsText("Write the question first");
        assertThat(page.locator("#treatments-problem")).containsText("Nothing is compared yet");
        forgetComplaints();
        tabTo(page.locator("#question"));
        type("Does bagged compost kill peas?");
        tabTo(page.locator("#treatments"));
        type("clean mix");
        press("Enter");
        typeOn("bagged compost");
        assertThat(page.locator("#preview")).containsText("the standard");
        assertThat(page.locator("#preview")).containsText("4 of each can see a difference in injury");
        assertThat(page.locator("#kind")).hasValue("seedling-injury");
        assertThat(page.locator("#decides")).hasValue("injury");
        isAccessible();
        read += words();
        tabTo(page.locator("#replicates"));
        type("1");
        tabTo(button("Begin"));
        press("Enter");
        assertThat(page.locator("#replicates-problem")).containsText("One of each tells nothing");
        forgetComplaints();
        tabTo(page.locator("#replicates"));
        type("5");
        tabTo(button("Begin"));
        press("Enter");
        page.waitForURL("**/trials/1/plan/ready");
        isAccessible();
        assertThat(page.locator(".trial-head")).containsText("looks count from");
        assertThat(page.locator("main")).containsText("bagged compost");
        Assertions.assertThat(read).as("words until it runs").isLessThanOrEqualTo(MOST_WORDS);
    }

    @Test
    void aSeriesIsOpenedAsAPlanWithWhatWasTyped() {
        open(360, 740);
        page.navigate("/trials/quick");
        tabTo(page.locator("#question"));
        type("What strength of wood vinegar is safe?");
        tabTo(page.locator("#treatments"));
        type("Wood vinegar: 0, 0.5, 1, 2 %");
        assertThat(page.locator("#kind")).hasValue("dose-series");
        assertThat(page.locator("#preview")).containsText("2 %");
        isAccessible();
        tabTo(button("Open the full plan"));
        press("Enter");
        page.waitForURL(Pattern.compile(".*/trials/\\d+$"));
        page.navigate(page.url() + "/plan/treatments");
        assertThat(field("Levels of factor 1")).hasValue("0, 0.5, 1, 2 %");
    }
}
