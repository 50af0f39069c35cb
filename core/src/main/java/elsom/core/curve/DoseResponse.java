package elsom.core.curve;

import elsom.core.stats.Group;
import elsom.core.stats.Interval;
import elsom.core.stats.OneWay;
import elsom.core.stats.Outcome;
import elsom.core.stats.Tests.FTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.FDistribution;

/** Measurements at doses, and what can be asked of them before a curve is fitted. Doses are 0 or more. */
public record DoseResponse(List<Point> points) {
    private static final double NO_RESPONSE = 0.05;

    /** A unit's measured response at its dose. */
    public record Point(double dose, double response) {
        public Point {
            if (!(dose >= 0) || Double.isInfinite(dose) || !Double.isFinite(response)) {
                throw new IllegalArgumentException(
                        "a dose must be 0 or more and a response finite, got " + dose + " and " + response);
            }
        }
    }

    /** Which way the response goes as the dose rises. */
    public enum Direction {
        DECREASE,
        INCREASE
    }

    /**
     * An effective concentration.
     *
     * @param percent of the way from control to the other end
     * @param interval95 on the dose scale
     * @param logInterval95 on the logarithmic scale
     * @param extrapolated whether it lies outside the positive doses tested
     */
    public record Effective(
            double percent,
            double dose,
            double standardError,
            Interval interval95,
            Interval logInterval95,
            boolean extrapolated) {}

    public DoseResponse {
        points = List.copyOf(points);
    }

    double[] doses() {
        return points.stream().mapToDouble(Point::dose).toArray();
    }

    double[] responses() {
        return points.stream().mapToDouble(Point::response).toArray();
    }

    private List<Group> levels() {
        Map<Double, List<Double>> byDose = points.stream()
                .collect(Collectors.groupingBy(
                        Point::dose, TreeMap::new, Collectors.mapping(Point::response, Collectors.toList())));
        List<Group> levels = new ArrayList<>();
        byDose.forEach((dose, responses) -> levels.add(new Group(dose.toString(), responses)));
        return levels;
    }

    /** How many different doses there are, the control among them. */
    public int levelCount() {
        return levels().size();
    }

    /** The positive doses tested, rising. */
    List<Double> positiveDoses() {
        return points.stream()
                .map(Point::dose)
                .filter(dose -> dose > 0)
                .distinct()
                .sorted()
                .toList();
    }

    /** Whether doses differ at all; not estimable without replicates. */
    public Outcome<FTest> anova() {
        List<Group> levels = levels();
        return levels.size() < 2 || levels.size() == points.size()
                ? Outcome.notEstimable("Without replicates there is no scatter to judge by")
                : OneWay.of(levels).classical();
    }

    /** Whether a curve misses the means of the doses by more than chance; not estimable without replicates. */
    public Outcome<FTest> lackOfFit(LeastSquaresFit fit) {
        List<Group> levels = levels();
        int pureDf = points.size() - levels.size();
        int df = fit.degreesOfFreedom() - pureDf;
        if (pureDf < 1 || df < 1) {
            return Outcome.notEstimable("Lack of fit needs replicates, and more doses than parameters");
        }
        double pure = OneWay.of(levels).sumOfSquaresWithin();
        if (!(pure > 0)) {
            return Outcome.notEstimable("The replicates are exactly alike");
        }
        double f = Math.max(0, (fit.residualSumOfSquares() - pure) / df) / (pure / pureDf);
        return Outcome.found(
                new FTest(f, df, pureDf, FDistribution.of(df, pureDf).survivalProbability(f)));
    }

    /** Why the data can't hold a curve of so many parameters. */
    public Outcome<DoseResponse> holdsCurve(int parameters) {
        if (levels().size() < 4) {
            return Outcome.notEstimable(
                    "A curve needs at least 4 doses, the control among them; there are " + levels().size());
        }
        if (points.size() <= parameters) {
            return Outcome.notEstimable("There are too few measurements for a curve");
        }
        boolean flat = points.stream().mapToDouble(Point::response).distinct().count() == 1;
        boolean noResponse =
                anova().asOptional().map(test -> test.p() > NO_RESPONSE).orElse(false);
        return flat || noResponse
                ? Outcome.notEstimable("The doses do not differ by more than chance: no response")
                : Outcome.found(this);
    }

    boolean outsideTested(double dose) {
        List<Double> positive = positiveDoses();
        return dose < positive.get(0) || dose > positive.get(positive.size() - 1);
    }
}
