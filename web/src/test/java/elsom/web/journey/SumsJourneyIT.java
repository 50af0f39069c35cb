package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** By keyboard: a dilution typed as "2:1", and the sliders under the pots. */
class SumsJourneyIT extends BrowserTest {
    private static final int PHONE = 360;

    @Test
    void twoToOneIsAskedBackAndThenPoured() {
        open(1280, 800);
        page.navigate("/");
        follow("Sums", "/sums");
        isAccessible();
        follow("What does 2:1 mean?", "/sums/ratio");
        isAccessible();
        tabTo(field("The ratio as it is written"));
        type("2:1");
        press("Enter");
        page.waitForURL(Pattern.compile(".*ratio=2%3A1.*"));
        assertThat(page.locator("#water-problem")).containsText("which part is water?");
        assertThat(page.locator("#water-problem")).containsText("33.33 %");
        assertThat(page.locator("#water-problem")).containsText("66.67 %");
        assertThat(field("The ratio as it is written")).hasValue("2:1");
        isAccessible();
        tabTo(field("Which part is water"));
        typeOn("the first");
        tabTo(field("How much of it"));
        type("3 L");
        press("Enter");
        assertThat(page.locator(".result")).hasText("1 L of stock and 2 L of water.");
        assertThat(page.locator(".sum-sheet")).containsText("Read as 1 part stock and 2 parts water");
        page.navigate("/sums/ratio");
        enter(link("As last time"));
        assertThat(page.locator(".result")).hasText("1 L of stock and 2 L of water.");
        String kept = page.url();
        page.navigate("/");
        page.navigate(kept);
        assertThat(page.locator(".result")).hasText("1 L of stock and 2 L of water.");
        isAccessible();
    }

    @Test
    void theSlidersMoveTheWater() {
        open(1280, 800);
        page.navigate("/column");
        page.waitForSelector("#column svg");
        isAccessible();
        Locator foot = page.locator("#column-figures tbody tr:nth-child(2) td:nth-child(4)");
        String before = foot.textContent();
        tabTo(page.locator("#gravel"));
        press("End");
        assertThat(foot).not().hasText(before);
        assertThat(page.locator("#column-set label:has(#gravel) output")).hasText("8 cm");
        page.waitForURL(Pattern.compile(".*gravel=8.*"));
        String lifted = foot.textContent();
        page.reload();
        assertThat(foot).hasText(lifted);
        assertThat(page.locator("#column svg"))
                .hasAttribute("aria-label", Pattern.compile("gravel below: .* wet foot to"));
    }

    @Test
    void theCheapestMixForAWindow() {
        open(1280, 800);
        page.navigate("/mix");
        isAccessible();
        String before = page.locator(".result-line").textContent();
        tabTo(field("At most: EC of the 1:5 extract"));
        type("0.2");
        press("Enter");
        page.waitForURL(Pattern.compile(".*high_ec=0.2.*"));
        assertThat(page.locator(".result-line")).not().hasText(before);
        String mix = page.locator(".result-line").textContent();
        enter(button("Measure it"));
        page.waitForURL("**/plan/treatments");
        assertThat(page.locator("main")).containsText("2 treatments");
        Assertions.assertThat(page.content()).contains(mix);
        page.goBack();
        tabTo(field("At least: Water held after draining"));
        type("95");
        tabTo(field("At most: Water held after draining"));
        type("100");
        press("Enter");
        assertThat(page.locator(".notice.wrong")).containsText("Water held after draining rules it out");
        assertThat(field("At least: Water held after draining")).hasValue("95");
        isAccessible();
    }

    @Test
    void onAPhoneNothingRunsOffThePage() {
        open(PHONE, 740);
        for (String path : new String[] {
            "/sums",
            "/sums/feed",
            "/sums/ratio?ratio=2:1",
            "/column",
            "/mix",
            "/mix/design",
            "/shelf",
            "/shelf/new",
            "/shelf/uses?edit=seed"
        }) {
            page.navigate(path);
            assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                    .as(path)
                    .isLessThanOrEqualTo(PHONE);
            isAccessible();
        }
    }
}
