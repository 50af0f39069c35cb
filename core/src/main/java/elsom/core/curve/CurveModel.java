package elsom.core.curve;

/**
 * A curve over dose, {@code c + (d − c) g(u)} with {@code u = (x/e)^b}: d is the response without a dose, c the one it comes
 * to at last, held at 0 or fitted. Parameters in the order b, c (unless held at 0), d, ln e, and f for {@link #BC_4}.
 */
public enum CurveModel implements LeastSquares.Model {
    LL_3("LL.3", "log-logistic", Shape.LOG_LOGISTIC, true),
    W1_3("W1.3", "Weibull (slow, then fast)", Shape.WEIBULL_1, true),
    W2_3("W2.3", "Weibull (fast, then slow)", Shape.WEIBULL_2, true),
    LL_4("LL.4", "log-logistic with an end of its own", Shape.LOG_LOGISTIC, false),
    W1_4("W1.4", "Weibull (slow, then fast) with an end of its own", Shape.WEIBULL_1, false),
    W2_4("W2.4", "Weibull (fast, then slow) with an end of its own", Shape.WEIBULL_2, false),
    /** {@code (d + f x) g(u)}: more at low doses, then less (Brain &amp; Cousens 1989). */
    BC_4("BC.4", "a rise at low doses, then a fall", Shape.LOG_LOGISTIC, true);

    /** How the share that is left falls from 1 to 0 as the dose rises (Ritz 2010). */
    enum Shape {
        LOG_LOGISTIC(1) {
            @Override
            double share(double u) {
                return 1 / (1 + u);
            }

            @Override
            double slope(double u) {
                return -1 / ((1 + u) * (1 + u));
            }

            @Override
            double reached(double share) {
                return 1 / share - 1;
            }
        },
        WEIBULL_1(1) {
            @Override
            double share(double u) {
                return Math.exp(-u);
            }

            @Override
            double slope(double u) {
                return -Math.exp(-u);
            }

            @Override
            double reached(double share) {
                return -Math.log(share);
            }
        },
        WEIBULL_2(-1) {
            @Override
            double share(double u) {
                return -Math.expm1(-u);
            }

            @Override
            double slope(double u) {
                return Math.exp(-u);
            }

            @Override
            double reached(double share) {
                return -Math.log1p(-share);
            }
        };

        private final int sign;

        Shape(int sign) {
            this.sign = sign;
        }

        /** What is left of the way from c to d. */
        abstract double share(double u);

        /** The share's derivative by u. */
        abstract double slope(double u);

        /** The u at which this share is left. */
        abstract double reached(double share);

        /** The sign of b. */
        int sign() {
            return sign;
        }
    }

    private static final double LARGEST_POWER = 300;

    private final String code;
    private final String label;
    private final Shape shape;
    private final boolean lowerHeld;

    CurveModel(String code, String label, Shape shape, boolean lowerHeld) {
        this.code = code;
        this.label = label;
        this.shape = shape;
        this.lowerHeld = lowerHeld;
    }

    /** What {@code bin/calc} calls it. */
    public String code() {
        return code;
    }

    public String label() {
        return label;
    }

    /** Whether the curve comes down to 0 at last. */
    public boolean lowerHeld() {
        return lowerHeld;
    }

    Shape shape() {
        return shape;
    }

    public int parameters() {
        return this == BC_4 || !lowerHeld ? 4 : 3;
    }

    int indexOfTop() {
        return lowerHeld ? 1 : 2;
    }

    int indexOfLogE() {
        return indexOfTop() + 1;
    }

    double lower(double[] p) {
        return lowerHeld ? 0 : p[1];
    }

    double upper(double[] p) {
        return p[indexOfTop()];
    }

    double u(double x, double b, double logE) {
        return x == 0
                ? (b > 0 ? 0 : Double.POSITIVE_INFINITY)
                : Math.exp(Math.min(LARGEST_POWER, b * (Math.log(x) - logE)));
    }

    @Override
    public double value(double x, double[] p) {
        double share = shape.share(u(x, p[0], p[indexOfLogE()]));
        return this == BC_4 ? (p[1] + p[3] * x) * share : lower(p) + (upper(p) - lower(p)) * share;
    }

    @Override
    public double[] gradient(double x, double[] p) {
        double u = u(x, p[0], p[indexOfLogE()]);
        double share = shape.share(u);
        double way = this == BC_4 ? p[1] + p[3] * x : upper(p) - lower(p);
        double byLogU = x == 0 ? 0 : way * shape.slope(u) * u;
        double byB = x == 0 ? 0 : byLogU * (Math.log(x) - p[indexOfLogE()]);
        double byLogE = -byLogU * p[0];
        if (this == BC_4) {
            return new double[] {byB, share, byLogE, x * share};
        }
        return lowerHeld ? new double[] {byB, share, byLogE} : new double[] {byB, 1 - share, share, byLogE};
    }
}
