package elsom.core.practice;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.plan.Direction;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a practice trial showed, beside what was true.
 *
 * @param rows one a treatment that the level knows, in the order of the trial
 * @param difference that is asked about first, as the trial's figures have it, or that of its first two treatments where it
 *     has no others; empty before both were read
 */
public record PracticeOutcome(List<Row> rows, Optional<Difference> difference) {
    private static final int PERCENT = 100;

    /**
     * A treatment's units.
     *
     * @param number of the treatment in the trial
     * @param truth what its units would show in the middle of the bench without chance
     */
    public record Row(int number, List<Double> figures, double truth) {}

    /** A treatment beside another, by their names in the level. */
    public record Difference(String treatment, String comparator, Comparison comparison) {}

    public PracticeOutcome {
        rows = List.copyOf(rows);
    }

    /** What the last deciding look shows; nothing before there is one. */
    public static PracticeOutcome of(TrialRecord record, Level level, Setting setting, Truth truth, boolean blocks) {
        List<Row> rows = new ArrayList<>();
        List<Arm> arms = new ArrayList<>();
        List<Observed> units = new ArrayList<>();
        Optional<Look> last = lastDeciding(record, level);
        for (var treatment : record.treatments()) {
            List<ExperimentalUnit> own = record.units().stream()
                    .filter(unit -> unit.treatment() == treatment.number())
                    .toList();
            Optional<String> name = own.stream().findFirst().flatMap(unit -> Planned.meant(level, record, unit));
            if (name.isEmpty()
                    || last.isEmpty()
                    || arms.stream().anyMatch(arm -> arm.name().equals(name.get()))) {
                continue;
            }
            arms.add(new Arm(treatment.code(), name.get(), List.of(), arms.isEmpty()));
            List<Double> figures = new ArrayList<>();
            for (ExperimentalUnit unit : own) {
                OptionalDouble figure = figure(record, level, last.get(), unit);
                figure.ifPresent(figures::add);
                units.add(new Observed(
                        unit.code().value(),
                        arms.size() - 1,
                        blocks ? unit.block() : 0,
                        0,
                        0,
                        0,
                        figure.isPresent() ? new Value.Measured(figure.getAsDouble()) : new Value.Missing("not read")));
            }
            rows.add(new Row(
                    treatment.number(),
                    figures,
                    level.figure(truth, name.get(), 1, last.get().hoursAfterStart() / 24, 0, setting)
                            .orElse(Double.NaN)));
        }
        return new PracticeOutcome(rows, arms.size() < 2 ? Optional.empty() : difference(level, arms, units, blocks));
    }

    private static Optional<Difference> difference(Level level, List<Arm> arms, List<Observed> units, boolean blocks) {
        Brief.Measured measured = level.brief().measured();
        Observations seen = new Observations(
                blocks ? Design.BLOCKS : Design.COMPLETELY_RANDOM,
                List.of(),
                arms,
                EndpointKind.MEASURED,
                measured.better() == Direction.LOWER ? Observations.Better.LOWER : Observations.Better.HIGHER,
                Math.pow(10, -measured.decimals()),
                units);
        HeldBeside told = new HeldBeside(seen, measured.matters(), measured.inPercent());
        return beside(told, level.asked(), level.comparator())
                .or(() -> beside(told, arms.get(1).name(), arms.get(0).name()));
    }

    private static Optional<Difference> beside(HeldBeside told, String treatment, String comparator) {
        return told.comparison(treatment, comparator)
                .map(comparison -> new Difference(treatment, comparator, comparison));
    }

    private static Optional<Look> lastDeciding(TrialRecord record, Level level) {
        boolean water = record.trial().protocol().equals(WaterHolding.CODE);
        return record.looks().stream()
                .filter(look -> Planned.decides(level, look))
                .filter(look -> record.progress(look).done() > 0)
                .filter(look -> !water || look.hoursAfterStart() == 0)
                .max(Comparator.comparingInt(Look::number));
    }

    /** Water is told in parts of a hundred of the filled volume, the rest as it was read. */
    private static OptionalDouble figure(TrialRecord record, Level level, Look look, ExperimentalUnit unit) {
        if (!record.trial().protocol().equals(WaterHolding.CODE)) {
            return read(record, unit, look.number(), level.brief().measured().endpoint());
        }
        OptionalDouble wet = read(record, unit, look.number(), WaterHolding.WET);
        OptionalDouble dry = record.looks().stream()
                .mapToInt(Look::number)
                .mapToObj(number -> read(record, unit, number, WaterHolding.DRY))
                .filter(OptionalDouble::isPresent)
                .reduce((earlier, later) -> later)
                .orElse(OptionalDouble.empty());
        return wet.isEmpty() || dry.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(PERCENT * (wet.getAsDouble() - dry.getAsDouble()) / unit.filledVolumeMl());
    }

    private static OptionalDouble read(TrialRecord record, ExperimentalUnit unit, int look, EndpointCode code) {
        return record.current(new ReadingRef(unit.code(), look, code))
                .map(Reading::value)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
