package elsom.core.truth;

/**
 * How a sort of plant takes what it meets. Salt by the classes of Maas and Hoffman (1977) for sensitive and moderately
 * tolerant crops; residue of the auxin type by the known order of sensitivity, legumes first, grasses hardly.
 */
public enum Species {
    LEGUME("peas", 1.5, 0.16, 0.25),
    BROADLEAF("basil", 1.8, 0.13, 0.6),
    GRASS("barley", 4.0, 0.06, 12);

    private final String example;
    private final double saltThreshold;
    private final double saltLoss;
    private final double residueHalf;

    Species(String example, double saltThreshold, double saltLoss, double residueHalf) {
        this.example = example;
        this.saltThreshold = saltThreshold;
        this.saltLoss = saltLoss;
        this.residueHalf = residueHalf;
    }

    /** A plant of the sort. */
    public String example() {
        return example;
    }

    /** EC of the saturated medium, mS/cm, up to which nothing is lost. */
    double saltThreshold() {
        return saltThreshold;
    }

    /** Share of growth lost for each mS/cm more. */
    double saltLoss() {
        return saltLoss;
    }

    /** Residue, in shares of a badly loaded lot, that does half its harm. */
    double residueHalf() {
        return residueHalf;
    }
}
