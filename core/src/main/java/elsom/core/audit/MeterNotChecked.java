package elsom.core.audit;

import elsom.core.flag.UncheckedMeter;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.UnitCode;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Readings with a meter that nobody had checked. */
final class MeterNotChecked implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        Set<EndpointCode> read = trial.record().readings().stream()
                .filter(reading -> reading.instrument() == Instrument.METER_UNCHECKED)
                .map(reading -> reading.ref().endpoint())
                .collect(Collectors.toSet());
        return UncheckedMeter.of(trial.record()).stream()
                .map(flag -> Fault.of(FaultCode.METER, Grade.SHAKY, flag.seen(), flag.why(), flag.next())
                        .at(flag.units().stream().map(UnitCode::new).toList())
                        .of(trial, read))
                .toList();
    }
}
