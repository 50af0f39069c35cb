package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Level 1 from the plan to the truth, with the keyboard only. */
class PracticeJourneyIT extends BrowserTest {
    @Test
    void levelOneFromPlanToTruth() {
        open(1280, 800);
        page.navigate("/");
        enter(link("Practice"));
        assertThat(page.locator(".levels li")).hasCount(10);
        isGoodForAll();
        enter(page.locator("ol")
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName("One pot each").setExact(true)));
        assertThat(page.locator("h1")).hasText("One pot each");
        isGoodForAll();
        enter(button("Begin this bench"));
        assertThat(page.locator(".spending")).containsText("2 of 30");
        isGoodForAll();
        enter(link("Units"));
        assertThat(page.locator(".practice-edge")).containsText("One pot each");
        tabTo(page.locator("#replicates"));
        type("12");
        press("Enter");
        page.waitForURL("**/plan/bench");
        enter(page.locator(".practice-edge a"));
        assertThat(page.locator(".spending")).containsText("24 of 30");
        enter(button("Start the bench"));
        for (int look = 0; look < 4; look++) {
            enter(page.locator("button", new Page.LocatorOptions().setHasText("and read it")));
        }
        assertThat(page.locator("main")).containsText("Make the call");
        assertThat(page.locator(".map .unit")).hasCount(24);
        isGoodForAll();
        enter(link("its findings"));
        assertThat(page.locator(".answers")).containsText("Mix B");
        enter(page.locator(".practice-edge a"));
        tabTo(page.locator("input[name=call]").first());
        press("Space");
        tabTo(page.locator("#sure"));
        press("ArrowRight");
        assertThat(page.locator("output[for=sure]")).hasText("80 %");
        enter(button("Say so, and see the truth"));
        assertThat(page.locator(".truth-words")).containsText("Plants with");
        assertThat(page.locator(".truth-mark")).hasCount(2);
        isGoodForAll();
        enter(page.locator("[data-run]"));
        assertThat(page.locator(".what-if-chart .rerun-share.hit").first()).isVisible();
        enter(page.locator("[data-stop]"));
        assertThat(page.locator("[data-run]")).isEnabled();
        isAccessible();
        enter(link("Next level: Light from one side"));
        assertThat(page.locator("h1")).hasText("Light from one side");
    }
}
