package elsom.web.device;

import elsom.core.sim.BenchScale;
import elsom.core.sim.BenchTruth;
import elsom.core.sim.ScaleFault;
import elsom.core.sim.ScaleReading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A scale on which the units of the simulated bench are put. */
@Component
class SimulatedScale implements Scale {
    private static final long SEED = 20_26;

    private final Clock clock;
    private final List<StandIn> standIns;
    private BenchScale scale;
    private @Nullable Pan pan;

    /** What stands on the pan. */
    private record Pan(TrialId trial, ReadingRef what, double loadG, Instant since) {}

    SimulatedScale(Clock clock, List<StandIn> standIns) {
        this.clock = clock;
        this.standIns = standIns;
        this.scale = BenchScale.switchedOn(clock.instant(), SEED);
    }

    @Override
    public synchronized ScaleReading weigh(TrialRecord record, ReadingRef what) {
        Instant now = clock.instant();
        Pan on = pan;
        if (on == null || !on.trial().equals(record.trial().id()) || !on.what().equals(what)) {
            double load = load(record, what);
            on = new Pan(record.trial().id(), what, load, now);
            pan = on;
        }
        return scale.read(on.loadG(), on.since(), now);
    }

    private double load(TrialRecord record, ReadingRef what) {
        return standIns.stream()
                .map(known -> known.grams(record, what))
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty())
                .orElseGet(() -> new BenchTruth(record)
                        .of(
                                record.unit(what.unit()).orElseThrow(),
                                record.look(what.look()).orElseThrow(),
                                what.endpoint()));
    }

    @Override
    public synchronized void tare(boolean panCleared) {
        if (panCleared) {
            pan = null;
        }
        Pan on = pan;
        scale = scale.tare(on == null ? 0 : on.loadG(), clock.instant());
    }

    @Override
    public synchronized ScaleFault fault() {
        return scale.fault();
    }

    @Override
    public synchronized void setFault(ScaleFault fault) {
        scale = scale.with(fault, clock.instant());
        pan = null;
    }
}
