package elsom.core.curve;

import elsom.core.stats.InverseLine;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.ChiSquaredTest;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.numbers.combinatorics.LogBinomialCoefficient;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Affected counts against log10 dose, {@code p = C + (1 − C) F(a + b log10 dose)}, by maximum likelihood with Fisher
 * scoring (Finney 1971).
 *
 * @param line a and b with their covariance, from the expected information
 * @param background C; 0 when none is assumed
 * @param backgroundError empty when C is not estimated or sits at 0
 * @param used the levels the fit is judged on
 */
public record QuantalFit(
        QuantalLink link,
        InverseLine line,
        double background,
        OptionalDouble backgroundError,
        boolean backgroundAtZero,
        List<QuantalLevel> used) {
    private static final int MOST_ITERATIONS = 500;
    private static final double SETTLED = 1e-11;
    private static final double RUNAWAY = 200;
    private static final double SMALLEST = 1e-12;

    /** Why a curve can't be fitted to counts. */
    public enum Refusal {
        DEAD_CONTROL("The whole control was affected"),
        NO_RESPONSE("Nothing rises with the dose: no response"),
        TOTAL_KILL("Every dose affected all: test lower doses"),
        COMPLETE_SEPARATION("All or nothing between two doses: the slope can't be told");

        private final String reason;

        Refusal(String reason) {
            this.reason = reason;
        }

        public String reason() {
            return reason;
        }
    }

    /** Why these levels hold no curve; empty when they may. */
    public static Optional<Refusal> refusal(List<QuantalLevel> levels) {
        List<QuantalLevel> control = levels.stream().filter(l -> l.dose() == 0).toList();
        List<QuantalLevel> treated = treated(levels);
        if (!control.isEmpty() && control.stream().allMatch(l -> l.affected() == l.n())) {
            return Optional.of(Refusal.DEAD_CONTROL);
        }
        if (treated.isEmpty() || treated.stream().allMatch(l -> l.affected() == 0)) {
            return Optional.of(Refusal.NO_RESPONSE);
        }
        if (treated.stream().allMatch(l -> l.affected() == l.n())) {
            return Optional.of(Refusal.TOTAL_KILL);
        }
        double lowestAffected = treated.stream()
                .filter(l -> l.affected() > 0)
                .mapToDouble(QuantalLevel::dose)
                .min()
                .orElseThrow();
        double highestUnaffected = treated.stream()
                .filter(l -> l.affected() < l.n())
                .mapToDouble(QuantalLevel::dose)
                .max()
                .orElseThrow();
        return highestUnaffected <= lowestAffected ? Optional.of(Refusal.COMPLETE_SEPARATION) : Optional.empty();
    }

    private static List<QuantalLevel> treated(List<QuantalLevel> levels) {
        return levels.stream().filter(level -> level.dose() > 0).toList();
    }

    /** Fits; without background the control is left out. */
    public static Outcome<QuantalFit> fit(List<QuantalLevel> levels, QuantalLink link, boolean estimateBackground) {
        Optional<Refusal> refusal = refusal(levels);
        if (refusal.isPresent()) {
            return Outcome.notEstimable(refusal.get().reason() + bracket(levels, refusal.get()));
        }
        List<QuantalLevel> treated = treated(levels);
        Optional<double[]> plain = scoring(treated, link, start(treated, link, 0));
        boolean interior = estimateBackground && (plain.isEmpty() || scoreOfBackground(levels, link, plain.get()) > 0);
        if (interior) {
            double control = controlShare(levels);
            double first = Math.max(0.01, Math.min(0.5, control));
            Optional<double[]> fitted = scoring(levels, link, start(treated, link, first));
            if (fitted.isPresent() || plain.isEmpty()) {
                return fitted.map(p -> made(levels, levels, link, p)).orElseGet(QuantalFit::unsettled);
            }
        }
        return plain.map(p -> made(estimateBackground ? levels : treated, treated, link, p))
                .orElseGet(QuantalFit::unsettled);
    }

    /** The two tested doses that the LC50 lies between, where that is all that can be said. */
    private static String bracket(List<QuantalLevel> levels, Refusal refusal) {
        if (refusal != Refusal.COMPLETE_SEPARATION) {
            return "";
        }
        double none = treated(levels).stream()
                .filter(l -> l.affected() < l.n())
                .mapToDouble(QuantalLevel::dose)
                .max()
                .orElseThrow();
        double all = treated(levels).stream()
                .filter(l -> l.affected() == l.n())
                .mapToDouble(QuantalLevel::dose)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        return "; half are affected somewhere from " + none + (Double.isInfinite(all) ? " up" : " to " + all);
    }

    private static Outcome<QuantalFit> unsettled() {
        return Outcome.notEstimable("The counts do not hold a curve that rises with the dose");
    }

    private static double controlShare(List<QuantalLevel> levels) {
        int n = levels.stream()
                .filter(l -> l.dose() == 0)
                .mapToInt(QuantalLevel::n)
                .sum();
        int affected = levels.stream()
                .filter(l -> l.dose() == 0)
                .mapToInt(QuantalLevel::affected)
                .sum();
        return n == 0 ? 0 : (double) affected / n;
    }

    /** A straight line through empirical levels, pulled in from 0 and 1. */
    private static double[] start(List<QuantalLevel> treated, QuantalLink link, double background) {
        double n = treated.size();
        double sumX = 0;
        double sumY = 0;
        double sumXx = 0;
        double sumXy = 0;
        for (QuantalLevel level : treated) {
            double share = (level.affected() + 0.5) / (level.n() + 1.0);
            double corrected = Math.min(0.98, Math.max(0.02, (share - background) / (1 - background)));
            double y = link.level(corrected);
            sumX += level.logDose();
            sumY += y;
            sumXx += level.logDose() * level.logDose();
            sumXy += level.logDose() * y;
        }
        double spread = sumXx - sumX * sumX / n;
        double slope = spread > 0 ? Math.max(0.5, (sumXy - sumX * sumY / n) / spread) : 1;
        double intercept = (sumY - slope * sumX) / n;
        return background > 0 ? new double[] {intercept, slope, background} : new double[] {intercept, slope};
    }

    private static double expected(QuantalLevel level, QuantalLink link, double[] p) {
        double background = p.length > 2 ? p[2] : 0;
        double share = level.dose() == 0 ? 0 : link.share(p[0] + p[1] * level.logDose());
        return Math.min(1 - SMALLEST, Math.max(SMALLEST, background + (1 - background) * share));
    }

    private static double[] gradient(QuantalLevel level, QuantalLink link, double[] p) {
        double background = p.length > 2 ? p[2] : 0;
        double eta = level.dose() == 0 ? 0 : p[0] + p[1] * level.logDose();
        double density = level.dose() == 0 ? 0 : (1 - background) * link.density(eta);
        double byIntercept = density;
        double bySlope = level.dose() == 0 ? 0 : density * level.logDose();
        double share = level.dose() == 0 ? 0 : link.share(eta);
        return p.length > 2 ? new double[] {byIntercept, bySlope, 1 - share} : new double[] {byIntercept, bySlope};
    }

    private static double kernel(List<QuantalLevel> levels, QuantalLink link, double[] p) {
        double sum = 0;
        for (QuantalLevel level : levels) {
            double share = expected(level, link, p);
            sum += level.affected() * Math.log(share) + (level.n() - level.affected()) * Math.log1p(-share);
        }
        return sum;
    }

    private static double scoreOfBackground(List<QuantalLevel> levels, QuantalLink link, double[] p) {
        double sum = 0;
        double[] none = {p[0], p[1], 0};
        for (QuantalLevel level : levels) {
            double share = expected(level, link, none);
            sum += (level.affected() - level.n() * share) / (share * (1 - share)) * gradient(level, link, none)[2];
        }
        return sum;
    }

    private static RealMatrix information(List<QuantalLevel> levels, QuantalLink link, double[] p) {
        RealMatrix information = new Array2DRowRealMatrix(p.length, p.length);
        for (QuantalLevel level : levels) {
            double share = expected(level, link, p);
            RealVector slope = new ArrayRealVector(gradient(level, link, p));
            information = information.add(slope.outerProduct(slope).scalarMultiply(level.n() / (share * (1 - share))));
        }
        return information;
    }

    /** Fisher scoring with halved steps; empty when the slope runs away or falls. */
    private static Optional<double[]> scoring(List<QuantalLevel> levels, QuantalLink link, double[] from) {
        double[] p = from;
        double likelihood = kernel(levels, link, p);
        for (int i = 0; i < MOST_ITERATIONS; i++) {
            RealVector score = new ArrayRealVector(p.length);
            for (QuantalLevel level : levels) {
                double share = expected(level, link, p);
                score = score.add(new ArrayRealVector(gradient(level, link, p))
                        .mapMultiply((level.affected() - level.n() * share) / (share * (1 - share))));
            }
            QRDecomposition solver = new QRDecomposition(information(levels, link, p), 1e-300);
            if (!solver.getSolver().isNonSingular()) {
                return Optional.empty();
            }
            RealVector step = solver.getSolver().solve(score);
            double scale = 1;
            double[] next = moved(p, step, scale);
            double better = kernel(levels, link, next);
            while (!(better >= likelihood - 1e-12) && scale > 1e-8) {
                scale /= 2;
                next = moved(p, step, scale);
                better = kernel(levels, link, next);
            }
            boolean settled = step.mapMultiply(scale).getLInfNorm() < SETTLED * (1 + Math.abs(p[1]));
            p = next;
            likelihood = better;
            if (Math.abs(p[1]) > RUNAWAY) {
                return Optional.empty();
            }
            if (settled) {
                return p[1] > 0 ? Optional.of(p) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private static double[] moved(double[] p, RealVector step, double scale) {
        double[] next = p.clone();
        for (int i = 0; i < next.length; i++) {
            next[i] += scale * step.getEntry(i);
        }
        if (next.length > 2) {
            next[2] = Math.min(1 - 1e-9, Math.max(1e-9, next[2]));
        }
        return next;
    }

    private static Outcome<QuantalFit> made(
            List<QuantalLevel> used, List<QuantalLevel> informing, QuantalLink link, double[] p) {
        RealMatrix covariance =
                new QRDecomposition(information(informing, link, p)).getSolver().getInverse();
        boolean fitted = p.length > 2;
        boolean atZero = !fitted && used.size() > informing.size();
        return Outcome.found(new QuantalFit(
                link,
                new InverseLine(
                        p[0], p[1], covariance.getEntry(0, 0), covariance.getEntry(0, 1), covariance.getEntry(1, 1)),
                fitted ? p[2] : 0,
                fitted ? OptionalDouble.of(Math.sqrt(covariance.getEntry(2, 2))) : OptionalDouble.empty(),
                atZero,
                used));
    }

    private double[] parameters() {
        return background > 0
                ? new double[] {line.intercept(), line.slope(), background}
                : new double[] {line.intercept(), line.slope()};
    }

    /** Where this share of those not affected anyway is affected, on log10 dose. */
    public InverseLine.Place logDoseAt(double share) {
        return line.at(link.level(share));
    }

    /** The log likelihood without its binomial coefficients. */
    public double kernelLikelihood() {
        return kernel(used, link, parameters());
    }

    /** The log likelihood with its binomial coefficients. */
    public double fullLikelihood() {
        return kernelLikelihood()
                + used.stream()
                        .mapToDouble(l -> LogBinomialCoefficient.value(l.n(), l.affected()))
                        .sum();
    }

    public double deviance() {
        double sum = 0;
        for (QuantalLevel level : used) {
            double share = expected(level, link, parameters());
            sum += term(level.affected(), level.n() * share)
                    + term(level.n() - level.affected(), level.n() * (1 - share));
        }
        return 2 * sum;
    }

    private static double term(double observed, double expected) {
        return observed > 0 ? observed * Math.log(observed / expected) : 0;
    }

    /** Pearson's test of the fit; its p is 1 without degrees of freedom. */
    public ChiSquaredTest pearson() {
        double sum = 0;
        for (QuantalLevel level : used) {
            double share = expected(level, link, parameters());
            double off = level.affected() - level.n() * share;
            sum += off * off / (level.n() * share * (1 - share));
        }
        int df = used.size() - (backgroundError.isPresent() ? 3 : 2);
        return new ChiSquaredTest(
                sum, df, df > 0 ? ChiSquaredDistribution.of(df).survivalProbability(sum) : 1);
    }
}
