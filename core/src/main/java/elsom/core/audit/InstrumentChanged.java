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

/** An endpoint that was read with one instrument in some treatments and with another in others. */
final class InstrumentChanged implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.look().map(look -> check(trial, look)).orElse(List.of());
    }

    private static List<Fault> check(AuditCase trial, Look look) {
        Map<Boolean, Set<EndpointCode>> mixed = new TreeMap<>(Comparator.reverseOrder());
        trial.standing(look).stream()
                .collect(Collectors.groupingBy(reading -> reading.ref().endpoint()))
                .forEach((endpoint, readings) -> Ties.of(trial, readings, Reading::instrument)
                        .filter(tie -> tie.levels() > 1)
                        .ifPresent(tie -> mixed.computeIfAbsent(tie.whole(), none -> new HashSet<>())
                                .add(endpoint)));
        return mixed.entrySet().stream()
                .map(entry -> Fault.of(
                                FaultCode.INSTRUMENT_CHANGED,
                                entry.getKey() ? Grade.UNFAIR : Grade.SOUND,
                                trial.names(entry.getValue()) + ": read in more than one way at “" + look.name() + "”"
                                        + (entry.getKey() ? ", each in its own treatments." : "."),
                                "Two instruments rarely agree; where each has its own treatments, they can't be told apart.",
                                "One instrument for a look, or each unit read with both.")
                        .of(entry.getValue()))
                .toList();
    }
}
