package elsom.core.audit;

import elsom.core.trial.ExperimentalUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Treatments with many units beside ones with few. */
final class UnequalUnits implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        Map<Integer, List<ExperimentalUnit>> units = trial.byTreatment();
        int most = units.values().stream().mapToInt(List::size).max().orElse(0);
        int fewest = units.values().stream().mapToInt(List::size).min().orElse(0);
        if (fewest <= 1 || most == fewest) {
            return List.of();
        }
        String who = units.entrySet().stream()
                .filter(entry -> entry.getValue().size() == fewest)
                .map(entry -> trial.name(entry.getKey()))
                .collect(Collectors.joining(", "));
        return List.of(Fault.of(
                FaultCode.UNEQUAL_NUMBERS,
                most >= 2 * fewest ? Grade.SHAKY : Grade.SOUND,
                who + " has " + fewest + " units, others up to " + most + ".",
                "What is said of a treatment with few units rests on those few; the interval says so, a mean does not.",
                "As many of each; more of the control alone does no harm."));
    }
}
