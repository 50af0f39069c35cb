package elsom.core.truth;

/** What growth depends on, each by its own shape. */
public enum Stressor {
    /** Wilting near 0; most growth a little below what the medium can hold. */
    WATER("water") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.saturating(at.water(), 0.22);
        }
    },
    /** Roots lack air below a tenth of the volume (De Boodt and Verdonck 1972). */
    AIR("air") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.saturating(at.air(), 0.04);
        }
    },
    ACIDITY("pH") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.bell(at.ph(), 6.2, 1.6);
        }
    },
    SALT("salts") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.beyond(at.ecMs(), species.saltThreshold(), species.saltLoss());
        }
    },
    NITROGEN("nitrogen") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.saturating(at.nitrogenPpm(), 50);
        }
    },
    LIGHT("light") {
        @Override
        double factor(Surroundings at, Species species) {
            return Shapes.hyperbolic(at.light(), 9);
        }
    },
    /** A harmed plant keeps a tenth of its growth. */
    RESIDUE("a weedkiller residue") {
        @Override
        double factor(Surroundings at, Species species) {
            return 1 - 0.9 * Shapes.doseEffect(at.residue(), species.residueHalf(), 2.2);
        }
    };

    private final String label;

    Stressor(String label) {
        this.label = label;
    }

    /** In a grower's words. */
    public String label() {
        return label;
    }

    /** The share of growth that is left by this alone, above 0 to 1. */
    abstract double factor(Surroundings at, Species species);
}
