package elsom.core.audit;

import elsom.core.quantity.Spans;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** Looks that were made long after they were planned. */
final class LateLooks implements AuditRule {
    private static final double LEAST_HOURS = 6;
    private static final double SHARE = 0.34;

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Look> looks = trial.record().looks();
        List<String> late = new ArrayList<>();
        for (Look look : looks) {
            double gap = looks.stream()
                    .filter(other -> !other.equals(look))
                    .mapToDouble(other -> Math.abs(other.hoursAfterStart() - look.hoursAfterStart()))
                    .min()
                    .orElse(24);
            double[] hours = trial.standing(look).stream()
                    .mapToDouble(reading -> Duration.between(
                                            look.plannedAt(
                                                    trial.record().trial().start()),
                                            reading.takenAt())
                                    .toMinutes()
                            / 60.0)
                    .sorted()
                    .toArray();
            if (hours.length > 0 && hours[hours.length / 2] > Math.max(LEAST_HOURS, SHARE * gap)) {
                late.add("“" + look.name() + "” by " + Spans.words(hours[hours.length / 2]));
            }
        }
        return late.isEmpty()
                ? List.of()
                : List.of(Fault.of(
                        FaultCode.LATE_LOOKS,
                        Grade.SOUND,
                        "Late: " + String.join(", ", late) + ".",
                        "It was late for all treatments alike, so they can be compared; what it says about how fast something"
                                + " goes is off.",
                        "Plan looks on days when somebody is there."));
    }
}
