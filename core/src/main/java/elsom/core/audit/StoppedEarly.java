package elsom.core.audit;

import elsom.core.trial.Look;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** A trial that ended before the look it was planned to be judged at. */
final class StoppedEarly implements AuditRule {
    private static final Duration LATE = Duration.ofDays(2);

    @Override
    public List<Fault> check(AuditCase trial) {
        List<Look> looks = trial.record().looks();
        if (looks.isEmpty() || trial.look().isEmpty()) {
            return List.of();
        }
        Look last = looks.get(looks.size() - 1);
        Instant due = last.plannedAt(trial.record().trial().start());
        boolean over = due.plus(LATE).isBefore(trial.now());
        boolean unread = !trial.record().touched(last);
        return over && unread
                ? List.of(Fault.of(
                        FaultCode.ENDED_EARLY,
                        Grade.SHAKY,
                        "It was to end with “" + last.name() + "” and ended before.",
                        "A trial that ends when it looks right looks right by chance more often; and what comes late is not seen.",
                        "Say when it ends before it starts, and look until then."))
                : List.of();
    }
}
