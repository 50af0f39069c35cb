package elsom.core.stats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeSet;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * Whether something comes sooner in one group than in another, block by block, where in some it has not come yet (Mantel
 * 1966; Peto and Peto 1972). Exact by all ways of giving out treatments within blocks, the scores kept as they are.
 *
 * @param seenTreatment in how many of the treated it came
 * @param expectedTreatment in how many it would have, had the treatment done nothing
 * @param score seen less expected: above 0 it came sooner
 * @param relabellings how many ways there are; 0 where there are too many to count
 * @param pExact two-sided; empty where too many
 */
public record LogRank(
        int seenTreatment,
        double expectedTreatment,
        double score,
        double variance,
        OptionalDouble chi2,
        OptionalDouble pChi2,
        double relabellings,
        OptionalDouble pExact,
        OptionalDouble pExactSooner,
        OptionalDouble pExactLater) {
    private static final double STEP = 1e8;
    private static final double SAME = 1e-6;
    private static final int MOST_SUMS = 100_000;

    /**
     * A unit.
     *
     * @param time when it came, or when it was last looked for
     * @param seen whether it came
     */
    public record Timed(boolean treated, String block, double time, boolean seen) {}

    /** The test; units of both groups are needed for it to say anything. */
    public static LogRank of(List<Timed> units) {
        Map<String, List<Timed>> blocks = new LinkedHashMap<>();
        units.forEach(unit ->
                blocks.computeIfAbsent(unit.block(), none -> new ArrayList<>()).add(unit));
        double expected = 0;
        double variance = 0;
        double score = 0;
        Map<Long, Double> sums = Map.of(0L, 1.0);
        for (List<Timed> block : blocks.values()) {
            double[] scores = new double[block.size()];
            for (double time : new TreeSet<>(
                    block.stream().filter(Timed::seen).map(Timed::time).toList())) {
                double atRisk = count(block, time, false, false);
                double treatedAtRisk = count(block, time, true, false);
                double came = count(block, time, false, true);
                double share = treatedAtRisk / atRisk;
                expected += came * share;
                variance += atRisk > 1 ? came * share * (1 - share) * (atRisk - came) / (atRisk - 1) : 0;
                for (int i = 0; i < scores.length; i++) {
                    scores[i] -= block.get(i).time() >= time ? came / atRisk : 0;
                }
            }
            for (int i = 0; i < scores.length; i++) {
                scores[i] += block.get(i).seen() ? 1 : 0;
                score += block.get(i).treated() ? scores[i] : 0;
            }
            sums = together(sums, chosen(scores, (int)
                    block.stream().filter(Timed::treated).count()));
        }
        int seen = (int)
                units.stream().filter(unit -> unit.treated() && unit.seen()).count();
        return made(seen, expected, score, variance, sums);
    }

    private static LogRank made(int seen, double expected, double score, double variance, Map<Long, Double> sums) {
        OptionalDouble chi2 = variance > 0 ? OptionalDouble.of(score * score / variance) : OptionalDouble.empty();
        double all = sums.values().stream().mapToDouble(ways -> ways).sum();
        boolean counted = !sums.isEmpty();
        return new LogRank(
                seen,
                expected,
                score,
                variance,
                chi2,
                chi2.isPresent()
                        ? OptionalDouble.of(ChiSquaredDistribution.of(1).survivalProbability(chi2.getAsDouble()))
                        : OptionalDouble.empty(),
                all,
                counted ? share(sums, all, Math.abs(score), true) : OptionalDouble.empty(),
                counted ? share(sums, all, score, false) : OptionalDouble.empty(),
                counted ? below(sums, all, score) : OptionalDouble.empty());
    }

    private static double count(List<Timed> block, double time, boolean treated, boolean now) {
        return block.stream()
                .filter(unit -> now ? unit.seen() && unit.time() == time : unit.time() >= time)
                .filter(unit -> !treated || unit.treated())
                .count();
    }

    private static OptionalDouble share(Map<Long, Double> sums, double all, double least, boolean both) {
        return OptionalDouble.of(Math.min(
                1,
                sums.entrySet().stream()
                                .filter(sum ->
                                        (both ? Math.abs(sum.getKey() / STEP) : sum.getKey() / STEP) >= least - SAME)
                                .mapToDouble(Map.Entry::getValue)
                                .sum()
                        / all));
    }

    private static OptionalDouble below(Map<Long, Double> sums, double all, double most) {
        return OptionalDouble.of(Math.min(
                1,
                sums.entrySet().stream()
                                .filter(sum -> sum.getKey() / STEP <= most + SAME)
                                .mapToDouble(Map.Entry::getValue)
                                .sum()
                        / all));
    }

    /** Sums of the scores of so many units, with how many ways lead to each; empty where there are too many. */
    private static Map<Long, Double> chosen(double[] scores, int treated) {
        List<Map<Long, Double>> ways = new ArrayList<>();
        for (int i = 0; i <= treated; i++) {
            ways.add(new HashMap<>());
        }
        ways.get(0).put(0L, 1.0);
        for (int i = 0; i < scores.length; i++) {
            long score = Math.round(scores[i] * STEP);
            for (int taken = Math.min(i + 1, treated); taken >= 1; taken--) {
                Map<Long, Double> to = ways.get(taken);
                ways.get(taken - 1).forEach((sum, number) -> to.merge(sum + score, number, Double::sum));
                if (ways.stream().mapToInt(Map::size).sum() > MOST_SUMS) {
                    return Map.of();
                }
            }
        }
        return ways.get(treated);
    }

    private static Map<Long, Double> together(Map<Long, Double> one, Map<Long, Double> other) {
        if ((long) one.size() * other.size() > (long) MOST_SUMS * 10) {
            return Map.of();
        }
        Map<Long, Double> sums = new HashMap<>();
        one.forEach((a, ways) -> other.forEach((b, more) -> sums.merge(a + b, ways * more, Double::sum)));
        return sums.size() > MOST_SUMS ? Map.of() : sums;
    }

    /** The exact chance, or that of the chi-square where there are too many ways to count; 1 where nothing differs. */
    public double p() {
        return pExact.orElse(pChi2.orElse(1));
    }
}
