package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** A page that takes a while: the one it was asked from says so until it comes. */
@TestPropertySource(properties = "elsom.demo=true")
class SlowPageIT extends BrowserTest {
    @Test
    void saysThatItIsWorking() {
        open(1280, 800);
        page.navigate("/trials");
        AtomicReference<@Nullable Route> held = new AtomicReference<>();
        page.route("**/trials/1", held::set);
        // The answer comes once the page has said that it is working.
        List<Object> said = new ArrayList<>();
        page.exposeFunction("said", words -> {
            said.add(words[0]);
            Objects.requireNonNull(held.get()).resume();
            return null;
        });
        page.evaluate("""
                new MutationObserver(() => {
                  const bar = document.getElementById('taking-long');
                  if (bar) window.said(bar.textContent);
                }).observe(document.body, { childList: true })""");
        assertThat(page.locator("#taking-long")).hasCount(0);
        page.evaluate("document.querySelector('a[href=\"/trials/1\"]').click()");
        page.waitForURL(url -> url.endsWith("/trials/1"));
        assertThat(page.locator("#taking-long")).hasCount(0);
        assertThat(said).first().isEqualTo("Working it out …");
    }
}
