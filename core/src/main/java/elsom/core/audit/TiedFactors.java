package elsom.core.audit;

import elsom.core.design.Association;
import elsom.core.plan.TreatmentAttributes;
import java.util.List;

/** Two things that change together over all treatments. */
final class TiedFactors implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return Association.tied(TreatmentAttributes.of(trial.plan())).stream()
                .map(tied -> Fault.of(
                        FaultCode.TIED_FACTORS,
                        Grade.UNFAIR,
                        "The " + tied.one().name() + " and the " + tied.other().name() + " change together.",
                        "Whatever came out, nobody can say which of the two did it.",
                        "Keep one the same for all, or add the treatments that have one without the other."))
                .toList();
    }
}
