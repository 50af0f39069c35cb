package elsom.core.audit;

import elsom.core.plan.Recurring;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Look;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Planned waterings that the log does not have. Who writes none down at all keeps no log, and is not said to have missed them. */
final class MissedWatering implements AuditRule {
    private static final double FIFTH = 0.2;
    private static final Duration LEEWAY = Duration.ofHours(12);

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Instant> written = trial.record().given().stream()
                .filter(given -> given.stands() && given.kind() == GivenKind.WATER)
                .map(Given::happenedAt)
                .toList();
        Optional<Look> last = trial.look();
        if (written.isEmpty() || last.isEmpty()) {
            return List.of();
        }
        Instant start = trial.record().trial().start();
        Instant until =
                last.get().plannedAt(start).isBefore(trial.now()) ? last.get().plannedAt(start) : trial.now();
        int planned = 0;
        int missed = 0;
        for (Recurring step : trial.plan().schedule().steps()) {
            if (step.kind() != Recurring.Kind.WATER) {
                continue;
            }
            Duration near = step.every().dividedBy(2).compareTo(LEEWAY) > 0
                    ? step.every().dividedBy(2)
                    : LEEWAY;
            for (Duration after : step.times()) {
                Instant at = start.plus(after);
                if (at.isBefore(until)) {
                    planned++;
                    missed += written.stream()
                                    .anyMatch(one ->
                                            Duration.between(at, one).abs().compareTo(near) <= 0)
                            ? 0
                            : 1;
                }
            }
        }
        return missed == 0
                ? List.of()
                : List.of(Fault.of(
                        FaultCode.MISSED_WATERING,
                        missed > FIFTH * planned ? Grade.SHAKY : Grade.SOUND,
                        missed + " of " + planned + " planned waterings are not in the log.",
                        "What dries faster suffers more from a watering that was missed, and looks worse than with care it is.",
                        "Write down every watering as it is given; weigh units where drought must not decide."));
    }
}
