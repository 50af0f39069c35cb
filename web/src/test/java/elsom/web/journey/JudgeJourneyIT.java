package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** From a plan to the report, for a factorial, for counts, and for scores. */
class JudgeJourneyIT extends PlanningTest {
    private static final double SMALLEST_ON_PAPER_PT = 8;

    /** Reads an endpoint of every unit, at each of its looks. */
    private void read(TrialId id, String endpointCode, ToDoubleFunction<ExperimentalUnit> value) {
        read(id, endpointCode, false, unit -> OptionalDouble.of(value.applyAsDouble(unit)));
    }

    private void findings(TrialId id) {
        page.navigate("/trials/" + id + "/findings");
        isAccessible();
        press("o");
        page.waitForSelector(".account .drawn-contrasts svg");
        isAccessible();
    }

    private void report(TrialId id, String sentence) {
        page.navigate("/trials/" + id + "/report");
        page.waitForSelector(".drawn-contrasts svg");
        assertThat(page.locator(".report")).containsText(sentence);
        assertThat(page.locator(".report")).containsText("Asked: ");
        isAccessible();
        TreeMap<Double, String> letters = Printed.letters(page.pdf(new Page.PdfOptions().setFormat("A4")));
        Assertions.assertThat(letters.firstKey())
                .as("the smallest letters on A4: %s", letters.firstEntry())
                .isGreaterThanOrEqualTo(SMALLEST_ON_PAPER_PT);
    }

    @Test
    void aFactorialSaysWhereTheDipHelps() {
        begin("Does a seaweed dip help roses, and in which medium?", "rose", "growth");
        matters("Fresh", "15 %");
        asGrid();
        factor(1, "Dip", "how it", "none, seaweed");
        factor(2, "Medium", "what", "leaf mould, rice hulls");
        assertThat(page.locator("#preview h2")).hasText("4 treatments");
        press("Enter");
        TrialId id = started("5");
        read(id, "fresh-mass", unit -> 40 + unit.replicate() % 3 * 0.7 + (unit.treatment() == 4 ? 25 : 0));
        findings(id);
        assertThat(page.locator(".answers")).containsText("Dip does not do the same everywhere");
        assertThat(page.locator(".drawn-interaction svg .cell-line")).hasCount(2);
        Locator first = page.locator("table[data-grid] a.figure[tabindex='0']");
        assertThat(first).hasCount(1);
        first.focus();
        press("ArrowDown");
        assertThat(page.locator("table[data-grid] tbody tr:nth-child(2) a.figure"))
                .isFocused();
        report(id, "Dip does not do the same everywhere");
    }

    @Test
    void countsAreJudgedByTheirTrays() {
        begin("Does a seaweed dip root more rosemary?", "rosemary", "cuttings");
        matters("20 %");
        tabTo(page.locator("input[name=as][value=list]"));
        tabTo(page.locator("[name='list[0].name']"));
        type("plain");
        tabTo(page.locator("[name='list[0].control']"));
        if (!page.locator("[name='list[0].control']").isChecked()) {
            press("Space");
        }
        tabTo(page.locator("[name='list[1].name']"));
        type("dipped");
        press("Enter");
        TrialId id = started("6");
        TrialRecord record = trials.snapshot(id);
        int plants = record.endpoint(new EndpointCode("rooted")).size();
        read(id, "rooted", unit -> unit.treatment() == 1 ? 1 + unit.replicate() % 2 : plants - unit.replicate() % 2);
        findings(id);
        assertThat(page.locator(".first-answer").first()).containsText("dipped did better than plain");
        assertThat(page.locator(".first-answer").first()).containsText("points (95 % interval");
        report(id, "dipped did better than plain");
    }

    @Test
    void scoresSayFromWhenOnADoseHarms() {
        begin("What strength of wood vinegar is safe for marigold?", "marigold", "dose-series");
        matters("1 point");
        assertThat(page.locator("input[name=as][value=grid]")).isChecked();
        factor(1, "Wood vinegar", "how much", "0, 0.5, 1, 2, 4 %");
        assertThat(page.locator("#preview h2")).hasText("5 treatments");
        press("Enter");
        TrialId id = started("6");
        TrialRecord record = trials.snapshot(id);
        read(id, "injury", unit -> new int[] {0, 0, 1, 4, 8}[unit.treatment() - 1] + unit.replicate() % 2);
        findings(id);
        assertThat(page.locator(".first-answer").first()).containsText("Wood vinegar, injury at day 10: harm from ");
        assertThat(page.locator(".answers")).containsText(Pattern.compile("worse: .*4 % \\(\\+\\d"));
        assertThat(page.locator(".comparisons .over-time"))
                .hasCount(record.looks().size() > 1 ? 1 : 0);
        page.locator(".comparisons .over-time summary").click();
        assertThat(page.locator(".over-time .tone.worse").first()).isVisible();
        curve(record);
        sheet();
        report(id, "harm from ");
    }

    /** Every unit is a point on the curve's chart, and the slider takes numbers and chart to another look. */
    private void curve(TrialRecord record) {
        assertThat(page.locator(".account .drawn-doses .dose-point"))
                .hasCount(record.units().size());
        assertThat(page.locator(".account .drawn-doses path.curve")).hasCount(1);
        Locator slider = page.locator(".look-slider input");
        slider.focus();
        press("Home");
        assertThat(page.locator(".look-slider output")).hasText("day 1");
        assertThat(page.locator(".account .drawn-doses svg"))
                .hasAttribute("aria-label", Pattern.compile("at day 1\\."));
        press("End");
        assertThat(page.locator(".account .drawn-doses svg"))
                .hasAttribute("aria-label", Pattern.compile("at day 10\\."));
    }

    /** From the strength to work with to a sheet of stock and water that can be printed. */
    private void sheet() {
        String rate =
                page.locator(".standing:not([hidden]) .lead dd:not(.hint)").textContent();
        page.reload();
        enter(page.locator(".doors a").getByText("Mix it"));
        page.waitForURL("**/mixing**");
        assertThat(page.locator(".mixing .result")).hasText(rate);
        isAccessible();
        page.locator("#volume").fill("plenty");
        page.locator("#factor").fill("4");
        enter(button("Work it out"));
        assertThat(page.locator(".mixing form")).containsText("No number in “plenty”");
        assertThat(page.locator(".mixing form")).containsText("Say why the factor is not 2");
        assertThat(page.locator("#volume")).hasValue("plenty");
        page.locator("#volume").fill("2 L");
        page.locator("#reason").fill("young plants");
        enter(button("Work it out"));
        assertThat(page.locator(".pour")).containsText("water = 2000 mL");
        assertThat(page.locator(".mixing")).containsText("Safety factor 4, because: young plants");
    }
}
