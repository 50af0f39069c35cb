package elsom.core.audit;

import elsom.core.design.Association;
import elsom.core.plan.TreatmentAttributes;
import java.util.ArrayList;
import java.util.List;

/** Treatments that are compared stand in unlike containers, or are filled unlike. */
final class DifferentPots implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<Fault> faults = new ArrayList<>();
        boolean tied =
                Association.tied(TreatmentAttributes.of(trial.plan())).stream().anyMatch(pair -> pots(pair.other()));
        if (tied) {
            return faults;
        }
        TreatmentAttributes.beside(trial.plan()).stream()
                .filter(attribute -> pots(attribute) && attribute.varies())
                .forEach(attribute -> faults.add(Fault.of(
                                FaultCode.DIFFERENT_POTS,
                                Grade.SHAKY,
                                "Treatments do not all have the same " + attribute.name() + ": "
                                        + String.join(
                                                ", ",
                                                attribute.levels().stream()
                                                        .distinct()
                                                        .toList()) + ".",
                                "Depth decides how much water and air a medium holds, and room how much a root can grow.",
                                "Compare those in equal containers with each other, or make the container a factor.")
                        .pushing("The larger or deeper pot grows the larger plant and dries later.")));
        return faults;
    }

    private static boolean pots(Association.Attribute attribute) {
        return attribute.name().equals("container") || attribute.name().equals("filled depth");
    }
}
