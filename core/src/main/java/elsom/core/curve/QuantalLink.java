package elsom.core.curve;

import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.GumbelDistribution;
import org.apache.commons.statistics.distribution.LogisticDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** The shape of tolerance in log dose: normal, logistic, or that of the least of many (Weibull's on the dose itself). */
public enum QuantalLink {
    PROBIT("probit", NormalDistribution.of(0, 1)),
    LOGIT("logit", LogisticDistribution.of(0, 1)),
    WEIBULL("Weibull", GumbelDistribution.of(0, 1)) {
        @Override
        public double share(double level) {
            return tolerance().survivalProbability(-level);
        }

        @Override
        double density(double level) {
            return tolerance().density(-level);
        }

        @Override
        public double level(double share) {
            return -tolerance().inverseSurvivalProbability(share);
        }
    };

    private final String label;
    private final ContinuousDistribution tolerance;

    QuantalLink(String label, ContinuousDistribution tolerance) {
        this.label = label;
        this.tolerance = tolerance;
    }

    ContinuousDistribution tolerance() {
        return tolerance;
    }

    public String label() {
        return label;
    }

    /** The share affected at a level. */
    public double share(double level) {
        return tolerance.cumulativeProbability(level);
    }

    double density(double level) {
        return tolerance.density(level);
    }

    /** The level at which this share is affected. */
    public double level(double share) {
        return tolerance.inverseCumulativeProbability(share);
    }
}
