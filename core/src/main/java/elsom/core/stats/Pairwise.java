package elsom.core.stats;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All pairs of groups, with simultaneous intervals. */
public final class Pairwise {
    private Pairwise() {}

    /**
     * One pair; the difference is that of the second less the first.
     *
     * @param q the studentised range statistic
     * @param p adjusted for all pairs
     */
    public record Pair(
            Group a, Group b, double difference, double error, double df, double q, double p, Interval interval) {}

    /**
     * All pairs in the order of the groups.
     *
     * @param pairs empty where a pair shows no scatter
     */
    public record Compared(List<Group> groups, List<Optional<Pair>> pairs, double alpha) {
        public Compared {
            pairs = List.copyOf(pairs);
        }

        /** Compact letters; not estimable when a pair is missing. */
        public Outcome<Map<String, String>> letters() {
            if (pairs.stream().anyMatch(Optional::isEmpty)) {
                return Outcome.notEstimable("A pair without scatter can't be judged, so letters would mislead");
            }
            int k = groups.size();
            boolean[][] alike = new boolean[k][k];
            for (Optional<Pair> pair : pairs) {
                int a = groups.indexOf(pair.orElseThrow().a());
                int b = groups.indexOf(pair.orElseThrow().b());
                alike[a][b] = !(pair.orElseThrow().p() < alpha);
                alike[b][a] = alike[a][b];
            }
            List<String> letters =
                    CompactLetters.of(groups.stream().map(Group::mean).toList(), alike);
            Map<String, String> named = new LinkedHashMap<>();
            for (int i = 0; i < k; i++) {
                named.put(groups.get(i).name(), letters.get(i));
            }
            return Outcome.found(named);
        }
    }

    /** Tukey's honest differences, for unequal group sizes by Kramer (1956). */
    public static Outcome<Compared> tukey(List<Group> groups, double alpha) {
        OneWay design = OneWay.of(groups);
        if (design.meanSquareError().isEmpty() || !(design.meanSquareError().getAsDouble() > 0)) {
            return Outcome.notEstimable("Nothing scatters within the groups, so there is nothing to judge by");
        }
        double mse = design.meanSquareError().getAsDouble();
        StudentisedRange range = StudentisedRange.of(groups.size(), design.dfWithin());
        double critical = range.upperQuantile(alpha);
        List<Optional<Pair>> pairs = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i + 1; j < groups.size(); j++) {
                Group a = groups.get(i);
                Group b = groups.get(j);
                double error = Math.sqrt(mse * (1.0 / a.n() + 1.0 / b.n()));
                pairs.add(Optional.of(pair(a, b, error, design.dfWithin(), range, critical)));
            }
        }
        return Outcome.found(new Compared(groups, pairs, alpha));
    }

    /** Without assuming equal variances (Games & Howell 1976). */
    public static Compared gamesHowell(List<Group> groups, double alpha) {
        List<Optional<Pair>> pairs = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            for (int j = i + 1; j < groups.size(); j++) {
                pairs.add(unequal(groups.get(i), groups.get(j), groups.size(), alpha));
            }
        }
        return new Compared(groups, pairs, alpha);
    }

    private static Optional<Pair> unequal(Group a, Group b, int groups, double alpha) {
        return WelchT.of(a, b).asOptional().map(welch -> {
            StudentisedRange range = StudentisedRange.of(groups, welch.df());
            return pair(a, b, welch.error(), welch.df(), range, range.upperQuantile(alpha));
        });
    }

    private static Pair pair(Group a, Group b, double error, double df, StudentisedRange range, double critical) {
        double difference = b.mean() - a.mean();
        double q = Math.abs(difference) / error * Math.sqrt(2);
        double half = critical * error / Math.sqrt(2);
        return new Pair(
                a, b, difference, error, df, q, range.survival(q), new Interval(difference - half, difference + half));
    }
}
