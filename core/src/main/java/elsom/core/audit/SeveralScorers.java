package elsom.core.audit;

import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import java.util.List;

/** Scores by several stations. */
final class SeveralScorers implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return trial.look().map(look -> check(trial, look)).orElse(List.of());
    }

    private static List<Fault> check(AuditCase trial, Look look) {
        return Ties.at(trial, look, trial.scored(), Reading::station).entrySet().stream()
                .map(entry -> Fault.of(
                                FaultCode.SEVERAL_SCORERS,
                                entry.getKey() == Ties.Mixed.BY_TREATMENT ? Grade.UNFAIR : Grade.SHAKY,
                                trial.names(entry.getValue()) + ": scored at more than one station at “" + look.name()
                                        + "”"
                                        + (entry.getKey() == Ties.Mixed.BY_TREATMENT
                                                ? ", each its own treatments."
                                                : "."),
                                "One pair of eyes gives more points than another.",
                                "One scorer for a look, or both score all units: “score again”.")
                        .of(trial, entry.getValue()))
                .toList();
    }
}
