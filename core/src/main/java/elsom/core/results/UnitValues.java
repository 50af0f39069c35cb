package elsom.core.results;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Factor;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.quantity.Sentence;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/** Builds the observations of one endpoint at one look, for every kind of trial: one row a unit. */
public final class UnitValues {
    /** Blocks of different benches are different blocks. */
    private static final int BENCH = 10_000;

    private static final double MINUTES = 60;
    private static final double HOURS_A_DAY = 24;
    private static final double SAME = 1e-9;

    private final Plan plan;
    private final TrialRecord record;
    private final Endpoint endpoint;
    private final Look look;
    private final Optional<Derived> derived;
    /** What is looked for from look to look, where it is that; its formula waits for it. */
    private final Set<String> awaited;

    private UnitValues(
            Evidence evidence, Endpoint endpoint, Set<String> awaited, Look look, Optional<Derived> derived) {
        this.plan = evidence.plan();
        this.record = evidence.record();
        this.endpoint = endpoint;
        this.awaited = awaited;
        this.look = look;
        this.derived = derived;
    }

    /**
     * The observations.
     *
     * @param derived what is judged instead of the readings; empty for the readings themselves
     */
    public static Observations of(Evidence evidence, Measure measure, Look look, Optional<Derived> derived) {
        UnitValues made = new UnitValues(
                evidence,
                evidence.record().endpoint(measure.endpoint().code()),
                measure.formula() != null && measure.formula().waits()
                        ? measure.formula().names()
                        : Set.of(),
                look,
                derived);
        EndpointKind kind = derived.isPresent() ? EndpointKind.MEASURED : made.endpoint.judged();
        Design design = made.design();
        return new Observations(
                design,
                made.plan.treatments().factors().stream().map(Factor::name).toList(),
                made.arms(),
                kind,
                measure.better() == Direction.LOWER ? Observations.Better.LOWER : Observations.Better.HIGHER,
                derived.map(Derived::resolution).orElseGet(made.endpoint::resolution),
                made.record.units().stream()
                        .map(unit -> made.observed(unit, design))
                        .toList());
    }

    private Design design() {
        LayoutKind layout = plan.arrangement().kind();
        return switch (layout) {
            case LATIN_SQUARE -> Design.LATIN_SQUARE;
            case SPLIT_PLOT -> Design.SPLIT_PLOT;
            case BLOCKS -> Design.BLOCKS;
            // Benches differ by more than chance: each is a block.
            default -> record.benches().size() > 1 ? Design.BLOCKS : Design.COMPLETELY_RANDOM;
        };
    }

    private List<Arm> arms() {
        List<Factor> factors = plan.treatments().factors();
        List<PlannedTreatment> planned = plan.treatments().all();
        List<Arm> arms = new ArrayList<>();
        for (int i = 0; i < record.treatments().size(); i++) {
            List<Integer> levels = i < planned.size() ? planned.get(i).levels() : List.of();
            arms.add(new Arm(
                    record.treatments().get(i).code(),
                    record.treatments().get(i).name(),
                    IntStream.range(0, levels.size())
                            .mapToObj(f ->
                                    factors.get(f).levels().get(levels.get(f)).name())
                            .toList(),
                    control(i, factors, levels)));
        }
        return arms;
    }

    private boolean control(int treatment, List<Factor> factors, List<Integer> levels) {
        return control(record.treatments().get(treatment).isControl(), factors, levels);
    }

    /** Whether a planned treatment is a control. */
    static boolean control(PlannedTreatment planned, List<Factor> factors) {
        return control(planned.isControl(), factors, planned.levels());
    }

    /** In a factorial: at the control level of every factor that has one. */
    private static boolean control(boolean named, List<Factor> factors, List<Integer> levels) {
        if (levels.isEmpty() || factors.stream().noneMatch(UnitValues::hasControl)) {
            return named;
        }
        return IntStream.range(0, levels.size())
                .allMatch(f -> !hasControl(factors.get(f))
                        || factors.get(f).levels().get(levels.get(f)).control());
    }

    private static boolean hasControl(Factor factor) {
        return factor.levels().stream().anyMatch(Factor.Level::control);
    }

    private Observed observed(ExperimentalUnit unit, Design design) {
        int bench = unit.position().bench() * BENCH;
        boolean square = design == Design.LATIN_SQUARE;
        return new Observed(
                unit.code().value(),
                unit.treatment() - 1,
                bench + (plan.arrangement().kind() == LayoutKind.COMPLETELY_RANDOM ? 0 : unit.block()),
                (square ? bench : 0) + unit.position().row(),
                (square ? bench : 0) + unit.position().column(),
                design == Design.SPLIT_PLOT ? (bench + unit.block()) * Factor.MOST_LEVELS + wholeLevel(unit) : 0,
                value(unit));
    }

    private int wholeLevel(ExperimentalUnit unit) {
        int factor = plan.arrangement().wholePlotFactor();
        List<Integer> levels = plan.treatments().all().get(unit.treatment() - 1).levels();
        return factor >= 1 && factor <= levels.size() ? levels.get(factor - 1) : 0;
    }

    private Value value(ExperimentalUnit unit) {
        if (derived.isPresent()) {
            Double value = derived.get().values().getOrDefault(look, Map.of()).get(unit.code());
            return value == null ? missing(unit) : new Value.Measured(value);
        }
        List<Reading> readings = readings(record, endpoint, look, unit);
        if (readings.isEmpty()) {
            return !awaited.isEmpty() && record.expected(unit.code(), look.number())
                    ? new Value.NotYet(at(look))
                    : missing(unit);
        }
        Value value = endpoint.seen(readings).orElseGet(() -> new Value.Missing("not a count"));
        return value instanceof Value.Measured found && !awaited.isEmpty() ? came(unit, found) : value;
    }

    /** What a look found came after the look before at which it was looked for. */
    private Value came(ExperimentalUnit unit, Value.Measured found) {
        double before = record.looks().stream()
                .filter(one -> lookedFor(unit, one))
                .flatMapToDouble(one -> at(one).stream())
                .filter(time -> time < found.value() - SAME)
                .max()
                .orElse(0);
        return before < found.value() ? new Value.Came(before, found.value()) : found;
    }

    private boolean lookedFor(ExperimentalUnit unit, Look when) {
        return record.endpoints().stream()
                .filter(one -> awaited.contains(one.code().value()))
                .anyMatch(one -> !readings(record, one, when, unit).isEmpty());
    }

    /** A look's time in the endpoint's unit; empty where that is no time since the start. */
    private OptionalDouble at(Look when) {
        double hours = when.afterStart().toMinutes() / MINUTES;
        return switch (endpoint.unit()) {
            case DAY -> OptionalDouble.of(hours / HOURS_A_DAY);
            case HOUR -> OptionalDouble.of(hours);
            default -> OptionalDouble.empty();
        };
    }

    /** What a unit has at a look: what was read, or what its death is on the endpoint's scale; empty for nothing. */
    static Optional<Value> seen(TrialRecord record, Endpoint endpoint, Look look, ExperimentalUnit unit) {
        List<Reading> readings = readings(record, endpoint, look, unit);
        return readings.isEmpty() && died(record, look, unit) ? endpoint.whenDead() : endpoint.seen(readings);
    }

    private static boolean died(TrialRecord record, Look look, ExperimentalUnit unit) {
        return record.ended(unit.code())
                .filter(mishap -> mishap.kind() == MishapKind.DIED && mishap.look() <= look.number())
                .isPresent();
    }

    /** A unit's readings that stand, sub-reading by sub-reading. */
    public static List<Reading> readings(TrialRecord record, Endpoint endpoint, Look look, ExperimentalUnit unit) {
        return IntStream.rangeClosed(1, endpoint.readingsEach())
                .mapToObj(sub -> new ReadingRef(unit.code(), look.number(), endpoint.code(), sub))
                .flatMap(ref -> record.current(ref).stream())
                .filter(reading -> reading.value() != null)
                .toList();
    }

    private Value missing(ExperimentalUnit unit) {
        Optional<Mishap> ended = record.ended(unit.code()).filter(mishap -> mishap.look() <= look.number());
        if (died(record, look, unit)) {
            return endpoint.whenDead().orElseGet(() -> new Value.Missing(lost(ended.orElseThrow()), true));
        }
        return new Value.Missing(ended.map(this::lost)
                .orElse(
                        record.possible(new ReadingRef(unit.code(), look.number(), endpoint.code(), 1))
                                ? "not read"
                                : "nothing to read: " + Sentence.inside(endpoint.name()) + " of none"));
    }

    private String lost(Mishap mishap) {
        String what = switch (mishap.kind()) {
            case DIED -> "died by ";
            case TAKEN -> "lost or taken away at ";
            default -> "lost or dead at ";
        };
        return what + record.look(mishap.look()).map(Look::name).orElse("some look");
    }
}
