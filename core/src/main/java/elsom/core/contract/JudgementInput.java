package elsom.core.contract;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What was judged, as files and scripts have it: the input of {@code bin/calc}'s family {@code verdict}, so that anybody can
 * judge the same numbers again. docs/calc.md describes each field.
 */
public record JudgementInput(
        String design,
        List<String> factors,
        List<ArmInput> treatments,
        EndpointInput endpoint,
        List<UnitInput> units,
        AskInput question,
        double alpha,
        String scatter) {
    /** A treatment; its levels in the order of the factors. */
    public record ArmInput(String code, List<String> levels, boolean control) {}

    /** What was read; {@code resolution} is the step of its last digit. */
    public record EndpointInput(String kind, String better, double resolution) {}

    /** A unit by its code; {@code value} is a number, "not_yet", or null for nothing; {@code died} where that is why.
     * {@code by}: until when it had not come; {@code after}: when it was last looked for before it was found. */
    public record UnitInput(
            String unit,
            String treatment,
            int block,
            int row,
            int column,
            @Nullable Integer wholePlot,
            @Nullable Object value,
            @Nullable Integer k,
            @Nullable Integer n,
            @Nullable Boolean died,
            @Nullable Double by,
            @Nullable Double after) {}

    /** What was asked. */
    public record AskInput(
            List<String> treatments,
            String comparator,
            @Nullable LevelInput level,
            @Nullable Double margin,
            boolean marginPercent,
            boolean asGood) {}

    /** Levels of a factor beside another of its levels; the factor by its name. */
    public record LevelInput(String factor, List<String> levels, String beside) {}

    public static JudgementInput of(Observations observations, Ask ask) {
        return new JudgementInput(
                lower(observations.design()),
                observations.factors(),
                observations.arms().stream()
                        .map(arm -> new ArmInput(arm.code(), arm.levels(), arm.control()))
                        .toList(),
                new EndpointInput(lower(observations.kind()), lower(observations.better()), observations.resolution()),
                observations.units().stream()
                        .map(unit -> unit(unit, observations.arms(), observations.kind()))
                        .toList(),
                new AskInput(
                        ask.treatments(),
                        comparator(ask.against()),
                        ask.against() instanceof Ask.Against.Level level
                                ? new LevelInput(
                                        observations.factors().get(level.factor()), level.levels(), level.beside())
                                : null,
                        ask.margin().isPresent() ? ask.margin().getAsDouble() : null,
                        ask.marginInPercent(),
                        ask.asGood()),
                ask.alpha(),
                lower(ask.scatter()));
    }

    private static UnitInput unit(Observed unit, List<Arm> arms, EndpointKind kind) {
        Value value = unit.value();
        boolean counted = value instanceof Value.CountOf && kind == EndpointKind.COUNT_OF;
        return new UnitInput(
                unit.unit(),
                arms.get(unit.arm()).code(),
                unit.block(),
                unit.row(),
                unit.column(),
                unit.wholePlot() == 0 ? null : unit.wholePlot(),
                value instanceof Value.NotYet
                        ? "not_yet"
                        : value instanceof Value.Measured || value instanceof Value.Came
                                ? (Object) value.inSums()
                                : null,
                counted ? ((Value.CountOf) value).k() : null,
                counted ? ((Value.CountOf) value).n() : null,
                (value instanceof Value.Missing missing && missing.died()) ? Boolean.TRUE : null,
                (value instanceof Value.NotYet waiting && waiting.by().isPresent())
                        ? (Double) waiting.by().getAsDouble()
                        : null,
                value instanceof Value.Came came ? (Double) came.after() : null);
    }

    private static String comparator(Ask.Against against) {
        if (against instanceof Ask.Against.Treatment treatment) {
            return treatment.code();
        }
        return against instanceof Ask.Against.AllPairs ? "all_pairs" : "control";
    }

    private static String lower(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT);
    }
}
