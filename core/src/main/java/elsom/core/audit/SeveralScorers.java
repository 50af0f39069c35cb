package elsom.core.audit;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Scores by several stations. */
final class SeveralScorers implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.look().map(look -> check(trial, look)).orElse(List.of());
    }

    private static List<Fault> check(AuditCase trial, Look look) {
        Map<Boolean, Set<EndpointCode>> mixed = new TreeMap<>(Comparator.reverseOrder());
        trial.standing(look).stream()
                .filter(reading -> trial.scored().contains(reading.ref().endpoint()))
                .collect(Collectors.groupingBy(reading -> reading.ref().endpoint()))
                .forEach((endpoint, readings) -> Ties.of(trial, readings, Reading::station)
                        .filter(tie -> tie.levels() > 1)
                        .ifPresent(tie -> mixed.computeIfAbsent(tie.whole(), none -> new HashSet<>())
                                .add(endpoint)));
        return mixed.entrySet().stream()
                .map(entry -> Fault.of(
                                FaultCode.SEVERAL_SCORERS,
                                entry.getKey() ? Grade.UNFAIR : Grade.SHAKY,
                                trial.names(entry.getValue()) + ": scored at more than one station at “" + look.name()
                                        + "”" + (entry.getKey() ? ", each its own treatments." : "."),
                                "One pair of eyes gives more points than another.",
                                "One scorer for a look, or both score all units: “score again”.")
                        .of(entry.getValue()))
                .toList();
    }
}
