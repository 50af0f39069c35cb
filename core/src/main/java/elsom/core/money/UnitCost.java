package elsom.core.money;

import elsom.core.material.Lot;
import elsom.core.mix.Property;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.quantity.Dimension;
import elsom.core.trial.Chore;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * What a unit of a treatment costs, as far as the shelf knows prices: its medium, what was fed, and doses of what a factor is
 * named after.
 */
public final class UnitCost {
    private static final double LITRE_ML = 1000;

    private UnitCost() {}

    /** In all; empty where nothing of it has a price. */
    public static OptionalDouble of(
            Plan plan, TrialRecord record, Treatment treatment, Function<String, Optional<Lot>> shelf) {
        OptionalDouble medium = MediumCost.ofUnit(record, treatment, shelf);
        OptionalDouble fed = fed(record, treatment, shelf);
        OptionalDouble dosed = dosed(plan, record, treatment, shelf);
        return medium.isEmpty() && fed.isEmpty() && dosed.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(medium.orElse(0) + fed.orElse(0) + dosed.orElse(0));
    }

    private static OptionalDouble price(String name, Function<String, Optional<Lot>> shelf) {
        return shelf.apply(name.strip()).map(lot -> lot.value(Property.PRICE)).orElse(OptionalDouble.empty());
    }

    /** What the log says was fed, by the price of the lot it names before a comma. */
    private static OptionalDouble fed(TrialRecord record, Treatment treatment, Function<String, Optional<Lot>> shelf) {
        List<Given> feeds = record.given().stream()
                .filter(given -> given.stands() && given.kind() == GivenKind.FEED)
                .toList();
        double cost = 0;
        boolean known = false;
        for (Given given : feeds) {
            OptionalDouble price = price(given.what().split(",")[0], shelf);
            double ml = meanMl(record, treatment, given);
            if (price.isPresent() && ml > 0) {
                known = true;
                cost += price.getAsDouble() * ml / LITRE_ML;
            }
        }
        return known ? OptionalDouble.of(cost) : OptionalDouble.empty();
    }

    private static double meanMl(TrialRecord record, Treatment treatment, Given given) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .mapToDouble(unit -> given.millilitres().getOrDefault(unit.code(), 0.0))
                .average()
                .orElse(0);
    }

    /** A strength of a named liquid, at every planned time with the planned volume, or once where none is planned. */
    private static OptionalDouble dosed(
            Plan plan, TrialRecord record, Treatment treatment, Function<String, Optional<Lot>> shelf) {
        List<PlannedTreatment> planned = plan.treatments().all();
        List<Factor> factors = plan.treatments().factors();
        double each = plan.pots().doseMl();
        if (each <= 0 || treatment.number() > planned.size()) {
            return OptionalDouble.empty();
        }
        long times = Math.max(
                1,
                record.chores().stream()
                        .filter(chore -> chore.kind() == Chore.Kind.FEED || chore.kind() == Chore.Kind.SOLUTION)
                        .count());
        List<Integer> levels = planned.get(treatment.number() - 1).levels();
        for (int i = 0; i < factors.size(); i++) {
            Factor factor = factors.get(i);
            OptionalDouble price = price(factor.name(), shelf);
            Double amount = factor.levels().get(levels.get(i)).amount();
            if (factor.kind() == FactorKind.DOSE
                    && amount != null
                    && price.isPresent()
                    && factor.unit().dimension() == Dimension.FRACTION) {
                return OptionalDouble.of(
                        price.getAsDouble() * amount * factor.unit().coherent() * each * times / LITRE_ML);
            }
        }
        return OptionalDouble.empty();
    }
}
