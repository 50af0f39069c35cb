package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import elsom.core.trial.ProtocolCode;
import java.util.List;

/** Days after a treatment with nothing untreated beside them: what a sowing would have done anyway is not known. */
final class NoUntreatedDay implements PlanRule {
    private static final ProtocolCode PLANT_BACK = new ProtocolCode("plant-back");

    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        List<Factor> factors = plan.treatments().factors();
        boolean days = plan.protocol().equals(PLANT_BACK)
                && factors.stream().anyMatch(factor -> factor.kind() == FactorKind.TIME && factor.measured());
        boolean untreated = factors.stream()
                .filter(factor -> factor.kind() != FactorKind.TIME)
                .anyMatch(factor -> factor.levels().stream().anyMatch(Factor.Level::control));
        if (days && !untreated) {
            noted.flag(
                    Flag.Severity.CAUTION,
                    "There is no untreated unit beside each day.",
                    "Seedlings differ from sowing to sowing, so no day can be called clean.",
                    "Add a second factor, as in “untreated, treated”, with untreated as its control.");
        }
    }
}
