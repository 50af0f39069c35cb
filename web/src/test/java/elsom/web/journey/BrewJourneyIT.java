package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** Brews from the recipe to findings, one of them stopped. */
@TestPropertySource(properties = "elsom.demo=true")
class BrewJourneyIT extends BrowserTest {
    @Autowired
    private TrialLists lists;

    @Autowired
    private Trials trials;

    @Autowired
    private Plans plans;

    /** The demo's plan of brews as a trial of its own: other tests look at the demo's. */
    private TrialId planned() {
        Plan demo = plans.plan(lists.search(Wanted.of("Air stone and kelp in an aerated extract"), 0, 10)
                .trials()
                .get(0)
                .id());
        Plan own = new Plan(
                demo.protocol(),
                new Asked(
                        "Journey: which brew?",
                        "",
                        demo.asked().questions(),
                        demo.asked().measures()),
                demo.treatments(),
                demo.pots(),
                demo.arrangement(),
                demo.schedule(),
                demo.rules(),
                null);
        return plans.begin(own, UUID.randomUUID());
    }

    @Test
    void fromTheRecipeToFindings() {
        open(1280, 800);
        TrialId id = planned();
        page.navigate("/trials/" + id + "/plan");
        link("Brews").click();
        link("Change the recipe").click();
        isGoodForAll();
        field("A line for each thing")
                .fill("water vitamin C, chlorine 0.8 mg/L\ncompost 15 g/L\nkelp 2 g/L in kelp\na handful of molasses");
        button("Keep the recipe").click();
        assertThat(page.locator(".notice.wrong")).containsText("“a handful of molasses” is not understood");
        field("A line for each thing")
                .fill("water vitamin C, chlorine 0.8 mg/L\ncompost 15 g/L\nkelp 2 g/L in kelp\nair 0.5 L/min per L");
        button("Keep the recipe").click();
        assertThat(page.locator(".recipes")).containsText("20 mg");
        page.navigate("/trials/" + id + "/plan");
        button("Start the trial").click();
        assertThat(page.locator(".about")).containsText("looks count from");
        visits(id);
        counts(id);
    }

    /** On a phone: the meter, a sour smell, the stop rule. */
    private void visits(TrialId id) {
        page.setViewportSize(360, 760);
        page.navigate("/trials/" + id + "/brews/log");
        isGoodForAll();
        String first = page.locator(".brew-tabs a").first().locator("b").textContent();
        page.locator("#oxygen").fill("5.2");
        page.getByLabel("sour, like vinegar").check();
        button("Write it down, and on to the next").click();
        Locator rule = page.locator(".stop-rule");
        assertThat(rule).containsText("Stop this brew?");
        assertThat(rule).containsText("5.2 mg/L");
        isGoodForAll();
        button("Stop it: onto the compost heap").click();
        assertThat(page.locator(".brew-tabs a").first()).containsText("stopped");
        page.locator(".brew-tabs a").nth(1).click();
        page.waitForURL("**unit=**");
        String visited = page.url().replaceAll(".*unit=", "");
        page.locator("#temperature").fill("70 F");
        page.getByLabel("earthy, like a wood").check();
        button("Write it down, and on to the next").click();
        assertThat(page.locator(".brew-tabs a[aria-current]")).not().containsText(first);
        link("All brews").click();
        page.locator(".brews input[value='" + visited + "']").check();
        button("Air off: the ticked brews are done").click();
        assertThat(page.locator(".use-by", new Page.LocatorOptions().setHasText("use by"))
                        .first())
                .isVisible();
        page.setViewportSize(1280, 800);
        page.navigate("/");
        assertThat(page.locator("main")).containsText("Use brew");
    }

    private void counts(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        StringBuilder table = new StringBuilder("Bucket;Fungi act.\n");
        List<Double> chance = List.of(0.9, 1.0, 1.1);
        for (ExperimentalUnit unit : record.units()) {
            boolean stone = record.treatment(unit).name().contains("stone");
            table.append(unit.code())
                    .append(';')
                    .append(Math.round(100 * (stone ? 4 : 1.5) * chance.get(unit.replicate() % 3)) / 100.0)
                    .append('\n');
        }
        page.navigate("/trials/" + id + "/brews/counts");
        field("The table").fill(table.toString());
        button("Enter the counts").click();
        page.getByLabel("Bucket", new Page.GetByLabelOptions().setExact(true)).selectOption("sample");
        page.getByLabel("Fungi act.", new Page.GetByLabelOptions().setExact(true))
                .selectOption("fungi");
        isGoodForAll();
        button("Enter the counts").click();
        assertThat(page.locator(".verdicts")).containsText("Air stone, stone: active fungi ×");
        assertThat(page.locator(".ratio.shown").first()).isVisible();
        assertThat(page.locator("[data-brews] svg")).isVisible();
        isGoodForAll();
        link("Findings").click();
        assertThat(page.locator("main")).containsText("ctive fungi");
    }
}
