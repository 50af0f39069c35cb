package elsom.core.money;

import elsom.core.material.Lot;
import elsom.core.material.Prediction;
import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** What the medium of a unit costs, as far as the shelf knows its price. */
public final class MediumCost {
    private static final double LITRE_ML = 1000;

    /** A price is the same in any pot. */
    private static final double ANY_DEPTH_CM = 10;

    private MediumCost() {}

    /** The mean over a treatment's units; empty where a part of the mix has no price. */
    public static OptionalDouble ofUnit(
            TrialRecord record, Treatment treatment, Function<String, Optional<Lot>> shelf) {
        OptionalDouble litre = Mix.read(treatment.material())
                .map(mix -> Prediction.of(mix, shelf, ANY_DEPTH_CM).value(Property.PRICE))
                .orElse(OptionalDouble.empty());
        OptionalDouble volume = record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .mapToDouble(ExperimentalUnit::filledVolumeMl)
                .average();
        return litre.isPresent() && volume.isPresent()
                ? OptionalDouble.of(litre.getAsDouble() * volume.getAsDouble() / LITRE_ML)
                : OptionalDouble.empty();
    }
}
