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
    private final Truths truths;
    private final Map<HandMeter, HandMeter.Fault> faults = new EnumMap<>(HandMeter.class);

    SimulatedHandMeters(Clock clock, Truths truths) {
        this.clock = clock;
        this.truths = truths;
    }

    @Override
    public synchronized Optional<String> read(HandMeter meter, TrialRecord record, ReadingRef what) {
        long seed = record.trial().seed() * 31
                + what.hashCode() * 17L
                + clock.instant().toEpochMilli();
        return meter.shows(truths.of(record, what), record.endpoint(what.endpoint()), fault(meter), seed);
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
