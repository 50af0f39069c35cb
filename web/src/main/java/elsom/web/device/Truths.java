package elsom.web.device;

import elsom.core.sim.BenchTruth;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/** The one truth that all simulated instruments, and the simulated laboratory, see. */
@Component
public class Truths {
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

    /** What the plants of a unit truly live in. */
    public Living living(TrialRecord record, ExperimentalUnit unit) {
        return standIns.stream()
                .map(known -> known.living(record, unit))
                .flatMap(Optional::stream)
                .findFirst()
                .orElseGet(() -> new BenchTruth(record).living(unit));
    }
}
