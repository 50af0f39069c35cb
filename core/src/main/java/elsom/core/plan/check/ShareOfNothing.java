package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import java.util.List;

/** A share of a mix needs the rest of it. */
final class ShareOfNothing implements PlanRule {
    @Override
    public boolean ofTreatments() {
        return true;
    }

    @Override
    public void check(Plan plan, Noted noted) {
        List<Factor> shares = plan.treatments().factors().stream()
                .filter(factor -> factor.kind() == FactorKind.SHARE)
                .toList();
        boolean material =
                plan.treatments().factors().stream().anyMatch(factor -> factor.kind() == FactorKind.MATERIAL);
        if (!shares.isEmpty() && (plan.treatments().base().isBlank() || !material)) {
            noted.flag(
                    Flag.Severity.WRONG,
                    "“" + shares.get(0).name() + "” is a share of a mix, yet "
                            + (material ? "nothing says what the rest of it is." : "no factor says of which material."),
                    "Units would be filled with the pure material, or with none of it.",
                    material
                            ? "Write the base medium, such as leaf mould."
                            : "Add a factor about what it is made of, or name the factor a dose.");
        }
        if (shares.stream()
                .flatMap(factor -> factor.levels().stream())
                .anyMatch(level -> level.amount() != null && level.amount() > 100)) {
            noted.flag(
                    Flag.Severity.WRONG,
                    "A share of a mix is above 100 %.",
                    "There is no more of it than all.",
                    "Write shares from 0 to 100 %.");
        }
    }
}
