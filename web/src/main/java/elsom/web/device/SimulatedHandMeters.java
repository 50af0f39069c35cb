package elsom.web.device;

import elsom.core.sim.HandMeter;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.time.Clock;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The instruments of the simulated bench. */
@Component
class SimulatedHandMeters implements HandMeters {
    private final Clock clock;
    private final Map<HandMeter, HandMeter.Fault> faults = new EnumMap<>(HandMeter.class);

    SimulatedHandMeters(Clock clock) {
        this.clock = clock;
    }

    @Override
    public synchronized Optional<String> read(HandMeter meter, TrialRecord record, ReadingRef what) {
        return meter.shows(record, what, fault(meter), clock.instant());
    }

    @Override
    public synchronized HandMeter.Fault fault(HandMeter meter) {
        return faults.getOrDefault(meter, HandMeter.Fault.NONE);
    }

    @Override
    public synchronized void setFault(HandMeter meter, HandMeter.Fault fault) {
        faults.put(meter, fault);
    }
}
