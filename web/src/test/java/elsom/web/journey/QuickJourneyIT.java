package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import elsom.web.AppTest;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;

/** From an empty store to a running trial on one page, by keyboard alone. */
@AppTest
@TestPropertySource(properties = {"elsom.demo=false", "elsom.warm=false"})
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class QuickJourneyIT extends BrowserTest {
    private static final int MOST_WORDS = 600;
    private static final int MOST_KEYS = 30;

    private int words() {
        return page.locator("main").innerText().split("\\s+").length;
    }

    /** First: the store is empty yet. */
    @Test
    @Order(1)
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
        assertThat(page.locator("#question")).hasAttribute("aria-invalid", "true");
        assertThat(page.locator("#treatments")).hasAttribute("aria-describedby", "treatments-problem treatments-hint");
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

    /** What the first verdict takes: one press, without a trial of one's own. */
    @Test
    void theFinishedExampleIsLookedAtAndTakenAway() {
        open(1280, 800);
        page.navigate("/practice");
        enter(button("Look at it"));
        page.waitForURL("**/findings");
        isGoodForAll();
        assertThat(page.locator(".practice-edge")).containsText("Example: nobody's trial");
        assertThat(page.locator(".first-answer")).containsText("worse: composted bracken");
        assertThat(page.locator(".first-answer")).containsText("It was a fair test");
        String address = page.url();
        page.navigate("/practice");
        enter(button("Look at it"));
        page.waitForURL(address);
        page.navigate("/trials");
        assertThat(page.locator("main")).not().containsText("heavier lettuce");
        page.navigate(address);
        enter(button("Take it away"));
        page.waitForURL(Pattern.compile(".*:\\d+/$"));
        Assertions.assertThat(page.navigate(address).status()).isEqualTo(404);
        forgetComplaints();
    }

    @ParameterizedTest
    @CsvSource({
        "growth, Which mix grows the heavier lettuce?, leaf mould; composted bracken, growth",
        "dose, What strength of wood vinegar is safe?, 'Wood vinegar: 0, 0.5, 1, 2 %', dose-series",
        "water, Which medium keeps water longest?, leaf mould; wood fibre, water-holding",
        "bioassay, Does bagged compost kill peas?, clean mix; bagged compost, seedling-injury"
    })
    void everyKindRunsAfterTwoPressesAndItsQuestion(String name, String question, String treatments, String kind) {
        open(1280, 800);
        page.navigate("/trials/quick");
        tabTo(page.locator("#question"));
        type(question);
        tabTo(page.locator("#treatments"));
        for (String one : treatments.split("; ")) {
            typeOn(one);
            press("Enter");
        }
        assertThat(page.locator("#kind")).hasValue(kind);
        assertThat(page.locator("#preview .swatches li")).not().hasCount(0);
        int words = words();
        enter(button("Begin"));
        page.waitForURL("**/plan/ready");
        Assertions.assertThat(words).as("words of %s", name).isLessThanOrEqualTo(MOST_WORDS / 2);
        Assertions.assertThat(keysPressed() - question.length() - treatments.length())
                .as("keys of %s besides its words", name)
                .isLessThanOrEqualTo(MOST_KEYS);
    }

    @Test
    void aTrialUnderWayIsTakenUpWhereItStands() {
        open(360, 740);
        page.navigate("/trials/notebook");
        page.locator("summary", new Page.LocatorOptions().setHasText("still under way"))
                .click();
        field("What was it about?").fill("Which mix roots box cuttings?");
        page.locator("input[name='measured[0].name']").fill("Height");
        page.locator("input[name='measured[0].unit']").fill("cm");
        page.locator("#lines")
                .fill("mould; 12.1; 3 Nov 2026\nmould; 11; 3 Nov 2026\nfibre; 10.2; 3 Nov 2026\nfibre; 9; 3 Nov 2026");
        page.locator("#coming").fill("1 Jan 2026");
        page.locator("#stands").fill("A B\nB C");
        button("Show how it is read").click();
        assertThat(page.locator("#coming ~ .problem")).containsText("1 Jan 2026 is over");
        page.locator("#coming").fill("today");
        button("Show how it is read").click();
        assertThat(page.locator("#stands ~ .problem")).containsText("A is mould, B is fibre");
        forgetComplaints();
        page.locator("#stands").fill("A B\nB A");
        button("Show how it is read").click();
        assertThat(page.locator("main")).containsText("Units stand in rows of 2, 2 places");
        isGoodForAll();
        button("Copy it in").click();
        page.waitForURL("**/bench");
        assertThat(page.locator(".trial-head")).containsText("4 units · copied in, where they stand");
        page.navigate("/");
        assertThat(page.locator("main")).containsText("Which mix roots box cuttings?");
    }
}
