package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** By keyboard: a dilution typed as "2:1", and the sliders under the pots. */
@TestPropertySource(properties = "elsom.demo=true")
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
    void aUseOfOnesOwnRulesWhatIsCheapest() {
        open(1280, 800);
        page.navigate("/shelf/uses");
        enter(page.locator("a:has-text('A use of my own')"));
        page.waitForURL(Pattern.compile(".*edit=own.*"));
        isAccessible();
        tabTo(field("Name"));
        type("Window boxes");
        tabTo(field("Water held after draining: fit from"));
        type("95");
        press("Enter");
        page.waitForURL(Pattern.compile(".*uses#own-window-boxes"));
        assertThat(page.locator("#own-window-boxes")).containsText("of this station");
        page.navigate("/mix/design?use=own-window-boxes&cheapest=true");
        assertThat(page.locator(".notice.wrong")).containsText("Water held after draining rules it out");
        page.navigate("/mix/design?use=own-window-boxes&cheapest=true&limit0=leaf+mould&least0=60&most0=40");
        assertThat(page.locator(".problem")).containsText("can't both be");
        assertThat(field("At least, limit 1")).hasValue("60");
        isAccessible();
        page.navigate("/shelf/uses?edit=own-window-boxes");
        enter(button("Take it away"));
        assertThat(page.locator("#own-window-boxes")).hasCount(0);
    }

    @Test
    void onAPhoneNothingRunsOffThePage() {
        open(PHONE, 740);
        for (String path : new String[] {
            "/sums",
            "/sums/feed",
            "/sums/ratio?ratio=2:1",
            "/column",
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
