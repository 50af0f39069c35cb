package elsom.core.audit;

import elsom.core.trial.ExperimentalUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Units that were lost, died, or were ended by hand. */
final class UnitsLost implements AuditRule {
    private static final double TENTH = 0.1;

    @Override
    public List<Fault> check(AuditCase trial) {
        Map<Integer, List<ExperimentalUnit>> units = trial.byTreatment();
        List<ExperimentalUnit> lost = trial.record().units().stream()
                .filter(unit -> trial.record().ended(unit.code()).isPresent())
                .toList();
        if (lost.isEmpty()) {
            return List.of();
        }
        List<Integer> halved = units.entrySet().stream()
                .filter(entry ->
                        2 * gone(trial, entry.getValue()) >= entry.getValue().size())
                .map(Map.Entry::getKey)
                .toList();
        boolean many = lost.size() > TENTH * trial.record().units().size();
        String seen = lost.size() + " of " + trial.record().units().size() + " units were lost"
                + (halved.isEmpty()
                        ? "."
                        : ", half or more of "
                                + halved.stream().map(trial::name).collect(Collectors.joining(", ")) + ".");
        return List.of(Fault.of(
                        FaultCode.LOST_UNITS,
                        halved.isEmpty() ? (many ? Grade.SHAKY : Grade.SOUND) : Grade.UNFAIR,
                        seen,
                        "If they were lost because of their treatment, what is left is the best of it.",
                        "Count what came through as an answer of its own, and repeat.")
                .pushing("What lost units looks better than it was.")
                .at(lost.stream().map(ExperimentalUnit::code).toList()));
    }

    private static long gone(AuditCase trial, List<ExperimentalUnit> units) {
        return units.stream()
                .filter(unit -> trial.record().ended(unit.code()).isPresent())
                .count();
    }
}
