package elsom.core.brew;

import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Recurring;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Feeding again as steps of the plan, so that it comes up on Today: so long after each brew's own start. */
public final class Refeeding {
    private static final String BEGINS = "Feed again: ";

    private Refeeding() {}

    /** The plan with the steps of a recipe in place of those of the recipe before; its own steps stay. */
    public static Plan in(Plan plan, Recipe recipe) {
        List<Recurring> steps = new ArrayList<>(plan.schedule().steps().stream()
                .filter(step -> !step.note().startsWith(BEGINS))
                .toList());
        Map<Duration, List<String>> feedings = new TreeMap<>();
        List<PlannedTreatment> all = plan.treatments().all();
        for (int i = 0; i < all.size(); i++) {
            Instant begun = plan.schedule().startOf(i + 1);
            Duration apart = Duration.between(plan.schedule().start(), begun);
            for (Recipe.Ingredient one : recipe.ingredients()) {
                if (one.afterHours() > 0 && one.in(all.get(i).name())) {
                    feedings.computeIfAbsent(
                                    apart.plusMinutes(Math.round(one.afterHours() * 60)), at -> new ArrayList<>())
                            .add(one.name() + " to " + all.get(i).name());
                }
            }
        }
        feedings.forEach((at, what) -> {
            if (steps.size() < Recurring.MOST) {
                String note = BEGINS + String.join(", ", what);
                steps.add(new Recurring(
                        Recurring.Kind.FEED,
                        note.substring(0, Math.min(Recurring.LONGEST_NOTE, note.length())),
                        at,
                        Duration.ZERO,
                        at));
            }
        });
        return plan.with(plan.schedule()
                .with(plan.schedule().looks(), steps, plan.schedule().hours()));
    }
}
