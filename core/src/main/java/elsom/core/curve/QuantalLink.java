package elsom.core.curve;

import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.LogisticDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** The shape of tolerance: normal or logistic in log dose. */
public enum QuantalLink {
    PROBIT(NormalDistribution.of(0, 1)),
    LOGIT(LogisticDistribution.of(0, 1));

    private final ContinuousDistribution tolerance;

    QuantalLink(ContinuousDistribution tolerance) {
        this.tolerance = tolerance;
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
