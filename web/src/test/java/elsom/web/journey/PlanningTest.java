package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
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
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Autowired;

/** A browser that plans a trial with the keyboard. */
abstract class PlanningTest extends BrowserTest {
    @Autowired
    protected Trials trials;

    @Autowired
    private Logbook logbook;

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

    /** Through the rest of the plan to a started trial. */
    protected TrialId started(String replicates) {
        page.waitForURL("**/plan/size");
        tabTo(page.locator("#replicates"));
        type(replicates);
        goOn("bench");
        goOn("dates");
        goOn("ready");
        follow("Go on: labels", "/plan/labels");
        follow("Go on: overview", "/plan");
        enter(button("Start the trial"));
        page.waitForURL("**/bench");
        return new TrialId(Long.parseLong(page.url().replaceAll(".*/trials/(\\d+)/bench.*", "$1")));
    }

    /**
     * Reads an endpoint of every unit.
     *
     * @param last at its last look only
     * @param value empty where it is not read
     */
    protected void read(
            TrialId id, String endpointCode, boolean last, Function<ExperimentalUnit, OptionalDouble> value) {
        TrialRecord record = trials.snapshot(id);
        EndpointCode code = new EndpointCode(endpointCode);
        Endpoint endpoint = record.endpoint(code);
        List<Look> looks = record.looks().stream()
                .filter(look -> look.endpoints().contains(code))
                .toList();
        List<NewReading> readings = new ArrayList<>();
        for (Look look : last ? looks.subList(looks.size() - 1, looks.size()) : looks) {
            Instant at = look.plannedAt(record.trial().start());
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
        }
        logbook.enterAll(id, readings);
    }
}
