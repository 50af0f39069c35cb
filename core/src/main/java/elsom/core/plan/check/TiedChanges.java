package elsom.core.plan.check;

import elsom.core.design.Association;
import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.TreatmentAttributes;
import elsom.core.quantity.Sentence;

/** Two things that change together can not be told apart. */
final class TiedChanges implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        for (Association.Tied tied : Association.tied(TreatmentAttributes.of(plan))) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    Sentence.capital(tied.one().name()) + " and " + tied.other().name() + " change together.",
                    "Whatever comes out, you can't say which of the two did it.",
                    "Keep one the same, or add the treatments that have one without the other.");
        }
    }
}
