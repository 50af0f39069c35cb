package elsom.core.protocol.salt;

import elsom.core.curve.ProfileInterval;
import elsom.core.curve.SalinityResponse;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Door;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Tells how yield goes with salinity. */
final class ThresholdAccount {
    private static final double DIGITS = 1000;
    private static final double PERCENT = 100;

    private final TrialRecord record;
    private final ThresholdResult result;

    ThresholdAccount(TrialRecord record, ThresholdResult result) {
        this.record = record;
        this.result = result;
    }

    /** Yield over salinity: every unit, the yield that holds and then falls, and the strengths' means. */
    record Falling(
            String label,
            String unit,
            String axis,
            String axisUnit,
            List<Point> points,
            @Nullable Line line,
            List<double[]> means)
            implements Chart {
        @Override
        public String script() {
            return "threshold";
        }
    }

    /** A unit. */
    record Point(String unit, int number, double x, double y) {}

    /** The fitted line. */
    record Line(
            double highest,
            double threshold,
            @Nullable Double low,
            @Nullable Double high,
            double slope,
            double half) {}

    Account account() {
        Account.Builder account = Account.of(
                        "salinity",
                        result.yield().label() + " by "
                                + Sentence.inside(result.axis().label()))
                .about(result.look().name())
                .part(Part.drawn(chart(), strengths()).facts(facts()))
                .note("Maas & Hoffman 1977: yield holds up to a threshold and falls in a straight line beyond it."
                        + " Intervals are 95 %, by the profile of the sum of squares.");
        if (result.byEc() && result.limit().isPresent()) {
            account.door(Door.BLENDING);
        }
        return account.build();
    }

    private List<Fact> facts() {
        return result.fit()
                .asOptional()
                .map(this::facts)
                .orElseGet(() -> List.of(
                        Fact.of("No threshold", Cell.words(result.fit().whyNot().orElse("") + "."))));
    }

    private List<Fact> facts(SalinityResponse fit) {
        return List.of(
                Fact.of("Holds up to", salinity(fit.threshold(), fit.thresholdInterval())),
                Fact.of(
                        "Then falls, for each " + result.axis().unitSymbol(),
                        Cell.number(
                                Decimals.upTo(fit.slopePercent(), 1) + " %" + between(fit.slopeInterval()),
                                Amount.of(fit.slopePercent() / PERCENT, UnitOfMeasure.FRACTION)
                                        .within(
                                                share(fit.slopeInterval().low()),
                                                share(fit.slopeInterval().high())))),
                Fact.of("Half is left at", salinity(fit.halfYieldAt(), fit.halfYieldInterval())),
                Fact.of("At its best", Cell.shown(result.yield().finer(), fit.highest())));
    }

    private static OptionalDouble share(OptionalDouble percent) {
        return percent.isPresent() ? OptionalDouble.of(percent.getAsDouble() / PERCENT) : percent;
    }

    private Cell salinity(double value, ProfileInterval interval) {
        return Cell.number(
                ThresholdWording.shown(result, value, interval),
                Amount.of(value, result.axis().unit()).within(interval.low(), interval.high()));
    }

    private static String between(ProfileInterval interval) {
        return " (95 % interval "
                + (interval.low().isPresent() ? Decimals.upTo(interval.low().getAsDouble(), 1) : "less") + " to "
                + (interval.high().isPresent() ? Decimals.upTo(interval.high().getAsDouble(), 1) : "more") + ")";
    }

    private Table strengths() {
        FigureKind axis = result.axis();
        return Table.of(
                "strengths",
                "Strengths given",
                List.of(
                        Column.<ThresholdResult.Strength>words("Given", ThresholdResult.Strength::name),
                        Column.numbers("n", strength -> Cell.count(strength.n())),
                        Column.values(axis.label(), axis.finer(), ThresholdResult.Strength::salinity),
                        Column.values("Yield", result.yield().finer(), ThresholdResult.Strength::yield),
                        Column.numbers("Of the best", ThresholdAccount::ofBest)),
                result.strengths());
    }

    private static Cell ofBest(ThresholdResult.Strength strength) {
        return Cell.number(
                Decimals.fixed(strength.percent(), 0) + " %",
                Amount.of(strength.percent() / PERCENT, UnitOfMeasure.FRACTION));
    }

    private Falling chart() {
        return new Falling(
                result.yield().label(),
                result.yield().unitSymbol(),
                result.axis().label(),
                result.axis().unitSymbol(),
                result.points().stream()
                        .map(point -> new Point(
                                point.unit(),
                                record.treatment(point.arm() + 1).number(),
                                rounded(point.salinity()),
                                rounded(point.yield())))
                        .toList(),
                result.fit()
                        .asOptional()
                        .map(fit -> new Line(
                                fit.highest(),
                                fit.threshold(),
                                value(fit.thresholdInterval().low()),
                                value(fit.thresholdInterval().high()),
                                fit.slopePercent(),
                                fit.halfYieldAt()))
                        .orElse(null),
                result.strengths().stream()
                        .map(strength -> new double[] {rounded(strength.salinity()), rounded(strength.yield())})
                        .sorted(Comparator.comparingDouble(at -> at[0]))
                        .toList());
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }

    private static @Nullable Double value(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
