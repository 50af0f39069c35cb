package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.web.tasting.Tastings;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** A triangle test handed round six tasters on a phone. */
@TestPropertySource(properties = "elsom.demo=true")
class TastingJourneyIT extends BrowserTest {
    private static final int TASTERS = 6;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Tastings tastings;

    @Test
    void aTriangleIsHandedRound() {
        open(360, 760);
        TrialId id = lists.search(Wanted.of("digestate"), 0, 10).trials().get(0).id();
        page.navigate("/trials/" + id + "/findings");
        link("Taste it blind").click();
        isGoodForAll();
        page.locator("input[value=TRIANGLE]").check();
        field("Tasters").fill("six");
        button("Begin the tasting").click();
        assertThat(page.locator(".notice.wrong")).containsText("Accepted: 12");
        field("Tasters").fill(String.valueOf(TASTERS));
        field("What is on the plates, a line each").fill("plain\n40 mL/L");
        button("Begin the tasting").click();
        assertThat(page.locator("h2").first()).hasText("Which is the odd one?");
        isGoodForAll();
        int number = tastings.of(id).get(0).number();
        List<List<Tasting.Plate>> served =
                tastings.session(id, number).tasting().served();
        link("Hand the phone round").click();
        for (int taster = 1; taster <= TASTERS; taster++) {
            assertThat(page.locator("h1")).hasText("This is for taster " + taster);
            link("I am ready").click();
            Locator plates = page.locator(".plate");
            assertThat(plates).hasCount(3);
            if (taster == 1) {
                isGoodForAll();
            }
            button(String.valueOf(Tasting.odd(served.get(taster - 1)).code())).click();
            assertThat(page.locator("h1")).hasText("Thank you");
            if (taster == 2) {
                button("I pressed the wrong one: again").click();
                button(String.valueOf(Tasting.odd(served.get(1)).code())).click();
            }
            button("Next taster").click();
        }
        assertThat(page.locator("h1")).hasText("All have tasted");
        link("What they said").click();
        assertThat(page.locator(".verdicts")).containsText("They can taste a difference");
        assertThat(page.locator(".chose")).hasCount(TASTERS);
        isGoodForAll();
    }

    /** From best to worst, a plate at a time; the last falls into its place. */
    @Test
    void aRankingIsTappedInOrder() {
        open(360, 760);
        TrialId id = lists.search(Wanted.of("rosemary"), 0, 10).trials().get(0).id();
        page.navigate("/trials/" + id + "/tasting");
        page.locator("input[value=RANKING]").check();
        field("Tasters").fill("1");
        field("What is on the plates, a line each").fill("plain\nweak\nstrong");
        button("Begin the tasting").click();
        link("Hand the phone round").click();
        link("I am ready").click();
        assertThat(page.locator("h1")).hasText("Which do you like best?");
        page.locator(".plate").nth(1).click();
        assertThat(page.locator("h1")).hasText("Of those left: which do you like best?");
        assertThat(page.locator(".plate")).hasCount(2);
        assertThat(page.locator(".palate")).isVisible();
        isGoodForAll();
        page.locator(".plate").first().click();
        assertThat(page.locator("h1")).hasText("Thank you");
        button("Next taster").click();
        link("What they said").click();
        assertThat(page.locator(".verdicts")).containsText("One taster’s vote is not a panel.");
    }

    /** Nine points, and what each plate is called stays hidden. */
    @Test
    void likingIsScoredPlateByPlate() {
        open(360, 760);
        TrialId id = lists.search(Wanted.of("rosemary"), 0, 10).trials().get(0).id();
        page.navigate("/trials/" + id + "/tasting");
        page.locator("input[value=LIKING]").check();
        field("Tasters").fill("6");
        field("What is on the plates, a line each").fill("plain\nstrong");
        button("Begin the tasting").click();
        link("Hand the phone round").click();
        for (int taster = 1; taster <= TASTERS; taster++) {
            link("I am ready").click();
            for (int plate = 1; plate <= 2; plate++) {
                assertThat(page.locator(".plate-code")).containsText(plate + " of 2");
                assertThat(page.locator("main")).not().containsText("strong");
                page.locator(".nine button").nth(plate == 1 ? 1 : 3).click();
            }
            button("Next taster").click();
        }
        link("What they said").click();
        assertThat(page.locator(".verdicts")).containsText("The place on the tray told");
        assertThat(page.locator("[data-points] svg .point")).hasCount(2 * TASTERS);
        isGoodForAll();
    }
}
