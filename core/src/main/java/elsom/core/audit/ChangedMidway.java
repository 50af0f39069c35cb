package elsom.core.audit;

import elsom.core.plan.Amendment;
import elsom.core.trial.Reading;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** A plan that was changed after readings were there. */
final class ChangedMidway implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        Optional<Instant> first =
                trial.record().readings().stream().map(Reading::recordedAt).min(Instant::compareTo);
        List<Amendment> late = trial.amendments().stream()
                .filter(amendment -> first.isPresent() && amendment.at().isAfter(first.get()))
                .filter(amendment -> !amendment.changes().isEmpty())
                .toList();
        return late.isEmpty()
                ? List.of()
                : List.of(
                        Fault.of(
                                FaultCode.CHANGED_MIDWAY,
                                Grade.SOUND,
                                "The plan was changed " + (late.size() == 1 ? "once" : late.size() + " times")
                                        + " after the first reading.",
                                "A change that was made after looking may have been made because of what was seen.",
                                "The changes stand under “Changed after the start” with their reasons: tell them with the result."));
    }
}
