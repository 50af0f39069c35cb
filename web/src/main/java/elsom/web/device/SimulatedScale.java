package elsom.web.device;

import elsom.core.sim.BenchScale;
import elsom.core.sim.ScaleFault;
import elsom.core.sim.ScaleReading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Clock;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A scale on which the units of the simulated bench are put. */
@Component
class SimulatedScale implements Scale {
    private static final long SEED = 20_26;

    private final Clock clock;
    private final Truths truths;
    private BenchScale scale;
    private @Nullable Pan pan;

    /** What stands on the pan. */
    private record Pan(TrialId trial, ReadingRef what, double loadG, Instant since) {}

    SimulatedScale(Clock clock, Truths truths) {
        this.clock = clock;
        this.truths = truths;
        this.scale = BenchScale.switchedOn(clock.instant(), SEED);
    }

    @Override
    public synchronized ScaleReading weigh(TrialRecord record, ReadingRef what) {
        Instant now = clock.instant();
        Pan on = pan;
        if (on == null || !on.trial().equals(record.trial().id()) || !on.what().equals(what)) {
            double load = truths.of(record, what);
            on = new Pan(record.trial().id(), what, load, now);
            pan = on;
        }
        return scale.read(on.loadG(), on.since(), now);
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
