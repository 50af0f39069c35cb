package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import elsom.core.formula.Formula;
import elsom.core.plan.APlan;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Measure;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.WholeTrial;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** From what was stated to what became of it. */
class HypothesisJourneyIT extends PlanningTest {
    private static final double[] SCATTER = {0.3, -0.4, 0.1, 0.5, -0.5, 0};

    private String typed(String... sentences) {
        page.locator("summary", new Page.LocatorOptions().setHasText("Type several at once"))
                .click();
        page.locator("#typed").fill(String.join("\n", sentences));
        button("Save and go on").click();
        return page.url();
    }

    /** A trial as it was planned and read, in the store. */
    private String kept(Plan plan, TrialRecord record) {
        return "/trials/" + trials.create(new WholeTrial(record, plan, List.of()), UUID.randomUUID());
    }

    private static double scatter(ExperimentalUnit unit) {
        return SCATTER[(unit.replicate() * unit.treatment()) % SCATTER.length];
    }

    @Test
    void fourHypothesesOverFourCropsEndHeldNotHeldOrOpen() {
        begin("Does biochar help, and in which crop?", "four crops", "growth");
        page.navigate(page.url() + "/plan/treatments");
        asGrid();
        factor(1, "Biochar", "how much", "0, 5, 10 %");
        factor(2, "Crop", "what", "pea, barley, lettuce, cress");
        press("Enter");
        page.waitForURL("**/plan/size");
        page.navigate(page.url().replace("/plan/size", "/plan/question"));
        typed("Fresh mass: higher in 10 % than in 7 %", "Colour: higher in 10 % than in 0 %");
        Locator problem = page.locator(".problem", new Page.LocatorOptions().setHasText("Line 1"));
        assertThat(problem).containsText("Accepted: 0 %, 5 %, 10 %");
        assertThat(problem).containsText("Line 2: “Colour");
        assertThat(page.locator("#typed"))
                .hasValue("Fresh mass: higher in 10 % than in 7 %\nColour: higher in 10 % than in 0 %");
        isAccessible();
        page.locator("#typed")
                .fill("Fresh mass: higher in 10 % than in 0 %, in each crop and over all, by 2 g\n"
                        + "Fresh mass: higher in 5 % than in 0 %, by 2 g\n"
                        + "Height: at least 30 cm in every treatment\n"
                        + "Leaves: higher in 10 % than in 0 %");
        button("Save and go on").click();
        page.waitForURL("**/plan/treatments");
        page.navigate(page.url().replace("/plan/treatments", "/plan/question"));
        assertThat(page.locator(".comparisons .says").first())
                .hasText("Fresh mass: higher in 10 % than in 0 %, in each crop and over all, by 2 g or more?");
        isGoodForAll();
        page.navigate(page.url().replace("/plan/question", "/plan/size"));
        TrialId id = started("6");
        // Treatments run crop by crop within each level: 0 % is A to D, 5 % E to H, 10 % I to L.
        read(id, "fresh-mass", true, unit -> {
            double level = unit.treatment() > 8 ? (unit.treatment() == 12 ? 0 : 12) : 0;
            return OptionalDouble.of(40 + level + scatter(unit));
        });
        read(id, "height", true, unit -> OptionalDouble.of(30 + scatter(unit)));
        page.navigate("/trials/" + id + "/findings");
        page.waitForSelector(".drawn-contrasts svg");
        Locator answers = page.locator(".answers");
        assertThat(answers)
                .containsText("Held over all, in pea, in barley, in lettuce; not held in cress: “Fresh mass");
        assertThat(answers).containsText("Not held in all 5: “Fresh mass: higher in 5 % than in 0 %");
        assertThat(answers).containsText("can't tell: ");
        assertThat(answers).containsText("Can't tell yet about leaves: it has not been read.");
        isGoodForAll();
        page.navigate("/trials/" + id + "/report");
        assertThat(page.locator(".report"))
                .containsText("Held over all, in pea, in barley, in lettuce; not held in cress");
        isAccessible();
    }

    @Test
    void theCheapOneIsAsGoodAsTheDearOne() {
        begin("Is bark as good as coir?", "marigold", "growth");
        page.navigate(page.url() + "/plan/question");
        page.getByText("Rules, who measures, which way is better").click();
        page.getByLabel("Better direction of Height").selectOption("HIGHER");
        typed("Height: as good in bark as in coir, not worse by 2 cm");
        page.waitForURL("**/plan/treatments");
        assertThat(page.locator("[name='list[0].name']")).hasValue("coir");
        button("Save and go on").click();
        TrialId id = started("6");
        read(id, "height", true, unit -> OptionalDouble.of((unit.treatment() == 2 ? 19.5 : 20) + scatter(unit)));
        page.navigate("/trials/" + id + "/findings");
        page.waitForSelector(".drawn-contrasts svg");
        Locator first = page.locator(".first-answer").first();
        assertThat(first).containsText("bark is as good as coir in height");
        assertThat(first).containsText("worse by 2.00 cm would matter");
        assertThat(first).containsText("Held: “Height: as good in bark as in coir, not worse by 2 cm or more?”");
        isAccessible();
    }

    /** 5 % looks harmless until day 5, 10 % kills all, and one pot of the control was overlooked at the end. */
    @Test
    void aDrenchThatKillsAtTheTopAndHurtsLate() {
        Plan plan = APlan.of("dose-series")
                .factors(APlan.doses(null, null, 0, 1, 5, 10))
                .replicates(6)
                .asking(new Question(
                        List.of(), 0, EndpointCode.INJURY, Direction.HIGHER, 2, false, Stated.BEFORE_START))
                .plan();
        Measured made = Measured.started(plan);
        List<Look> looks = made.record().looks();
        for (Look look : looks) {
            boolean late = look.afterStart().toDays() > 5;
            for (ExperimentalUnit unit : made.record().units()) {
                boolean overlooked =
                        look.equals(looks.get(looks.size() - 1)) && unit.treatment() == 1 && unit.replicate() == 6;
                if (unit.treatment() < 4 && !overlooked) {
                    double injury = (unit.treatment() == 3 && late ? 6 : 0) + unit.replicate() % 2;
                    made.add(unit, look, "injury", 1, injury);
                }
            }
        }
        for (int i = 1; i <= 6; i++) {
            made.end(MishapKind.DIED, made.unit(4, i), looks.get(1));
        }
        page(kept(plan, made.record()));
        Locator answers = page.locator(".answers");
        assertThat(answers).containsText("6 of 6 in 10");
        assertThat(answers).containsText("harm from 5 % on, none shown up to 1 %");
        assertThat(answers).containsText("worse from day 7 on. A trial that ended at day 5 would have said");
        assertThat(answers).containsText("23 of 24 read; " + made.unit(1, 6).code() + " is missing");
        assertThat(page.locator("main")).not().containsText("up to 10 %");
        isAccessible();
    }

    @Test
    void aHeightThatOneTreatmentNeverReaches() {
        APlan begun = APlan.ofGrowth().list("none", "drench").replicates(6);
        List<Measure> measures = new ArrayList<>(begun.plan().asked().measures());
        EndpointCode tall = new EndpointCode("tall");
        measures.add(Measure.worked(
                tall, "Days to 9 cm", new Formula("days-to(height, 9 cm)"), UnitOfMeasure.DAY, 1, Direction.LOWER));
        Question slower = new Question(List.of(2), 1, tall, Direction.HIGHER, 2, false, Stated.BEFORE_START);
        Plan plan = begun.plan().with(new Asked("Does it slow them?", "", List.of(slower), measures));
        Measured made = Measured.started(plan);
        for (Look look : made.record().looks()) {
            for (ExperimentalUnit unit : made.record().units()) {
                for (int sub = 1; sub <= 3 && look.endpoints().contains(new EndpointCode("height")); sub++) {
                    double grown = look.afterStart().toDays() * (unit.treatment() == 1 ? 0.6 : 0.2);
                    made.add(unit, look, "height", sub, 1 + grown + 0.1 * unit.replicate());
                }
            }
        }
        String trial = kept(plan, made.record());
        page(trial);
        Locator first = page.locator(".first-answer").first();
        assertThat(first).containsText("drench: none of 6 by then; none at ");
        assertThat(first).containsText("Held: “Days to 9 cm: higher in drench than in none, by 2 days or more?”");
        for (String other : List.of("/fair", "/next", "/report")) {
            page.navigate(trial + other);
            isAccessible();
        }
    }

    private void page(String trial) {
        open(1280, 800);
        page.navigate(trial + "/findings");
        page.waitForSelector(".first-answer");
    }
}
