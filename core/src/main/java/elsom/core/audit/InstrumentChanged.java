package elsom.core.audit;

import elsom.core.trial.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** An endpoint that was read with one instrument in some treatments and with another in others. */
final class InstrumentChanged implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        List<Fault> faults = new ArrayList<>();
        trial.look()
                .ifPresent(look -> trial.standing(look).stream()
                        .collect(Collectors.groupingBy(reading -> reading.ref().endpoint()))
                        .forEach((endpoint, readings) -> Ties.of(trial, readings, Reading::instrument)
                                .filter(tie -> tie.levels() > 1)
                                .ifPresent(tie -> faults.add(Fault.of(
                                                FaultCode.INSTRUMENT_CHANGED,
                                                tie.whole() ? Grade.UNFAIR : Grade.SOUND,
                                                trial.record()
                                                                .endpoint(endpoint)
                                                                .name() + " was read in " + tie.levels()
                                                        + " ways at “" + look.name() + "”"
                                                        + (tie.whole() ? ", each in its own treatments." : "."),
                                                "Two instruments rarely agree; where each has its own treatments, they can't be told"
                                                        + " apart.",
                                                "One instrument for a look, or each unit read with both.")
                                        .of(Set.of(endpoint))))));
        return faults;
    }
}
