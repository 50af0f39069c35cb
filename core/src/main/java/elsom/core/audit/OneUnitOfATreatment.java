package elsom.core.audit;

import elsom.core.trial.ExperimentalUnit;
import java.util.List;
import java.util.stream.Collectors;

/** A treatment that stands in one unit only. */
final class OneUnitOfATreatment implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<ExperimentalUnit> alone = trial.byTreatment().values().stream()
                .filter(units -> units.size() == 1)
                .map(units -> units.get(0))
                .toList();
        if (alone.isEmpty() || !trial.compares()) {
            return List.of();
        }
        String who = alone.stream().map(unit -> trial.name(unit.treatment())).collect(Collectors.joining(", "));
        return List.of(Fault.of(
                        FaultCode.ONE_UNIT,
                        Grade.UNFAIR,
                        who + (alone.size() == 1 ? " stands" : " stand") + " in one unit each.",
                        "Two pots of the same treatment differ too. With one of each nobody can say how much, so no difference"
                                + " can be told from chance.",
                        "Four units of each are a start; “How many” says what they could show.")
                .at(alone.stream().map(ExperimentalUnit::code).toList()));
    }
}
