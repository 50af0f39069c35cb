package elsom.core.audit;

import elsom.core.trial.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Scores by several stations. */
final class SeveralScorers implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<Fault> faults = new ArrayList<>();
        trial.look()
                .ifPresent(look -> trial.standing(look).stream()
                        .filter(reading -> trial.scored().contains(reading.ref().endpoint()))
                        .collect(Collectors.groupingBy(reading -> reading.ref().endpoint()))
                        .forEach((endpoint, readings) -> Ties.of(trial, readings, Reading::station)
                                .filter(tie -> tie.levels() > 1)
                                .ifPresent(tie -> faults.add(Fault.of(
                                                FaultCode.SEVERAL_SCORERS,
                                                tie.whole() ? Grade.UNFAIR : Grade.SHAKY,
                                                trial.record()
                                                                .endpoint(endpoint)
                                                                .name() + " was scored at " + tie.levels()
                                                        + " stations at “" + look.name() + "”"
                                                        + (tie.whole() ? ", each its own treatments." : "."),
                                                "One pair of eyes gives more points than another.",
                                                "One scorer for a look, or both score all units: “score again”.")
                                        .of(Set.of(endpoint))))));
        return faults;
    }
}
