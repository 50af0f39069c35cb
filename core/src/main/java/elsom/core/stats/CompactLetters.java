package elsom.core.stats;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Letters for groups so that two share one exactly when they do not differ (Piepho 2004): a letter for each largest set
 * of groups that are all alike. Every such set is kept, so no pair that is alike loses its shared letter.
 */
public final class CompactLetters {
    private CompactLetters() {}

    /**
     * Letters of each group, in the groups' order.
     *
     * @param means the highest gets the first letter; equal means keep their order
     * @param alike whether two groups do not differ, symmetric
     */
    public static List<String> of(List<Double> means, boolean[][] alike) {
        List<Integer> order = IntStream.range(0, means.size())
                .boxed()
                .sorted(Comparator.comparing((Integer i) -> -means.get(i)))
                .toList();
        List<List<Integer>> cliques = new ArrayList<>();
        grow(new ArrayList<>(), order.stream().toList(), new ArrayList<>(), alike, cliques);
        // A clique as the ranks of its members: the one with the best earlier member comes first.
        List<List<Integer>> ranked = cliques.stream()
                .map(clique -> clique.stream().map(order::indexOf).sorted().toList())
                .sorted(CompactLetters::byMembership)
                .toList();
        List<StringBuilder> letters =
                means.stream().map(mean -> new StringBuilder()).toList();
        for (int column = 0; column < ranked.size(); column++) {
            for (int rank : ranked.get(column)) {
                letters.get(order.get(rank)).append(letter(column));
            }
        }
        return letters.stream().map(StringBuilder::toString).toList();
    }

    /** a to z, then aa, ab … */
    private static String letter(int column) {
        String last = String.valueOf((char) ('a' + column % 26));
        return column < 26 ? last : letter(column / 26 - 1) + last;
    }

    private static int byMembership(List<Integer> one, List<Integer> other) {
        TreeSet<Integer> all = new TreeSet<>(one);
        all.addAll(other);
        for (int rank : all) {
            if (one.contains(rank) != other.contains(rank)) {
                return one.contains(rank) ? -1 : 1;
            }
        }
        return 0;
    }

    /**
     * All largest sets of groups that are alike (Bron & Kerbosch 1973), passing by what is alike to a pivot (Tomita et al.
     * 2006): without it, many groups that are all alike would take for ever.
     */
    private static void grow(
            List<Integer> clique,
            List<Integer> candidates,
            List<Integer> excluded,
            boolean[][] alike,
            List<List<Integer>> found) {
        if (candidates.isEmpty() && excluded.isEmpty()) {
            found.add(List.copyOf(clique));
            return;
        }
        List<Integer> left = new ArrayList<>(candidates);
        List<Integer> done = new ArrayList<>(excluded);
        int pivot = pivot(candidates, excluded, alike);
        for (int next : candidates) {
            if (next != pivot && alike[pivot][next]) {
                continue;
            }
            List<Integer> larger = new ArrayList<>(clique);
            larger.add(next);
            grow(larger, neighbours(next, left, alike), neighbours(next, done, alike), alike, found);
            left.remove(Integer.valueOf(next));
            done.add(next);
        }
    }

    private static int pivot(List<Integer> candidates, List<Integer> excluded, boolean[][] alike) {
        return Stream.concat(candidates.stream(), excluded.stream())
                .max(Comparator.comparing(
                        (Integer one) -> neighbours(one, candidates, alike).size()))
                .orElseThrow();
    }

    private static List<Integer> neighbours(int of, List<Integer> among, boolean[][] alike) {
        return among.stream().filter(other -> other != of && alike[of][other]).toList();
    }
}
