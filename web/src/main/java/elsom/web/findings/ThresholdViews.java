package elsom.web.findings;

import elsom.core.curve.ProfileInterval;
import elsom.core.curve.SalinityResponse;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.results.FigureKind;
import elsom.core.results.ThresholdResult;
import elsom.core.results.ThresholdWording;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Turns how yield goes with salinity into what a page shows. */
final class ThresholdViews {
    private static final double DIGITS = 1000;

    private ThresholdViews() {}

    static SectionView of(TrialRecord record, ThresholdResult result, Links links) {
        FigureKind axis = result.axis();
        FigureKind yield = result.yield();
        return new SectionView.Threshold(
                yield.label() + " by " + Sentence.inside(axis.label()),
                result.look().name(),
                result.fit()
                        .asOptional()
                        .map(fit -> numbers(result, fit))
                        .orElseGet(() -> List.of(new SectionView.Threshold.Told(
                                "No threshold", result.fit().whyNot().orElse("") + "."))),
                result.strengths().stream()
                        .map(strength -> new SectionView.Threshold.Strength(
                                strength.name(),
                                strength.n(),
                                axis.finer().show(strength.salinity()),
                                yield.finer().show(strength.yield()),
                                Double.isNaN(strength.percent()) ? "–" : Decimals.fixed(strength.percent(), 0) + " %"))
                        .toList(),
                axis.label(),
                result.byEc() && result.fit().asOptional().isPresent() ? links.blending() : "",
                Json.of(chart(record, result)));
    }

    private static List<SectionView.Threshold.Told> numbers(ThresholdResult result, SalinityResponse fit) {
        String each = result.axis().unitSymbol();
        return List.of(
                new SectionView.Threshold.Told(
                        "Holds up to", ThresholdWording.shown(result, fit.threshold(), fit.thresholdInterval())),
                new SectionView.Threshold.Told(
                        "Then falls, for each " + each,
                        Decimals.upTo(fit.slopePercent(), 1) + " %" + between(fit.slopeInterval())),
                new SectionView.Threshold.Told(
                        "Half is left at", ThresholdWording.shown(result, fit.halfYieldAt(), fit.halfYieldInterval())),
                new SectionView.Threshold.Told(
                        "At its best", result.yield().finer().show(fit.highest())));
    }

    private static String between(ProfileInterval interval) {
        return " (95 % interval "
                + (interval.low().isPresent() ? Decimals.upTo(interval.low().getAsDouble(), 1) : "less") + " to "
                + (interval.high().isPresent() ? Decimals.upTo(interval.high().getAsDouble(), 1) : "more") + ")";
    }

    record Chart(
            String label,
            String unit,
            String axis,
            String axisUnit,
            List<Point> points,
            @Nullable Line line) {}

    record Point(String unit, int number, double x, double y) {}

    record Line(
            double highest,
            double threshold,
            @Nullable Double low,
            @Nullable Double high,
            double slope,
            double half) {}

    private static Chart chart(TrialRecord record, ThresholdResult result) {
        return new Chart(
                result.yield().label(),
                result.yield().unitSymbol(),
                result.axis().label(),
                result.axis().unitSymbol(),
                result.points().stream()
                        .map(point -> new Point(
                                point.unit(),
                                Swatch.of(record.treatment(point.arm() + 1)).number(),
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
                        .orElse(null));
    }

    private static double rounded(double value) {
        return Math.round(value * DIGITS) / DIGITS;
    }

    private static @Nullable Double value(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
