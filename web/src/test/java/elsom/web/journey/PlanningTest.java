package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import java.util.regex.Pattern;

/** A browser that plans a trial with the keyboard. */
abstract class PlanningTest extends BrowserTest {
    protected void begin(String question, String crop, String protocol) {
        open(1280, 800);
        page.navigate("/trials/new");
        tabTo(page.locator("#question"));
        isAccessible();
        type(question);
        press("Tab");
        type(crop);
        press("Tab");
        Locator wanted = page.locator("input[name=protocol][value=" + protocol + "]");
        while (!wanted.isChecked()) {
            press("ArrowDown");
        }
        press("Enter");
        page.waitForURL(Pattern.compile(".*/trials/\\d+$"));
        isAccessible();
    }

    /** States the smallest difference that would matter, of the first endpoint. */
    protected void matters(String difference) {
        matters("", difference);
    }

    /** States the smallest difference that would matter, of an endpoint by its name; of the first one for none. */
    protected void matters(String endpoint, String difference) {
        tabTo(field("Endpoint of comparison 1"));
        if (endpoint.isEmpty()) {
            press("ArrowDown");
        } else {
            typeOn(endpoint);
        }
        tabTo(field("Difference that would matter in comparison 1"));
        type(difference);
        press("Enter");
        page.waitForURL("**/plan/treatments");
    }

    protected void asGrid() {
        Locator grid = page.locator("input[name=as][value=grid]");
        if (!grid.isChecked()) {
            tabTo(page.locator("input[name=as][value=list]"));
            press("ArrowUp");
        }
        assertThat(page.locator("#as-grid")).isVisible();
    }

    protected void factor(int number, String name, String kind, String levels) {
        tabTo(field("Factor " + number));
        type(name);
        press("Tab");
        typeOn(kind);
        press("Tab");
        type(levels);
    }
}
