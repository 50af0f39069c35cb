package elsom.core.audit;

import elsom.core.quantity.Spans;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.time.Duration;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Treatments that were measured at unlike times of one look. */
final class AgeAtMeasuring implements AuditRule {
    private static final double LEAST_HOURS = 12;
    private static final double SHARE_OF_AGE = 0.05;

    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.look().map(look -> check(trial, look)).orElse(List.of());
    }

    private static List<Fault> check(AuditCase trial, Look look) {
        Map<Integer, List<Reading>> readings = trial.standing(look).stream()
                .collect(Collectors.groupingBy(trial::treatmentOf, TreeMap::new, Collectors.toList()));
        double hours = Math.max(LEAST_HOURS, SHARE_OF_AGE * Math.max(0, look.hoursAfterStart()));
        Map<Integer, Double> means = new TreeMap<>();
        readings.forEach((treatment, taken) -> means.put(
                treatment,
                taken.stream()
                        .mapToDouble(reading -> Duration.between(
                                                look.plannedAt(
                                                        trial.record().trial().start()),
                                                reading.takenAt())
                                        .toMinutes()
                                / 60.0)
                        .average()
                        .orElse(0)));
        double first = Collections.min(means.isEmpty() ? List.of(0.0) : means.values());
        double last = Collections.max(means.isEmpty() ? List.of(0.0) : means.values());
        if (last - first <= hours) {
            return List.of();
        }
        String late = means.entrySet().stream()
                .filter(entry -> entry.getValue() - first > hours)
                .map(entry -> trial.name(entry.getKey()))
                .collect(Collectors.joining(", "));
        return List.of(Fault.of(
                        FaultCode.AGE_AT_MEASURING,
                        last - first > 2 * hours ? Grade.UNFAIR : Grade.SHAKY,
                        late + " was measured up to " + Spans.words(last - first) + " after the others at “"
                                + look.name() + "”.",
                        "Plants grow and pots dry meanwhile, so part of the difference is age.",
                        "Measure a whole block before the next, all on one day.")
                .pushing("What was measured later looks larger, drier and more injured than it was."));
    }
}
