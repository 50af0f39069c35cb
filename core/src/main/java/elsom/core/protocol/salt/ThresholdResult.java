package elsom.core.protocol.salt;

import elsom.core.curve.SalinityResponse;
import elsom.core.dose.DoseEffect;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Dimension;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.stats.Outcome;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How yield goes with salinity: it holds up to a threshold, then falls.
 *
 * @param yield what was harvested
 * @param axis what salinity was measured by; the strength given where nothing was
 * @param fit not estimable with the reason in words, such as that it misses what was seen
 * @param beside what the strengths are held against: "none", or the weakest water where all have salts
 * @param effect what the strengths that were given did, beside that
 * @param strengths as given, with what they came to
 */
public record ThresholdResult(
        FigureKind yield,
        FigureKind axis,
        Look look,
        List<Point> points,
        Outcome<SalinityResponse> fit,
        String beside,
        DoseEffect effect,
        List<Strength> strengths)
        implements Section {
    private static final int FEWEST = 3;

    @Override
    public Subject subject() {
        return Subject.of(yield.code());
    }

    @Override
    public Account account(TrialRecord record) {
        return new ThresholdAccount(record, this).account();
    }

    /** What single strengths did, beside none. */
    public DoseEffect.Tested tested() {
        return effect.tested();
    }

    /**
     * A salinity that a crop can be kept under.
     *
     * @param salinity by the axis
     * @param byThreshold whether it is the lower end of the threshold's interval; else the strongest strength that showed no
     *     loss beside none, by units enough to have shown one that matters
     */
    public record Limit(double salinity, boolean byThreshold) {}

    /** What to keep under; empty where neither a threshold nor a strength without loss below one with it was found. */
    public Optional<Limit> limit() {
        return fit.asOptional()
                .map(found -> new Limit(found.thresholdInterval().low().orElse(found.threshold()), true))
                .or(() -> risesThenFalls() && effect.proven() ? withoutLoss() : Optional.empty());
    }

    private Optional<Limit> withoutLoss() {
        return effect.units().stream()
                .filter(unit -> unit.dose() == tested().noec().orElseThrow())
                .findFirst()
                .map(unit -> new Limit(
                        points.stream()
                                .filter(point -> point.arm() == unit.arm())
                                .mapToDouble(Point::salinity)
                                .average()
                                .orElse(Double.NaN),
                        false))
                .filter(limit -> Double.isFinite(limit.salinity()));
    }

    /** Which strength yielded most. */
    Strength best() {
        return strengths.stream()
                .max(Comparator.comparingDouble(Strength::yield))
                .orElseThrow();
    }

    /** The mean yield of what the strengths are held against; empty where that was not read. */
    OptionalDouble without() {
        return effect.levels().stream()
                .filter(level -> level.dose() == 0)
                .mapToDouble(DoseEffect.Level::mean)
                .findFirst();
    }

    /** Whether no curve goes through what was seen since it yielded most between the least and the most salt. */
    boolean risesThenFalls() {
        if (fit.asOptional().isPresent()
                || strengths.size() < FEWEST
                || without().isEmpty()) {
            return false;
        }
        DoubleSummaryStatistics salinities =
                strengths.stream().mapToDouble(Strength::salinity).summaryStatistics();
        double best = best().salinity();
        return best > salinities.getMin()
                && best < salinities.getMax()
                && tested().loec().isPresent();
    }

    /** A unit: the salinity it had, the mean over its looks, and its yield; {@code arm} is its treatment's index. */
    public record Point(String unit, int arm, double salinity, double yield) {}

    /**
     * A strength as it was given.
     *
     * @param salinity and {@code yield}: means of its units
     * @param percent of the highest yield that the curve has, or that was seen where there is none
     */
    public record Strength(String name, double salinity, double yield, double percent, int n) {}

    /** Whether salinity was measured in what drained, which is what roots live in. */
    public boolean byDrain() {
        return axis.code().equals("ec-out");
    }

    /** Whether it was measured by EC at all, so that waters can be held against it. */
    public boolean byEc() {
        return axis.unit().dimension() == Dimension.CONDUCTIVITY;
    }

    public ThresholdResult {
        points = List.copyOf(points);
        strengths = List.copyOf(strengths);
    }
}
