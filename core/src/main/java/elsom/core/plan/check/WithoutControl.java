package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;

/** Nothing says what would have happened anyway. */
final class WithoutControl implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        if (plan.treatments().all().stream().noneMatch(PlannedTreatment::isControl)) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    "There is no control.",
                    "Without one, nothing says what would have happened anyway.",
                    "Mark the treatment the others are compared with, or add an untreated one.");
        }
        if (plan.treatments().all().size() == 1) {
            noted.flag(
                    Flag.Severity.WRONG,
                    "There is one treatment only.",
                    "One alone is better or worse than nothing.",
                    "Add what you would use otherwise.");
        }
    }
}
