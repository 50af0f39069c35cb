package elsom.core.audit;

import elsom.core.care.CareAccount;
import elsom.core.care.CareStep;
import elsom.core.trial.Chore;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Look;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Planned waterings that the log does not have. Who writes none down at all keeps no log, and is not said to have missed them. */
final class MissedWatering implements AuditRule {
    private static final double FIFTH = 0.2;

    @Override
    public List<Fault> check(AuditCase trial) {
        Optional<Look> last = trial.look();
        boolean kept =
                trial.record().given().stream().anyMatch(given -> given.stands() && given.kind() == GivenKind.WATER);
        if (!kept || last.isEmpty()) {
            return List.of();
        }
        Instant end = last.get().plannedAt(trial.record().trial().start());
        Instant until = end.isBefore(trial.now()) ? end : trial.now();
        List<CareStep> due = CareAccount.of(trial.record()).steps(Chore.Kind.WATER).stream()
                .filter(step -> step.at().isBefore(until))
                .toList();
        int planned = due.size();
        int missed = (int) due.stream().filter(step -> step.done() == 0).count();
        long partly = due.stream()
                .filter(step -> step.done() > 0 && step.done() < step.of())
                .count();
        return missed + partly == 0
                ? List.of()
                : List.of(Fault.of(
                        FaultCode.MISSED_WATERING,
                        missed + partly > FIFTH * planned ? Grade.SHAKY : Grade.SOUND,
                        said(missed, (int) partly, planned),
                        "What dries faster suffers more from a watering that was missed, and looks worse than with care it is.",
                        "Write down every watering as it is given; weigh units where drought must not decide."));
    }

    private static String said(int missed, int partly, int planned) {
        String none = missed == 0 ? "" : missed + " of " + planned + " planned waterings are not in the log.";
        String some = partly == 0
                ? ""
                : partly + " of " + planned + " planned waterings " + (partly == 1 ? "is" : "are")
                        + " in the log for some of the units only.";
        return (none + " " + some).strip();
    }
}
