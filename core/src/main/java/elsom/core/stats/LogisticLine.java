package elsom.core.stats;

import java.util.Arrays;

/**
 * Logistic regression of counts on one covariate, {@code logit p = a + b x}, by maximum likelihood (iteratively
 * reweighted least squares, McCullagh & Nelder 1989).
 *
 * @param line a and b with their covariance
 */
public record LogisticLine(InverseLine line, double deviance, int degreesOfFreedom) {
    private static final int MOST_ITERATIONS = 100;
    private static final double SETTLED = 1e-12;
    private static final int MOST_HALVINGS = 40;
    private static final double SLACK = 1e-14;
    private static final String UNSETTLED = "The counts do not hold a rising or falling curve";

    /**
     * Fits counts.
     *
     * @param x covariate of each group
     * @param n number at risk, above 0
     * @param k number affected, 0 to n
     * @return not estimable when the groups are separated, so that the slope has no end
     */
    public static Outcome<LogisticLine> fit(double[] x, int[] n, int[] k) {
        check(x, n, k);
        if (separated(x, n, k)) {
            return Outcome.notEstimable("All or nothing on either side of one point: the slope can't be told");
        }
        // Centred and scaled, so that days counted from a far-off year are as good as days from the start.
        double centre =
                (Arrays.stream(x).min().orElseThrow() + Arrays.stream(x).max().orElseThrow()) / 2;
        double unit = Math.max(Double.MIN_NORMAL, Arrays.stream(x).max().orElseThrow() - centre);
        double[] u = Arrays.stream(x).map(value -> (value - centre) / unit).toArray();
        double a = 0;
        double b = 0;
        double deviance = deviance(u, n, k, a, b);
        for (int iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
            Information info = new Information(u, n, k, a, b);
            if (!(info.determinant() > 0)) {
                break;
            }
            double stepA = (info.bb * info.scoreA - info.ab * info.scoreB) / info.determinant();
            double stepB = (info.aa * info.scoreB - info.ab * info.scoreA) / info.determinant();
            double next = deviance(u, n, k, a + stepA, b + stepB);
            for (int half = 0; half < MOST_HALVINGS && !(next <= deviance + SLACK * (1 + deviance)); half++) {
                stepA /= 2;
                stepB /= 2;
                next = deviance(u, n, k, a + stepA, b + stepB);
            }
            a += stepA;
            b += stepB;
            deviance = next;
            if (Math.abs(stepA) <= SETTLED * (1 + Math.abs(a)) && Math.abs(stepB) <= SETTLED * (1 + Math.abs(b))) {
                Information last = new Information(u, n, k, a, b);
                return last.determinant() > 0
                        ? Outcome.found(new LogisticLine(last.line(a, b, centre, unit), deviance, x.length - 2))
                        : Outcome.notEstimable(UNSETTLED);
            }
        }
        return Outcome.notEstimable(UNSETTLED);
    }

    private static void check(double[] x, int[] n, int[] k) {
        if (x.length != n.length || n.length != k.length || x.length < 2) {
            throw new IllegalArgumentException("two or more groups with x, n and k are needed, got " + x.length + ", "
                    + n.length + " and " + k.length);
        }
        for (int i = 0; i < n.length; i++) {
            if (n[i] < 1 || k[i] < 0 || k[i] > n[i] || !Double.isFinite(x[i])) {
                throw new IllegalArgumentException(
                        "group " + (i + 1) + ": affected must be 0 to n and n at least 1, got " + k[i] + " of " + n[i]);
            }
        }
    }

    /** Whether some cut of x has all on one side and none on the other, or all groups are alike at the ends. */
    private static boolean separated(double[] x, int[] n, int[] k) {
        double highestUnaffected = Double.NEGATIVE_INFINITY;
        double lowestUnaffected = Double.POSITIVE_INFINITY;
        double highestAffected = Double.NEGATIVE_INFINITY;
        double lowestAffected = Double.POSITIVE_INFINITY;
        for (int i = 0; i < x.length; i++) {
            if (k[i] > 0) {
                highestAffected = Math.max(highestAffected, x[i]);
                lowestAffected = Math.min(lowestAffected, x[i]);
            }
            if (k[i] < n[i]) {
                highestUnaffected = Math.max(highestUnaffected, x[i]);
                lowestUnaffected = Math.min(lowestUnaffected, x[i]);
            }
        }
        return highestAffected <= lowestUnaffected || highestUnaffected <= lowestAffected;
    }

    /** Fisher information and score at a point. */
    private static final class Information {
        private double aa;
        private double ab;
        private double bb;
        private double scoreA;
        private double scoreB;

        Information(double[] x, int[] n, int[] k, double a, double b) {
            for (int i = 0; i < x.length; i++) {
                double p = 1 / (1 + Math.exp(-a - b * x[i]));
                double weight = n[i] * p * (1 - p);
                aa += weight;
                ab += weight * x[i];
                bb += weight * x[i] * x[i];
                scoreA += k[i] - n[i] * p;
                scoreB += (k[i] - n[i] * p) * x[i];
            }
        }

        double determinant() {
            return aa * bb - ab * ab;
        }

        /** The line in x, from the one in u = (x − centre)/unit: slope over unit, intercept moved by the centre. */
        InverseLine line(double a, double b, double centre, double unit) {
            double d = determinant();
            double moved = centre / unit;
            double varianceA = bb / d;
            double covariance = -ab / d;
            double varianceB = aa / d;
            return new InverseLine(
                    a - b * moved,
                    b / unit,
                    varianceA - 2 * moved * covariance + moved * moved * varianceB,
                    (covariance - moved * varianceB) / unit,
                    varianceB / (unit * unit));
        }
    }

    private static double deviance(double[] x, int[] n, int[] k, double a, double b) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            double p = 1 / (1 + Math.exp(-a - b * x[i]));
            sum += term(k[i], n[i] * p) + term(n[i] - k[i], n[i] * (1 - p));
        }
        return 2 * sum;
    }

    private static double term(double observed, double expected) {
        return observed > 0 ? observed * Math.log(observed / expected) : 0;
    }

    /** Where the curve has a probability; not estimable at 0 and 1, which it never reaches. */
    public Outcome<InverseLine.Place> at(double probability) {
        return probability > 0 && probability < 1
                ? Outcome.found(line.at(Math.log(probability / (1 - probability))))
                : Outcome.notEstimable("The curve never reaches 0 or 1");
    }
}
