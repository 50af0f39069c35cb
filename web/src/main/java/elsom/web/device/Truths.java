package elsom.web.device;

import elsom.core.sim.BenchTruth;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** The one truth that all simulated instruments see. */
@Component
class Truths {
    private final List<StandIn> standIns;

    Truths(List<StandIn> standIns) {
        this.standIns = standIns;
    }

    /** What is true of an observation, in its endpoint's unit. */
    double of(TrialRecord record, ReadingRef what) {
        return standIns.stream()
                .map(known -> known.seen(record, what))
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty())
                .orElseGet(() -> new BenchTruth(record).of(what));
    }
}
