package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Trials;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** From what was stated to what became of it. */
class HypothesisJourneyIT extends PlanningTest {
    private static final double[] SCATTER = {0.3, -0.4, 0.1, 0.5, -0.5, 0};

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    private String typed(String... sentences) {
        page.locator("summary", new Page.LocatorOptions().setHasText("Type several at once"))
                .click();
        page.locator("#typed").fill(String.join("\n", sentences));
        button("Save and go on").click();
        return page.url();
    }

    private TrialId started(String replicates) {
        page.waitForURL("**/plan/size");
        page.locator("#replicates").fill(replicates);
        goOn("bench");
        goOn("dates");
        goOn("ready");
        follow("Go on: labels", "/plan/labels");
        follow("Go on: overview", "/plan");
        enter(button("Start the trial"));
        page.waitForURL("**/bench");
        return new TrialId(Long.parseLong(page.url().replaceAll(".*/trials/(\\d+)/bench.*", "$1")));
    }

    /** Reads an endpoint at its last look, where there is something to read. */
    private void read(TrialId id, String endpointCode, Function<ExperimentalUnit, OptionalDouble> value) {
        TrialRecord record = trials.snapshot(id);
        EndpointCode code = new EndpointCode(endpointCode);
        Endpoint endpoint = record.endpoint(code);
        Look look = record.looks().stream()
                .filter(one -> one.endpoints().contains(code))
                .reduce((a, b) -> b)
                .orElseThrow();
        Instant at = look.plannedAt(record.trial().start());
        List<NewReading> readings = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            for (int sub = 1; sub <= endpoint.readingsEach(); sub++) {
                ReadingRef ref = new ReadingRef(unit.code(), look.number(), code, sub);
                value.apply(unit)
                        .ifPresent(read -> readings.add(new NewReading(
                                ref,
                                read,
                                String.valueOf(read),
                                endpoint.unit(),
                                at,
                                at,
                                "Bench A",
                                Instrument.HAND,
                                null,
                                null,
                                UUID.randomUUID())));
            }
        }
        logbook.enterAll(id, readings);
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
        read(id, "fresh-mass", unit -> {
            double level = unit.treatment() > 8 ? (unit.treatment() == 12 ? 0 : 12) : 0;
            return OptionalDouble.of(40 + level + scatter(unit));
        });
        read(id, "height", unit -> OptionalDouble.of(30 + scatter(unit)));
        page.navigate("/trials/" + id + "/findings");
        page.waitForSelector(".drawn-contrasts svg");
        Locator answers = page.locator(".verdicts");
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
        page.getByLabel("Better direction of Height").selectOption("HIGHER");
        typed("Height: as good in bark as in coir, not worse by 2 cm");
        page.waitForURL("**/plan/treatments");
        assertThat(page.locator("[name='list[0].name']")).hasValue("coir");
        button("Save and go on").click();
        TrialId id = started("6");
        read(id, "height", unit -> OptionalDouble.of((unit.treatment() == 2 ? 19.5 : 20) + scatter(unit)));
        page.navigate("/trials/" + id + "/findings");
        page.waitForSelector(".drawn-contrasts svg");
        Locator first = page.locator(".verdicts li").first();
        assertThat(first).containsText("bark is as good as coir in height");
        assertThat(first).containsText("worse by 2.00 cm would matter");
        assertThat(first).containsText("Held: “Height: as good in bark as in coir, not worse by 2 cm or more?”");
        isAccessible();
    }
}
