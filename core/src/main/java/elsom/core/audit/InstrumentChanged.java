package elsom.core.audit;

import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.List;
import java.util.Set;

/** Endpoints that were read with more than one instrument. */
final class InstrumentChanged implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.look().map(look -> check(trial, look)).orElse(List.of());
    }

    private static List<Fault> check(AuditCase trial, Look look) {
        return Ties.at(trial, look, Set.copyOf(look.endpoints()), Reading::instrument).entrySet().stream()
                .map(entry -> Fault.of(
                                FaultCode.INSTRUMENT_CHANGED,
                                entry.getKey() == Ties.Mixed.BY_TREATMENT ? Grade.UNFAIR : Grade.SOUND,
                                trial.names(entry.getValue()) + ": read in more than one way at “" + look.name() + "”"
                                        + (entry.getKey() == Ties.Mixed.BY_TREATMENT
                                                ? ", each in its own treatments."
                                                : "."),
                                "Two instruments rarely agree; where each has its own treatments, they can't be told apart.",
                                "One instrument for a look, or each unit read with both.")
                        .of(trial, entry.getValue()))
                .toList();
    }
}
