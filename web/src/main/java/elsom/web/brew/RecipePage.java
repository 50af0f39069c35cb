package elsom.web.brew;

import elsom.core.brew.Recipe;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.quantity.Decimals;
import elsom.core.trial.TrialRecord;
import elsom.web.events.TrialEvent;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A recipe, and what it comes to in each treatment's vessel.
 *
 * @param begun whether brews were begun by it, so that a change is a correction with a reason
 * @param before what it said before it was corrected, with when, who and why, the first first
 * @param water what is done to tap water, as a sentence; empty where the recipe says nothing
 */
record RecipePage(
        TrialHeader header,
        String base,
        String text,
        boolean begun,
        String reason,
        List<String> problems,
        List<Before> before,
        UUID token,
        List<Sheet> sheets,
        String water,
        String warmth) {
    /** One treatment's vessel. */
    record Sheet(Swatch swatch, String litres, List<Recipe.SheetLine> lines) {}

    /** What is in the form. */
    record Typed(String text, boolean begun, String reason, List<String> problems) {}

    /** An earlier text. */
    record Before(String said, String text) {}

    /** That a recipe was corrected, as a sentence. */
    static String said(TrialRecord record, TrialEvent correction) {
        return "Corrected " + Times.dayAndTime(correction.at(), record.trial().zone()) + " by " + correction.station()
                + ", because: " + correction.reason() + ".";
    }

    static RecipePage of(TrialRecord record, Plan plan, Typed typed, List<TrialEvent> corrections, Instant now) {
        Recipe recipe = Recipe.kept(typed.text());
        return new RecipePage(
                TrialHeader.of(record, now, null),
                "/trials/" + record.trial().id() + "/brews",
                typed.text(),
                typed.begun(),
                typed.reason(),
                typed.problems(),
                corrections.stream()
                        .map(one -> new Before(said(record, one), one.was()))
                        .toList(),
                UUID.randomUUID(),
                sheets(record, plan, recipe),
                recipe.water().map(RecipePage::water).orElse(""),
                recipe.celsius().isPresent()
                        ? "Water at " + Decimals.upTo(recipe.celsius().getAsDouble(), 1) + " °C."
                        : "");
    }

    static List<Sheet> sheets(TrialRecord record, Plan plan, Recipe recipe) {
        List<Swatch> swatches = Swatch.of(record);
        List<PlannedTreatment> all = plan.treatments().all();
        List<Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < Math.min(all.size(), swatches.size()); i++) {
            double litres = plan.volumeMl(all.get(i)) / 1000;
            sheets.add(new Sheet(
                    swatches.get(i),
                    Decimals.upTo(litres, 1) + " L",
                    recipe.sheet(all.get(i).name(), litres)));
        }
        return sheets;
    }

    static String water(Recipe.Water water) {
        if (water.standsOnly()) {
            return "Let tap water stand " + Decimals.upTo(water.standHours(), 0)
                    + " h with air before the start. That takes chlorine"
                    + " away, not chloramine: ask your supplier which it is.";
        }
        return water.chlorineMgL() > 0
                ? "Ascorbic acid takes up chlorine and chloramine within minutes: 2.5 mg for each mg."
                : "Rain or well water: no chlorine to take away.";
    }
}
