package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import elsom.core.quantity.Dimension;

/** A dose that is a share of a stock means as much as the stock is strong. */
final class StockUnnamed implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        plan.treatments().factors().stream()
                .filter(factor -> factor.kind() == FactorKind.DOSE
                        && factor.measured()
                        && factor.unit().dimension() == Dimension.FRACTION
                        && factor.stock() == null)
                .forEach(factor -> noted.flag(
                        Flag.Severity.NOTE,
                        "How strong the stock of “" + factor.name() + "” is isn't written.",
                        "A share of it means nothing for another bottle, and what acts can't be told.",
                        "Write what its label says, such as 25 % acidity, or what it is, such as undiluted, batch 3."));
    }
}
