package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** At the bench with a phone: narrow, and with a connection that comes and goes. */
@TestPropertySource(properties = "elsom.demo=true")
class PhoneIT extends BrowserTest {
    private String codeNow() {
        return page.locator("#unit-code").textContent();
    }

    private void openTheBench() {
        open(360, 740);
        page.navigate("/");
        page.getByText("Go on weighing").click();
        if (page.locator("#station-name").isVisible()) {
            page.getByText("Keep it").click();
        }
        assertThat(page.locator("#station-name")).hasCount(0);
    }

    @Test
    void everythingNeededIsOnTheFirstScreen() {
        openTheBench();
        isAccessible();
        int wide = (Integer) page.evaluate("document.documentElement.scrollWidth");
        assertThat(wide).isLessThanOrEqualTo(360);
        BoundingBox save = page.locator("#save").boundingBox();
        assertThat(save.y + save.height).isLessThan(740);
        assertThat(save.height).isGreaterThanOrEqualTo(44);
        String code = codeNow();
        page.locator("#value").fill("200.4");
        page.locator("#save").click();
        page.waitForCondition(
                () -> !codeNow().equals(code) || page.locator("#asked").isVisible());
        page.navigate("/");
        isAccessible();
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(360);
    }

    @Test
    void aDroppedConnectionLosesNothing() {
        openTheBench();
        String first = codeNow();
        page.locator("#value").fill("201.1");
        context().setOffline(true);
        page.locator("#save").click();
        assertThat(page.locator("#net")).containsText("One reading waits");
        assertThat(page.locator("#unit-code")).not().hasText(first);
        String second = codeNow();
        page.locator("#value").fill("202.2");
        page.locator("#save").click();
        assertThat(page.locator("#net")).containsText("2 readings wait");
        assertThat(page.locator("#unit-code")).not().hasText(second);
        page.locator("#value").fill("203.3");
        String third = codeNow();
        forgetComplaints();

        context().setOffline(false);
        assertThat(page.locator("#net")).isHidden();
        assertThat(page.locator(".unit[data-unit='" + first + "'] text.face")).hasText("201.1");
        assertThat(page.locator(".unit[data-unit='" + second + "'] text.face")).hasText("202.2");
        page.reload();
        page.locator(".unit[data-unit='" + third + "']").dispatchEvent("click");
        assertThat(page.locator("#value")).hasValue("203.3");
        assertThat(page.locator(".unit[data-unit='" + first + "'] text.face")).hasText("201.1");
        forgetComplaints();
    }

    @Test
    void everyTroubleOfTheScaleSaysWhatToDo() {
        openTheBench();
        String code = codeNow();
        for (String[] trouble :
                new String[][] {{"UNPLUGGED", "plugged in"}, {"OVERLOADED", "Take it off"}, {"UNSTEADY", "hands off"}
                }) {
            page.locator("#fault").selectOption(trouble[0]);
            page.locator("#take").click();
            assertThat(page.locator("#scale-says")).containsText(trouble[1]);
        }
        assertThat(page.locator("#unit-code")).hasText(code);
        page.locator("#fault").selectOption("NONE");
        assertThat(page.locator("#scale-says")).containsText("working");
        isAccessible();
    }
}
