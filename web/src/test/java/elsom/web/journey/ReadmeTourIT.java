package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import elsom.web.AppTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** The README's ten minutes, walked on the demo by the names it gives. */
@AppTest
@TestPropertySource(properties = {"elsom.demo=true", "elsom.warm=false"})
class ReadmeTourIT extends BrowserTest {
    private static String readme() throws IOException {
        Path here = Path.of("README.md");
        return Files.readString(Files.exists(here) ? here : Path.of("../README.md"));
    }

    /** What stands between stars after the number of a step: "*Trials → Findings.*" as its parts. */
    private static String[] way(String readme, int step) {
        Matcher found = Pattern.compile("\\*\\*" + step + "\\. [^*]+\\*\\*[^*]*\\*([^*]+?)\\.?\\*")
                .matcher(readme.replaceAll("\\s+", " "));
        Assertions.assertThat(found.find())
                .as("step " + step + " names its way")
                .isTrue();
        return found.group(1).split(" → ");
    }

    private void along(String... names) {
        for (String name : names) {
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name))
                    .first()
                    .click();
        }
    }

    /** Each way of writing the weight is taken without a question, and the next pot is up. */
    private void measure(String readme) {
        button("Keep it").click();
        Matcher step = Pattern.compile("type a weight \\(`([^`]+)`, `([^`]+)`, `([^`]+)`\\)")
                .matcher(readme);
        Assertions.assertThat(step.find()).isTrue();
        String code = page.locator("#unit-code").textContent();
        for (int way = 1; way <= step.groupCount(); way++) {
            page.locator("#value").fill(step.group(way));
            press("Enter");
            assertThat(page.locator("#unit-code")).not().hasText(code);
            assertThat(page.locator("#asked")).isHidden();
            press("u");
            assertThat(page.locator("#unit-code")).hasText(code);
        }
        page.locator("#value").fill("20");
        press("Enter");
        assertThat(page.locator("#asked")).isVisible();
    }

    @Test
    void everyStepLeadsWhereItSays() throws IOException {
        String readme = readme();
        open(1280, 800);
        page.navigate("/");
        along(way(readme, 1));
        assertThat(page.locator(".map .unit").first()).isVisible();
        measure(readme);
        page.navigate("/");
        along(way(readme, 3));
        assertThat(page.locator(".first-answer").first()).isVisible();
        for (String question : new String[] {"Was it fair?", "What next?", "Is a claim true?"}) {
            assertThat(link(question).first()).isVisible();
        }
        page.navigate("/");
        along(way(readme, 4));
        assertThat(page).hasURL(Pattern.compile(".*/fair.*"));
        page.navigate("/");
        along(way(readme, 5)[0]);
        assertThat(page.getByText(way(readme, 5)[1]).first()).isVisible();
    }
}
