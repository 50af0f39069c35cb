package elsom.core.dose;

import elsom.core.curve.DoseResponse;
import elsom.core.curve.Hormesis;
import elsom.core.curve.LeastSquaresFit;
import elsom.core.curve.LogLogistic;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.statistics.distribution.TDistribution;

/** A curve through measurements, by least squares. */
public final class MeasuredCurve implements DoseCurve {
    private static final double STIMULATES = 0.05;
    private static final double WORTH = 2;

    private final Model model;
    private final DoseResponse data;
    private final LeastSquaresFit fit;
    private final DoubleUnaryOperator at;
    private final DoubleUnaryOperator errorAt;
    private final DoubleFunction<Optional<DoseResponse.Effective>> effective;

    private MeasuredCurve(LogLogistic curve) {
        this.model = curve.lowerHeld() ? Model.LOG_LOGISTIC_3 : Model.LOG_LOGISTIC_4;
        this.data = curve.data();
        this.fit = curve.fit();
        this.at = curve::at;
        this.errorAt = curve::standardErrorAt;
        this.effective = percent -> Optional.of(curve.effective(percent));
    }

    private MeasuredCurve(Hormesis curve) {
        this.model = Model.HORMESIS;
        this.data = curve.data();
        this.fit = curve.fit();
        this.at = curve::at;
        this.errorAt = curve::standardErrorAt;
        this.effective = percent -> curve.effective(percent).asOptional();
    }

    /**
     * The curve that the data hold: the simplest, unless a richer one has an {@link #aicc} lower by more than 2 (Burnham &
     * Anderson 2002), among log-logistic curves with one end held at 0 or both
     * fitted, and, for a fall, one with a rise before it where that rise is more than chance.
     *
     * @return not estimable with the reason in words: no response, too few doses, all or nothing between two
     */
    public static Outcome<DoseCurve> best(DoseResponse data, DoseResponse.Direction direction) {
        Outcome<LogLogistic> held = LogLogistic.fit(data, true, direction);
        List<MeasuredCurve> curves = new ArrayList<>();
        held.asOptional().map(MeasuredCurve::new).ifPresent(curves::add);
        LogLogistic.fit(data, false, direction)
                .asOptional()
                .map(MeasuredCurve::new)
                .ifPresent(curves::add);
        if (direction == DoseResponse.Direction.DECREASE) {
            Hormesis.fit(data)
                    .asOptional()
                    .filter(curve -> curve.f() > 0 && curve.stimulation().p() < STIMULATES)
                    .map(MeasuredCurve::new)
                    .ifPresent(curves::add);
        }
        return curves.stream()
                .filter(curve -> Double.isFinite(curve.aicc()))
                .reduce((simple, richer) -> richer.aicc() < simple.aicc() - WORTH ? richer : simple)
                .<Outcome<DoseCurve>>map(Outcome::found)
                .orElseGet(() -> Outcome.notEstimable(held.whyNot().orElse("The points don't settle on any curve")));
    }

    @Override
    public Model model() {
        return model;
    }

    @Override
    public double at(double dose) {
        return at.applyAsDouble(dose);
    }

    @Override
    public Optional<Interval> bandAt(double dose) {
        double half = TDistribution.of(fit.degreesOfFreedom()).inverseSurvivalProbability(0.025)
                * errorAt.applyAsDouble(dose);
        return Double.isFinite(half) ? Optional.of(new Interval(at(dose) - half, at(dose) + half)) : Optional.empty();
    }

    @Override
    public Optional<Effective> effective(double percent) {
        return effective
                .apply(percent)
                .filter(found -> Double.isFinite(found.dose())
                        && Double.isFinite(found.logInterval95().high()))
                .map(found -> new Effective(percent, found.dose(), found.logInterval95(), found.extrapolated()));
    }

    @Override
    public double aicc() {
        int n = data.points().size();
        int k = fit.estimates().length + 1;
        double loss = Math.max(fit.residualSumOfSquares(), Double.MIN_NORMAL);
        return n - k - 1 <= 0 ? Double.NaN : n * Math.log(loss / n) + 2.0 * k + 2.0 * k * (k + 1) / (n - k - 1);
    }

    @Override
    public OptionalDouble lackOfFitP() {
        return data.lackOfFit(fit)
                .asOptional()
                .map(test -> OptionalDouble.of(test.p()))
                .orElse(OptionalDouble.empty());
    }
}
