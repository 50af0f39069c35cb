package elsom.core.bench;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.curve.DoseResponse;
import elsom.core.curve.LogLogistic;
import elsom.core.stats.Dunnett;
import elsom.core.stats.Group;
import elsom.core.stats.MaximumContrast;
import elsom.core.stats.OneWay;
import elsom.core.stats.Pairwise;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The sums that pages wait for, and those that are done by the thousand; run by {@code bin/bench core}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SumsBenchmark {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4};

    private final List<Group> twelve = groups(12, 6, 1);
    private final List<Group> nine = groups(9, 6, 2);
    private final DoseResponse curve = curve(3);
    private final List<DoseResponse> refits = curves();
    private final double[] normals = normals();
    private final Observations cuttings = cuttings();

    private static double normal(SplittableRandom random) {
        return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
    }

    private static List<Group> groups(int groups, int units, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Group> made = new ArrayList<>();
        for (int group = 0; group < groups; group++) {
            List<Double> values = new ArrayList<>();
            for (int i = 0; i < units; i++) {
                values.add(10 + group * 0.3 + normal(random));
            }
            made.add(new Group("g" + group, values));
        }
        return made;
    }

    private static DoseResponse curve(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<DoseResponse.Point> points = new ArrayList<>();
        for (double dose : DOSES) {
            for (int i = 0; i < 6; i++) {
                double share = dose == 0 ? 0 : 1 / (1 + Math.pow(dose, -2.5));
                points.add(new DoseResponse.Point(dose, 50 - 40 * share + 2 * normal(random)));
            }
        }
        return new DoseResponse(points);
    }

    private static List<DoseResponse> curves() {
        List<DoseResponse> curves = new ArrayList<>();
        for (int i = 0; i < 2000; i++) {
            curves.add(curve(100 + i));
        }
        return curves;
    }

    private static Observations cuttings() {
        List<Arm> arms = new ArrayList<>();
        List<Observed> units = new ArrayList<>();
        int[] rooted = {3, 8, 5, 6};
        for (int arm = 0; arm < rooted.length; arm++) {
            List<String> levels = List.of(arm % 2 == 0 ? "none" : "dip", arm < 2 ? "mould" : "hulls");
            arms.add(new Arm(String.valueOf((char) ('A' + arm)), String.join(" ", levels), levels, arm % 2 == 0));
            for (int i = 0; i < 10; i++) {
                units.add(new Observed(
                        "u" + units.size(), arm, 0, 0, 0, 0, new Value.CountOf(i < rooted[arm] ? 1 : 0, 1)));
            }
        }
        return new Observations(
                Design.COMPLETELY_RANDOM,
                List.of("dip", "medium"),
                arms,
                EndpointKind.COUNT_OF,
                Observations.Better.HIGHER,
                1,
                units);
    }

    private static double[] normals() {
        SplittableRandom random = new SplittableRandom(9);
        double[] normals = new double[10_000 * 24];
        for (int i = 0; i < normals.length; i++) {
            normals[i] = normal(random);
        }
        return normals;
    }

    /** Twelve treatments of six units, all pairs: p and intervals. */
    @Benchmark
    public Object tukeyOf12() {
        return Pairwise.tukey(twelve, 0.05);
    }

    /** Eight treatments of six units against their control: p and intervals, both ways. */
    @Benchmark
    public Object dunnettOf8() {
        return Dunnett.compare(nine.get(0), nine.subList(1, 9), 0.05);
    }

    /** Four parameters through 36 points, with standard errors. */
    @Benchmark
    public Object curveOf36() {
        return LogLogistic.fit(curve, false, DoseResponse.Direction.DECREASE)
                .asOptional()
                .map(LogLogistic::standardErrors);
    }

    @Benchmark
    public int refits2000() {
        int found = 0;
        for (DoseResponse one : refits) {
            found += LogLogistic.fit(one, false, DoseResponse.Direction.DECREASE)
                            .asOptional()
                            .isPresent()
                    ? 1
                    : 0;
        }
        return found;
    }

    /** One-way trials of four treatments with six units, each with its F and p. */
    @Benchmark
    public int oneWay10000() {
        int significant = 0;
        for (int trial = 0; trial < 10_000; trial++) {
            List<Group> groups = new ArrayList<>(4);
            for (int group = 0; group < 4; group++) {
                List<Double> values = new ArrayList<>(6);
                for (int i = 0; i < 6; i++) {
                    values.add(normals[trial * 24 + group * 6 + i]);
                }
                groups.add(new Group("g", values));
            }
            significant +=
                    OneWay.of(groups).classical().asOptional().orElseThrow().p() < 0.05 ? 1 : 0;
        }
        return significant;
    }

    /** A level beside another in each of four crops and over all, worked out anew. */
    @Benchmark
    public double levelsOverFourCrops() {
        double[][] correlation = new double[5][5];
        for (int i = 0; i < 5; i++) {
            for (int j = 0; j < 5; j++) {
                correlation[i][j] = i == j ? 1 : i == 4 || j == 4 ? 0.5 : 0;
            }
        }
        return MaximumContrast.of(correlation, 100).twoSidedQuantile(0.05);
    }

    /** Two by two treatments of ten single cuttings. */
    @Benchmark
    public Object singleCuttings() {
        return Judge.of(cuttings, Ask.againstControl(OptionalDouble.of(0.2)));
    }
}
