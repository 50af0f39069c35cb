package elsom.core.audit;

import elsom.core.trial.Endpoint;
import java.util.List;

/** Many plants in one pot, and one pot of each: what looks like many is one. */
final class PlantsAsUnits implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        int plants = Math.max(
                trial.plan().pots().plants(),
                trial.record().endpoints().stream()
                        .mapToInt(Endpoint::readingsEach)
                        .max()
                        .orElse(1));
        boolean single = trial.byTreatment().values().stream().allMatch(units -> units.size() == 1);
        return plants > 1 && single && trial.compares()
                ? List.of(Fault.of(
                        FaultCode.PLANTS_AS_UNITS,
                        Grade.UNFAIR,
                        "The " + plants + " plants or readings of a treatment share one container.",
                        "They share its water, light and neighbours, so they are one replicate and not " + plants + ".",
                        "Spread them over several containers, and place those at random."))
                : List.of();
    }
}
