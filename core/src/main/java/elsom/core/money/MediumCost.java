package elsom.core.money;

import elsom.core.material.Lot;
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

    private MediumCost() {}

    /** The mean over a treatment's units; empty where a part of the mix has no price. */
    public static OptionalDouble ofUnit(
            TrialRecord record, Treatment treatment, Function<String, Optional<Lot>> shelf) {
        OptionalDouble litre =
                Mix.read(treatment.material()).map(mix -> price(mix, shelf)).orElse(OptionalDouble.empty());
        OptionalDouble volume = record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .mapToDouble(ExperimentalUnit::filledVolumeMl)
                .average();
        return litre.isPresent() && volume.isPresent()
                ? OptionalDouble.of(litre.getAsDouble() * volume.getAsDouble() / LITRE_ML)
                : OptionalDouble.empty();
    }

    /** Of a litre of the mix; the parts alone, for a price needs nothing of what they hold. */
    private static OptionalDouble price(Mix mix, Function<String, Optional<Lot>> shelf) {
        double sum = 0;
        for (Mix.Part part : mix.parts()) {
            OptionalDouble known = shelf.apply(part.material())
                    .map(lot -> lot.value(Property.PRICE))
                    .orElse(OptionalDouble.empty());
            if (known.isEmpty()) {
                return OptionalDouble.empty();
            }
            sum += part.parts() / mix.total() * known.getAsDouble();
        }
        return OptionalDouble.of(sum);
    }
}
