package elsom.core.protocol.salt;

import elsom.core.curve.SalinityResponse;
import elsom.core.dose.DoseEffect;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Dimension;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.stats.Outcome;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;

/**
 * How yield goes with salinity: it holds up to a threshold, then falls.
 *
 * @param yield what was harvested
 * @param axis what salinity was measured by; the strength given where nothing was
 * @param fit not estimable with the reason in words
 * @param tested what the strengths that were given did, beside none
 * @param strengths as given, with what they came to
 */
public record ThresholdResult(
        FigureKind yield,
        FigureKind axis,
        Look look,
        List<Point> points,
        Outcome<SalinityResponse> fit,
        DoseEffect.Tested tested,
        List<Strength> strengths)
        implements Section {
    @Override
    public Account account(TrialRecord record) {
        return new ThresholdAccount(record, this).account();
    }

    /** A unit: the salinity it had, the mean over its looks, and its yield; {@code arm} is its treatment's index. */
    public record Point(String unit, int arm, double salinity, double yield) {}

    /**
     * A strength as it was given.
     *
     * @param salinity and {@code yield}: means of its units
     * @param percent of the highest yield that the curve has; NaN without a curve
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
