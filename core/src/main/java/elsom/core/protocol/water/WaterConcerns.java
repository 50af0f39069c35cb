package elsom.core.protocol.water;

import elsom.core.protocol.Concern;
import elsom.core.quantity.Decimals;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.water.Gravimetry;
import elsom.core.water.TimedMass;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** Weights that are kept but asked about: against the unit's own history first, then against its neighbours. */
final class WaterConcerns {
    private static final double TARE_SPREAD = 0.15;
    private static final double DENSITY_SPREAD = 0.2;
    private static final double HELD_SPREAD = 0.25;
    private static final double LOSS_SPREAD = 0.15;
    private static final double CONSTANT_DRY = 0.005;
    private static final double GAIN = 0.01;
    private static final double SCALE_STEP_G = 0.5;
    private static final int FEWEST_NEIGHBOURS = 2;

    private WaterConcerns() {}

    static Optional<Concern> of(TrialRecord record, ReadingRef ref, double value) {
        ExperimentalUnit unit = record.unit(ref.unit()).orElseThrow();
        if (ref.endpoint().equals(WaterHolding.TARE)) {
            return tare(record, unit, ref, value);
        }
        if (ref.endpoint().equals(WaterHolding.DRY)) {
            return dry(record, unit, ref, value);
        }
        return ref.endpoint().equals(WaterHolding.WET) ? wet(record, unit, ref.look(), value) : Optional.empty();
    }

    private static Optional<Concern> tare(TrialRecord record, ExperimentalUnit unit, ReadingRef ref, double value) {
        OptionalDouble usual = median(record.units().stream()
                .filter(other ->
                        !other.code().equals(unit.code()) && other.container().equals(unit.container()))
                .flatMap(other -> reading(record, other, ref.look(), ref).stream())
                .toList());
        return usual.isPresent() && Math.abs(value - usual.getAsDouble()) > TARE_SPREAD * usual.getAsDouble()
                ? Optional.of(new Concern(
                        "GeneralProtocols of this container weigh about " + grams(usual.getAsDouble()) + " empty.",
                        "Right container, and nothing in it?"))
                : Optional.empty();
    }

    private static Optional<Concern> dry(TrialRecord record, ExperimentalUnit unit, ReadingRef ref, double value) {
        Optional<Double> tare = firstOf(record, unit, WaterHolding.TARE);
        if (tare.isPresent() && value <= tare.get()) {
            return Optional.of(new Concern(
                    "Not heavier than its own empty container (" + grams(tare.get()) + ").",
                    "Is this the right one, or was the empty weight wrong?"));
        }
        Optional<Double> first = firstOf(record, unit, WaterHolding.DRY);
        boolean again = WaterHolding.dryLooks(record).findFirst().orElseThrow().number() < ref.look();
        if (again && first.isPresent() && tare.isPresent()) {
            double change = Math.abs(first.get() - value) / (first.get() - tare.get());
            return change > CONSTANT_DRY
                    ? Optional.of(new Concern(
                            "Its dry weight changed by " + Decimals.percent(change, 1) + " % since the first weighing.",
                            "Dry on and weigh again?"))
                    : Optional.empty();
        }
        return tare.flatMap(empty -> neighbours(
                        record,
                        unit,
                        ref,
                        value - empty,
                        other -> reading(record, other, ref.look(), ref)
                                .flatMap(weight -> firstOf(record, other, WaterHolding.TARE)
                                        .map(t -> weight - t))))
                .filter(spread -> spread.share() > DENSITY_SPREAD)
                .map(spread -> new Concern(
                        "Pots of the same medium hold about " + grams(spread.usual()) + " dry; this one "
                                + grams(spread.own()) + ".",
                        "Filled to the same mark?"));
    }

    private static Optional<Concern> wet(TrialRecord record, ExperimentalUnit unit, int look, double value) {
        Optional<WaterUnit> weighed = WaterUnit.of(record, unit);
        if (weighed.isEmpty()) {
            return Optional.of(new Concern(
                    "It has no dry weight to compare with.",
                    "Weigh it empty and dry first, or type those from paper?"));
        }
        Gravimetry own = weighed.get().gravimetry();
        if (value < own.dryG()) {
            return Optional.of(new Concern(
                    "Lighter than its own dry weight (" + grams(own.dryG()) + ").",
                    "Wrong pot, or was the dry weight wrong?"));
        }
        boolean drained = WaterHolding.isDrained(record, record.look(look).orElseThrow());
        return drained ? drained(record, weighed.get(), look, value) : later(record, weighed.get(), look, value);
    }

    private static Optional<Concern> drained(TrialRecord record, WaterUnit unit, int look, double value) {
        double held = (value - unit.gravimetry().dryG()) / unit.gravimetry().filledVolumeMl();
        if (held > 1) {
            return Optional.of(new Concern(
                    "More water than the medium's own volume (" + Decimals.percent(held, 0) + " %).",
                    "Holes blocked, or the wrong pot?"));
        }
        return neighbours(
                        record,
                        unit.unit(),
                        unit.wetRef(look),
                        held,
                        other -> WaterUnit.of(record, other)
                                .flatMap(o -> o.at(look).map(o.gravimetry()::waterByVolume)))
                .filter(spread -> spread.share() > HELD_SPREAD)
                .map(spread -> new Concern(
                        "Pots of the same medium hold about " + Decimals.percent(spread.usual(), 0)
                                + " % water; this one " + Decimals.percent(held, 0) + " %.",
                        "Drained as long, or did it float?"));
    }

    private static Optional<Concern> later(TrialRecord record, WaterUnit unit, int look, double value) {
        Optional<Integer> before =
                unit.wetLooks().stream().filter(number -> number < look).reduce((a, b) -> b);
        if (before.isEmpty()) {
            return Optional.of(new Concern("It has no drained weight.", "Type that from paper first?"));
        }
        double held = unit.gravimetry().heldMl().asOptional().orElseThrow();
        double previous = unit.at(before.get()).orElseThrow().grams();
        if (value > previous + Math.max(SCALE_STEP_G, GAIN * held)) {
            return Optional.of(new Concern(
                    "Heavier than at the last look (" + grams(previous) + ").", "Rain, watering, or another pot?"));
        }
        double lost = (previous - value) / Math.max(held, SCALE_STEP_G);
        return neighbours(
                        record,
                        unit.unit(),
                        unit.wetRef(look),
                        lost,
                        other -> WaterUnit.of(record, other).flatMap(o -> loss(o, before.get(), look)))
                .filter(spread -> Math.abs(spread.own() - spread.usual()) > LOSS_SPREAD)
                .map(spread -> new Concern(
                        "Lost " + Decimals.percent(lost, 0) + " % of its water since the last look; pots of the same"
                                + " medium lost about " + Decimals.percent(spread.usual(), 0) + " %.",
                        "Right pot?"));
    }

    private static Optional<Double> loss(WaterUnit unit, int before, int look) {
        double held = unit.gravimetry().heldMl().asOptional().orElse(0.0);
        Optional<TimedMass> from = unit.at(before);
        Optional<TimedMass> to = unit.at(look);
        return from.isPresent() && to.isPresent() && held > 0
                ? Optional.of((from.get().grams() - to.get().grams()) / held)
                : Optional.empty();
    }

    /** A unit's own value beside the median of the others of its treatment on its bench. */
    private record Spread(double own, double usual) {
        double share() {
            return Math.abs(own - usual) / Math.abs(usual);
        }
    }

    private static Optional<Spread> neighbours(
            TrialRecord record,
            ExperimentalUnit unit,
            ReadingRef ref,
            double own,
            Function<ExperimentalUnit, Optional<Double>> value) {
        OptionalDouble usual = median(record.units().stream()
                .filter(other -> !other.code().equals(ref.unit())
                        && other.treatment() == unit.treatment()
                        && other.position().bench() == unit.position().bench())
                .flatMap(other -> value.apply(other).stream())
                .toList());
        return usual.isPresent() ? Optional.of(new Spread(own, usual.getAsDouble())) : Optional.empty();
    }

    private static OptionalDouble median(List<Double> values) {
        if (values.size() < FEWEST_NEIGHBOURS) {
            return OptionalDouble.empty();
        }
        List<Double> sorted = values.stream().sorted().toList();
        int middle = sorted.size() / 2;
        return OptionalDouble.of(
                sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2);
    }

    private static Optional<Double> reading(TrialRecord record, ExperimentalUnit unit, int look, ReadingRef like) {
        return record.current(new ReadingRef(unit.code(), look, like.endpoint()))
                .map(WaterUnit::value);
    }

    private static Optional<Double> firstOf(TrialRecord record, ExperimentalUnit unit, EndpointCode endpoint) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(endpoint))
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look.number(), endpoint)).stream())
                .map(WaterUnit::value)
                .findFirst();
    }

    private static String grams(double value) {
        return Decimals.upTo(value, 1) + " g";
    }
}
