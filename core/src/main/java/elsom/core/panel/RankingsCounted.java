package elsom.core.panel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Chances over all the ways in which tasters could have given the ranks they gave, were samples alike: rank sums are built up
 * taster by taster (Friedman 1937; van de Wiel 2004, Comput. Stat. 19).
 */
final class RankingsCounted {
    private static final long MOST_STEPS = 300_000;
    private static final int MOST_SAMPLES = 6;

    private RankingsCounted() {}

    /**
     * The chance that rank sums lie as far apart.
     *
     * @param ranks twice the ranks of each taster, so that ties are whole
     * @param squares the sum of the squares of twice the rank sums that were seen
     * @return empty where there are too many ways to count
     */
    static OptionalDouble asFar(List<int[]> ranks, double squares) {
        if (ranks.get(0).length > MOST_SAMPLES) {
            return OptionalDouble.empty();
        }
        Map<List<Integer>, Double> sums =
                Map.of(Arrays.stream(new int[ranks.get(0).length]).boxed().toList(), 1.0);
        long steps = 0;
        for (int[] taster : ranks) {
            List<int[]> ways = new ArrayList<>();
            permuted(taster, 0, ways);
            steps += (long) sums.size() * ways.size();
            if (steps > MOST_STEPS) {
                return OptionalDouble.empty();
            }
            Map<List<Integer>, Double> next = new HashMap<>();
            sums.forEach((sum, chance) ->
                    ways.forEach(way -> next.merge(added(sum, way), chance / ways.size(), Double::sum)));
            sums = next;
        }
        return OptionalDouble.of(Math.min(
                1,
                sums.entrySet().stream()
                        .filter(entry -> squares(entry.getKey()) >= squares - 1e-6)
                        .mapToDouble(Map.Entry::getValue)
                        .sum()));
    }

    /** Samples that are alike may change places, so only the sorted sums count. */
    private static List<Integer> added(List<Integer> sum, int[] way) {
        Integer[] added = new Integer[way.length];
        for (int i = 0; i < way.length; i++) {
            added[i] = sum.get(i) + way[i];
        }
        Arrays.sort(added);
        return List.of(added);
    }

    private static double squares(List<Integer> sums) {
        return sums.stream().mapToDouble(sum -> (double) sum * sum).sum();
    }

    private static void permuted(int[] ranks, int from, List<int[]> ways) {
        if (from == ranks.length) {
            ways.add(ranks.clone());
            return;
        }
        for (int i = from; i < ranks.length; i++) {
            swap(ranks, from, i);
            permuted(ranks, from + 1, ways);
            swap(ranks, from, i);
        }
    }

    private static void swap(int[] ranks, int one, int other) {
        int kept = ranks[one];
        ranks[one] = ranks[other];
        ranks[other] = kept;
    }
}
