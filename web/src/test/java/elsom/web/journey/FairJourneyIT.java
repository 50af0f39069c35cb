package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** From a verdict to what caps it, shown on the map; and a claim held against pasted numbers. */
@TestPropertySource(properties = "elsom.demo=true")
class FairJourneyIT extends BrowserTest {
    @Test
    void aVerdictLeadsToTheFaultThatCapsItOnTheMap() {
        open(1280, 800);
        page.navigate("/trials");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Copied from an old notebook"))
                .first()
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Findings"))
                .first()
                .click();
        Locator cap = page.locator(".answers .cap").first();
        assertThat(cap).containsText("stand in one unit each");
        cap.getByText("Was it fair?").click();
        assertThat(page.locator(".fair-words")).containsText("It could not answer what it asked");
        assertThat(page.locator(".fair")).containsText("share one container");
        assertThat(page.locator(".fair")).containsText("Dried out: 1 unit.");
        isGoodForAll();
        page.getByText("show them on the map").first().click();
        assertThat(page.locator("#map")).containsText("Marked: Bag one, Bag two, Bag three stand in one unit each.");
        assertThat(page.locator("#map .unit.now")).hasCount(3);
        isGoodForAll();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Report"))
                .click();
        assertThat(page.locator(".report")).containsText("Was it fair?");
        assertThat(page.locator(".report")).containsText("Next time: Four units of each are a start");
    }

    @Test
    void aClaimIsHeldAgainstPastedNumbers() {
        open(1280, 800);
        page.navigate("/sums");
        page.getByText("Is the claim true?").click();
        page.getByLabel("What is claimed").fill("twice the roots");
        page.getByLabel("Numbers of what it praises").fill("13 12 14 13 12 14");
        page.getByLabel("Numbers of what it is held against").fill("10 9 11 10 10 9");
        page.getByText("Work it out").click();
        assertThat(page.locator("main")).containsText("Not supported. It is +32 %");
        isGoodForAll();
        page.getByLabel("Numbers of what it praises").fill("about ten");
        page.getByText("Work it out").click();
        assertThat(page.locator(".problem")).containsText("Accepted: 12.4 ± 2.1 n 8");
        assertThat(page.getByLabel("Numbers of what it praises")).hasValue("about ten");
    }
}
