package elsom.core.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** Tests that step down from the highest dose, for effects that grow with it. Adverse is upward here; turn signs first. */
public final class DoseTrends {
    private DoseTrends() {}

    /**
     * One step of Williams's test.
     *
     * @param mean the isotonic mean of the dose
     * @param significant here and at every higher dose
     */
    public record WilliamsStep(double mean, double statistic, double critical, double p, boolean significant) {}

    /** One step of the Jonckheere–Terpstra test, over the control and the doses up to this one. */
    public record JonckheereStep(double j, double mean, double variance, double z, double p, boolean significant) {}

    /** Williams (1971, 1972), from the highest dose down; not estimable without scatter. */
    public static Outcome<List<WilliamsStep>> williams(Group control, List<Group> doses, double alpha) {
        List<Group> all = new ArrayList<>(doses);
        all.add(0, control);
        OneWay design = OneWay.of(all);
        if (design.meanSquareError().isEmpty() || !(design.meanSquareError().getAsDouble() > 0)) {
            return Outcome.notEstimable("Nothing scatters within the groups, so there is nothing to judge by");
        }
        double s = Math.sqrt(design.meanSquareError().getAsDouble());
        double[] isotonic = isotonic(doses);
        int[] n = doses.stream().mapToInt(Group::n).toArray();
        List<WilliamsStep> steps = new ArrayList<>();
        boolean going = true;
        for (int i = doses.size() - 1; i >= 0; i--) {
            WilliamsDistribution distribution =
                    new WilliamsDistribution(control.n(), Arrays.copyOf(n, i + 1), design.dfWithin());
            double statistic = (isotonic[i] - control.mean()) / (s * Math.sqrt(1.0 / n[i] + 1.0 / control.n()));
            double p = distribution.survival(statistic);
            going &= p < alpha;
            steps.add(new WilliamsStep(isotonic[i], statistic, distribution.upperQuantile(alpha), p, going));
        }
        return Outcome.found(steps);
    }

    /** Means made not to fall, weighted by n: the largest, over starts, of the smallest, over ends, mean of a run. */
    private static double[] isotonic(List<Group> doses) {
        int k = doses.size();
        double[] made = new double[k];
        for (int i = 0; i < k; i++) {
            double best = Double.NEGATIVE_INFINITY;
            for (int from = 0; from <= i; from++) {
                double least = Double.POSITIVE_INFINITY;
                double sum = 0;
                double weight = 0;
                for (int to = from; to < k; to++) {
                    sum += doses.get(to).n() * doses.get(to).mean();
                    weight += doses.get(to).n();
                    least = to >= i ? Math.min(least, sum / weight) : least;
                }
                best = Math.max(best, least);
            }
            made[i] = best;
        }
        return made;
    }

    /** Jonckheere (1954), with the variance for ties of Hollander & Wolfe, from the highest dose down. */
    public static List<Outcome<JonckheereStep>> jonckheere(Group control, List<Group> doses, double alpha) {
        List<Outcome<JonckheereStep>> steps = new ArrayList<>();
        boolean going = true;
        for (int i = doses.size() - 1; i >= 0; i--) {
            List<Group> groups = new ArrayList<>(doses.subList(0, i + 1));
            groups.add(0, control);
            double variance = tiedVariance(groups);
            if (!(variance > 0)) {
                steps.add(Outcome.notEstimable("All values are the same"));
                going = false;
                continue;
            }
            double total = groups.stream().mapToInt(Group::n).sum();
            double squares =
                    groups.stream().mapToDouble(g -> (double) g.n() * g.n()).sum();
            double mean = (total * total - squares) / 4;
            double j = pairs(groups);
            double z = (j - mean) / Math.sqrt(variance);
            double p = NormalDistribution.of(0, 1).survivalProbability(z);
            going &= p < alpha;
            steps.add(Outcome.found(new JonckheereStep(j, mean, variance, z, p, going)));
        }
        return steps;
    }

    /** Pairs from two groups in which the higher dose has the higher value, ties counting half. */
    private static double pairs(List<Group> groups) {
        double count = 0;
        for (int a = 0; a < groups.size(); a++) {
            for (int b = a + 1; b < groups.size(); b++) {
                for (double x : groups.get(a).values()) {
                    for (double y : groups.get(b).values()) {
                        count += y > x ? 1 : y == x ? 0.5 : 0;
                    }
                }
            }
        }
        return count;
    }

    private static double tiedVariance(List<Group> groups) {
        double[] all = groups.stream()
                .flatMap(g -> g.values().stream())
                .mapToDouble(Double::doubleValue)
                .sorted()
                .toArray();
        List<Integer> sizes = groups.stream().map(Group::n).toList();
        List<Integer> ties = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= all.length; i++) {
            if (i == all.length || all[i] != all[from]) {
                ties.add(i - from);
                from = i;
            }
        }
        double n = all.length;
        double first = n * (n - 1) * (2 * n + 5) - third(sizes) - third(ties);
        double second = cubic(sizes) * cubic(ties) / (36 * n * (n - 1) * (n - 2));
        double last = square(sizes) * square(ties) / (8 * n * (n - 1));
        return first / 72 + (n > 2 ? second : 0) + last;
    }

    private static double third(List<Integer> counts) {
        return counts.stream().mapToDouble(c -> c * (c - 1.0) * (2.0 * c + 5)).sum();
    }

    private static double cubic(List<Integer> counts) {
        return counts.stream().mapToDouble(c -> c * (c - 1.0) * (c - 2.0)).sum();
    }

    private static double square(List<Integer> counts) {
        return counts.stream().mapToDouble(c -> c * (c - 1.0)).sum();
    }
}
