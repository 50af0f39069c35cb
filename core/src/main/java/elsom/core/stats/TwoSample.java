package elsom.core.stats;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/** A control and a treatment; differences are treatment less control. */
public record TwoSample(Group control, Group treatment) {
    private static final double Z = NormalDistribution.of(0, 1).inverseSurvivalProbability(0.025);

    /** A difference with its standard error and degrees of freedom. */
    public record T(double difference, double error, double df) {
        public double t() {
            return difference / error;
        }

        /** Two-sided. */
        public double p() {
            return 2 * TDistribution.of(df).survivalProbability(Math.abs(t()));
        }

        public Interval interval(double level) {
            double half = TDistribution.of(df).inverseSurvivalProbability((1 - level) / 2) * error;
            return new Interval(difference - half, difference + half);
        }

        /** P-value of "not above a lower limit". */
        public double pAbove(double limit) {
            return TDistribution.of(df).survivalProbability((difference - limit) / error);
        }

        /** P-value of "not below an upper limit". */
        public double pBelow(double limit) {
            return TDistribution.of(df).cumulativeProbability((difference - limit) / error);
        }
    }

    public double difference() {
        return treatment.mean() - control.mean();
    }

    private int pooledDf() {
        return control.n() + treatment.n() - 2;
    }

    private double pooledVariance() {
        return (control.squares() + treatment.squares()) / pooledDf();
    }

    /** With one variance for both. */
    public Outcome<T> student() {
        if (pooledDf() < 1 || !(pooledVariance() > 0)) {
            return Outcome.notEstimable("Nothing scatters, so there is nothing to judge by");
        }
        double error = Math.sqrt(pooledVariance() * (1.0 / control.n() + 1.0 / treatment.n()));
        return Outcome.found(new T(difference(), error, pooledDf()));
    }

    /** With a variance each. */
    public Outcome<T> welch() {
        return WelchT.of(control, treatment)
                .then(welch -> Outcome.found(new T(welch.difference(), welch.error(), welch.df())));
    }

    /**
     * The standardised difference.
     *
     * @param d over the pooled standard deviation (Cohen 1969)
     * @param correction J, the exact small-sample factor (Hedges 1981)
     * @param noncentral95 by the noncentral t, times J
     */
    public record Effect(
            double d, double correction, double approximateCorrection, Interval noncentral95, int n1, int n2) {
        /** Hedges' g. */
        public double g() {
            return d * correction;
        }

        public Interval normal95() {
            double half = Z * Math.sqrt((n1 + n2) / ((double) n1 * n2) + g() * g() / (2.0 * (n1 + n2)));
            return new Interval(g() - half, g() + half);
        }
    }

    /** Not estimable with fewer than 2 degrees of freedom. */
    public Outcome<Effect> effect() {
        int df = pooledDf();
        return student().then(t -> {
            if (df < 2) {
                return Outcome.notEstimable("Too few units for a standardised difference");
            }
            double correction =
                    Math.exp(LogGamma.value(df / 2.0) - 0.5 * Math.log(df / 2.0) - LogGamma.value((df - 1) / 2.0));
            double scale = Math.sqrt(1.0 / control.n() + 1.0 / treatment.n()) * correction;
            Interval interval = new Interval(
                    scale * NoncentralT.noncentralityFor(t.t(), df, 0.975),
                    scale * NoncentralT.noncentralityFor(t.t(), df, 0.025));
            return Outcome.found(new Effect(
                    t.difference() / Math.sqrt(pooledVariance()),
                    correction,
                    1 - 3 / (4.0 * df - 1),
                    interval,
                    control.n(),
                    treatment.n()));
        });
    }

    /** By how many percent the treatment differs from the control; not estimable for a control of 0. */
    public Outcome<Double> percent() {
        return control.mean() != 0
                ? Outcome.found(100 * (treatment.mean() / control.mean() - 1))
                : Outcome.notEstimable("The control's mean is 0, so nothing is a percentage of it");
    }

    /**
     * Fieller's (1954) 95 % interval of that percentage.
     *
     * @param g how uncertain the control's mean is; at 1 or more there is no bounded interval
     */
    public record Fieller(double g, Optional<Interval> percent95) {}

    /** With one variance for both. */
    public Outcome<Fieller> fiellerPooled() {
        return student()
                .then(t -> fieller(pooledVariance() / control.n(), pooledVariance() / treatment.n(), pooledDf()));
    }

    /** With a variance each, and Welch's degrees of freedom of the difference. */
    public Outcome<Fieller> fiellerWelch() {
        return welch().then(
                        t -> fieller(control.variance() / control.n(), treatment.variance() / treatment.n(), t.df()));
    }

    private Outcome<Fieller> fieller(double controlVariance, double treatmentVariance, double df) {
        if (control.mean() == 0) {
            return Outcome.notEstimable("The control's mean is 0, so nothing is a percentage of it");
        }
        double t = TDistribution.of(df).inverseSurvivalProbability(0.025);
        double base = control.mean();
        double g = t * t * controlVariance / (base * base);
        if (g >= 1) {
            return Outcome.found(new Fieller(g, Optional.empty()));
        }
        double ratio = treatment.mean() / base;
        double half = t / Math.abs(base) * Math.sqrt(treatmentVariance * (1 - g) + ratio * ratio * controlVariance);
        DoubleUnaryOperator percent = r -> 100 * (r - 1);
        return Outcome.found(new Fieller(
                g,
                Optional.of(new Interval(
                        percent.applyAsDouble((ratio - half) / (1 - g)),
                        percent.applyAsDouble((ratio + half) / (1 - g))))));
    }

    /** The logarithm of the ratio of means. */
    public record LogRatio(double logRatio, double error, double df) {
        /** 95 % interval in percent with the normal quantile. */
        public Interval percentByZ() {
            return percent(Z);
        }

        /** 95 % interval in percent with Student's t. */
        public Interval percentByT() {
            return percent(TDistribution.of(df).inverseSurvivalProbability(0.025));
        }

        private Interval percent(double quantile) {
            return new Interval(
                    100 * Math.expm1(logRatio - quantile * error), 100 * Math.expm1(logRatio + quantile * error));
        }
    }

    /** Not estimable unless both means have the same sign. */
    public Outcome<LogRatio> logRatio() {
        double ratio = treatment.mean() / control.mean();
        if (!(ratio > 0) || Double.isInfinite(ratio)) {
            return Outcome.notEstimable("A ratio of means has a logarithm only when both have the same sign");
        }
        return welch().then(t -> {
            double relativeControl = control.variance() / control.n() / (control.mean() * control.mean());
            double relativeTreatment = treatment.variance() / treatment.n() / (treatment.mean() * treatment.mean());
            return Outcome.found(new LogRatio(Math.log(ratio), Math.sqrt(relativeControl + relativeTreatment), t.df()));
        });
    }
}
