package elsom.core.dose;

import elsom.core.curve.QuantalFit;
import elsom.core.curve.QuantalLevel;
import elsom.core.curve.QuantalLink;
import elsom.core.stats.Interval;
import elsom.core.stats.InverseLine;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A curve through counts, with the background estimated. Where units of one dose scatter by more than chance, as plants of
 * a tray share its luck, errors are widened by the square root of the heterogeneity (Finney 1971, ch. 4).
 *
 * @param affectedIsShown whether the share that is read is the affected one; else it is what is left
 */
public record CountedCurve(QuantalFit fit, List<QuantalLevel> units, boolean affectedIsShown) implements DoseCurve {
    private static final double CLEAR = 0.05;

    public CountedCurve {
        units = List.copyOf(units);
    }

    /** The better of probit and logit through the units' counts; not estimable with the reason in words. */
    static Outcome<DoseCurve> best(List<QuantalLevel> units, boolean affectedIsShown) {
        Outcome<QuantalFit> probit = QuantalFit.fit(units, QuantalLink.PROBIT, true);
        Outcome<QuantalFit> logit = QuantalFit.fit(units, QuantalLink.LOGIT, true);
        return Stream.of(probit, logit)
                .flatMap(outcome -> outcome.asOptional().stream())
                .filter(fit -> fit.line().slope() > 0)
                .map(fit -> new CountedCurve(fit, units, affectedIsShown))
                .min((a, b) -> Double.compare(a.aicc(), b.aicc()))
                .<Outcome<DoseCurve>>map(Outcome::found)
                .orElseGet(
                        () -> Outcome.notEstimable(probit.whyNot().orElse("Nothing rises with the dose: no response")));
    }

    @Override
    public Model model() {
        return fit.link() == QuantalLink.PROBIT ? Model.PROBIT : Model.LOGIT;
    }

    /** By how much units scatter beyond chance; 1 where that is not clear. */
    double heterogeneity() {
        ChiSquaredTest test = fit.pearson();
        return test.df() > 0 && test.p() < CLEAR ? test.statistic() / test.df() : 1;
    }

    private double quantile() {
        ChiSquaredTest test = fit.pearson();
        return heterogeneity() > 1
                ? TDistribution.of(test.df()).inverseSurvivalProbability(0.025)
                : NormalDistribution.of(0, 1).inverseSurvivalProbability(0.025);
    }

    private double shown(double affected) {
        double share = fit.background() + (1 - fit.background()) * affected;
        return affectedIsShown ? share : 1 - share;
    }

    @Override
    public double at(double dose) {
        return shown(dose == 0 ? 0 : fit.link().share(level(dose)));
    }

    private double level(double dose) {
        return fit.line().intercept() + fit.line().slope() * Math.log10(dose);
    }

    @Override
    public Optional<Interval> bandAt(double dose) {
        if (dose == 0) {
            return Optional.empty();
        }
        InverseLine line = fit.line();
        double x = Math.log10(dose);
        double half = quantile()
                * Math.sqrt(heterogeneity()
                        * (line.varianceOfIntercept() + 2 * x * line.covariance() + x * x * line.varianceOfSlope()));
        double one = shown(fit.link().share(level(dose) - half));
        double other = shown(fit.link().share(level(dose) + half));
        return Optional.of(new Interval(Math.min(one, other), Math.max(one, other)));
    }

    @Override
    public Optional<Effective> effective(double percent) {
        InverseLine.Place place = fit.logDoseAt(percent / 100);
        double half = quantile() * place.standardError() * Math.sqrt(heterogeneity());
        double dose = Math.pow(10, place.x());
        List<Double> tested = units.stream()
                .map(QuantalLevel::dose)
                .filter(d -> d > 0)
                .sorted()
                .toList();
        return Double.isFinite(dose) && Double.isFinite(half)
                ? Optional.of(new Effective(
                        percent,
                        dose,
                        new Interval(Math.pow(10, place.x() - half), Math.pow(10, place.x() + half)),
                        dose < tested.get(0) || dose > tested.get(tested.size() - 1)))
                : Optional.empty();
    }

    @Override
    public double aicc() {
        int k = fit.backgroundError().isPresent() ? 3 : 2;
        int n = units.size();
        return -2 * fit.kernelLikelihood() + 2.0 * k + (n - k - 1 > 0 ? 2.0 * k * (k + 1) / (n - k - 1) : 0);
    }

    @Override
    public OptionalDouble lackOfFitP() {
        return fit.pearson().df() > 0 ? OptionalDouble.of(fit.pearson().p()) : OptionalDouble.empty();
    }
}
