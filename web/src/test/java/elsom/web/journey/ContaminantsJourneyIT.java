package elsom.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.LocalDate;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is planned by somebody who has never done it, and read with gaps, comes to a line that hurts nobody. */
class ContaminantsJourneyIT extends PlanningTest {
    private static double dose(TrialRecord record, ExperimentalUnit unit) {
        return Double.parseDouble(record.treatment(unit).name().split(" ")[0]);
    }

    private void listed(int line, String name, boolean control) {
        page.locator("[name='list[" + line + "].name']").fill(name);
        page.locator("[name='list[" + line + "].control']").setChecked(control);
    }

    private void goOnTo(String part) {
        page.locator("main button.is-primary").first().click();
        page.waitForURL("**/plan/" + part);
    }

    /** Through the plan to a trial that began so many days ago. */
    private TrialId begun(String replicates, int daysAgo) {
        page.waitForURL("**/plan/size");
        page.locator("#replicates").fill(replicates);
        goOnTo("bench");
        goOnTo("dates");
        page.locator("#start").fill(LocalDate.now().minusDays(daysAgo) + "T09:00");
        goOnTo("ready");
        String trial = page.url().replaceAll(".*/trials/(\\d+)/.*", "$1");
        page.navigate("/trials/" + trial + "/plan");
        button("Start the trial").click();
        page.waitForURL("**/bench");
        return new TrialId(Long.parseLong(trial));
    }

    private String answer(TrialId id) {
        page.navigate("/trials/" + id + "/findings");
        isAccessible();
        return page.locator(".first-answer").first().textContent();
    }

    /** Four pots in all; of the lot one was never read, of the clean medium one is dead. */
    @Test
    void aBeginnersFourPotsAreNoAllClear() {
        begin("Is GW-50 safe for peas?", "pea", "seedling-injury");
        matters("2");
        listed(0, "leaf mould", true);
        listed(1, "GW-50", false);
        goOnTo("size");
        TrialId id = begun("2", 22);
        TrialRecord record = trials.snapshot(id);
        read(id, "injury", true, unit -> {
            boolean first = unit.replicate() == 1;
            return record.treatment(unit).isControl()
                    ? OptionalDouble.of(first ? 0 : 10)
                    : first ? OptionalDouble.of(1) : OptionalDouble.empty();
        });
        assertSays(
                answer(id),
                "Find out before it is used.",
                "the control failed: clean medium must leave plants next to unharmed",
                "What strikes the clean medium too is no lot's");
        assertThat(page.locator("main")).not().containsText("Nothing here points to a contaminant");
    }

    /** Injury grows until day 10, and weight falls sooner: no rate on the way, one at the end, the least. */
    @Test
    void aDrenchToDayTenHasOneRate() {
        begin("What strength of wood vinegar is safe for marigold plugs?", "marigold", "dose-series");
        matters("2");
        asGrid();
        factor(1, "Wood vinegar", "how much", "0, 0.5, 1, 2, 4 %");
        press("Enter");
        TrialId id = begun("5", 11);
        TrialRecord record = trials.snapshot(id);
        read(id, "injury", true, unit -> {
            double dose = dose(record, unit);
            return OptionalDouble.of(dose >= 2 ? 5 + unit.replicate() % 2 : unit.replicate() % 2);
        });
        read(
                id,
                "fresh-mass",
                true,
                unit -> OptionalDouble.of(20 - 4 * dose(record, unit) + 0.2 * (unit.replicate() % 3 - 1)));
        String said = answer(id);
        assertSays(said, "at day 10: harm from 2 % on, none shown up to 1 %");
        assertThat(page.getByText(Pattern.compile("^To work with: .* at most"))).hasCount(1);
    }

    @Test
    void aPlantBackWithoutACleanPotHasNoDay() {
        begin("When is it safe to sow phacelia after the spray?", "phacelia", "plant-back");
        matters("1");
        asGrid();
        factor(1, "Sown after", "how long", "0, 4, 8, 12 d");
        press("Enter");
        TrialId id = begun("4", 40);
        page.navigate("/trials/" + id + "/plan");
        assertThat(page.locator("main")).containsText("untreated");
        TrialRecord record = trials.snapshot(id);
        read(id, "injury", false, unit -> OptionalDouble.of(Math.max(0, 9 - dose(record, unit) / 2)));
        String said = answer(id);
        assertSays(said, "untreated");
        assertThat(page.locator(".first-answer").first()).not().containsText(Pattern.compile("day [0-9.]+ \\("));
    }

    /** Jars of a limy compost with sulfur: too early after four weeks, by purity at eight, and no word of lime. */
    @Test
    void sulfurIsByPurityAndTime() {
        begin("How much sulfur for municipal compost under rosemary?", "rosemary", "sulfur");
        page.locator("main button.is-primary").first().click();
        page.waitForURL("**/plan/treatments");
        asGrid();
        factor(1, "Elemental sulfur", "how much", "0, 0.5, 1, 2, 3 g/L");
        press("Enter");
        TrialId id = begun("3", 57);
        TrialRecord record = trials.snapshot(id);
        read(
                id,
                "ph",
                false,
                unit -> OptionalDouble.of(
                        Math.round(100 * (7.6 - 0.5 * dose(record, unit) + 0.02 * unit.replicate())) / 100.0));
        assertSays(answer(id), "Elemental sulfur takes the medium from pH");
        link("For another pH").click();
        assertThat(page.locator("h2").first()).containsText("Sulfur for a pH");
        page.locator("#target").fill("6.8");
        page.locator("#tested").fill("90");
        page.locator("#used").fill("99");
        button("Work it out").click();
        // 1.6 g/L of 90 % (pH 7.64 − 0.5 g) is 1.53 of 99 %
        assertThat(page.locator(".result")).containsText("1.53 g/L");
        assertThat(page.locator("main")).containsText("Sulfur dust irritates eyes and lungs");
        assertThat(page.locator("main")).not().containsText(Pattern.compile("CaCO|[Ll]ime dust"));
        isAccessible();
        page.locator("#used").fill("135");
        button("Work it out").click();
        assertThat(page.locator("main")).containsText("from 1 to 100 %");
    }

    private static void assertSays(String said, String... parts) {
        org.assertj.core.api.Assertions.assertThat(said).contains(parts);
    }
}
