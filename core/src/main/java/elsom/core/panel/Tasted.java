package elsom.core.panel;

import elsom.core.analysis.Arm;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Design;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * What tasters answered.
 *
 * @param answers of each taster by the plate's place from 0, in the order of the plates: which plate was picked as 1 (odd one,
 *     better one), its rank with 1 the best, or its points 1 to 9; a taster who is not done is not in it
 */
public record Tasted(Tasting tasting, Map<Integer, Map<Integer, Double>> answers) {
    /** Fewer people are no panel, whatever they say. */
    public static final int LEAST_PANEL = 6;

    private static final double MIDDLE_LIKED = 0.75;

    public Tasted {
        Map<Integer, Map<Integer, Double>> whole = new LinkedHashMap<>();
        answers.forEach((taster, given) -> {
            if (given.size() == tasting.kind().answers(tasting.samples().size())) {
                whole.put(taster, Map.copyOf(given));
            }
        });
        answers = Collections.unmodifiableMap(whole);
    }

    /** How many are done. */
    public int done() {
        return answers.size();
    }

    /** Of a triangle or a pair: how often the odd one was found, or the second sample was preferred to the first. */
    public Optional<ForcedChoice> choice() {
        if (!tasting.kind().ofTwo() || done() == 0) {
            return Optional.empty();
        }
        List<List<Tasting.Plate>> served = tasting.served();
        int chosen = 0;
        for (var entry : answers.entrySet()) {
            List<Tasting.Plate> plates = served.get(entry.getKey() - 1);
            int picked = entry.getValue().keySet().iterator().next();
            Tasting.Plate plate = plates.get(picked);
            boolean hit =
                    tasting.kind() == Tasting.Kind.TRIANGLE ? plate.equals(Tasting.odd(plates)) : plate.sample() == 1;
            chosen += hit ? 1 : 0;
        }
        return Optional.of(new ForcedChoice(
                tasting.kind() == Tasting.Kind.TRIANGLE ? ForcedChoice.Kind.TRIANGLE : ForcedChoice.Kind.PAIR,
                done(),
                chosen));
    }

    /** Rows of tasters, columns of samples: points, or ranks turned so that more is better. */
    public List<List<Double>> bySample() {
        List<List<Tasting.Plate>> served = tasting.served();
        List<List<Double>> rows = new ArrayList<>();
        answers.forEach((taster, given) -> {
            Double[] row = new Double[tasting.samples().size()];
            given.forEach((place, value) -> row[
                            served.get(taster - 1).get(place).sample()] =
                    tasting.kind() == Tasting.Kind.RANKING ? tasting.samples().size() + 1 - value : value);
            rows.add(List.of(row));
        });
        return rows;
    }

    /** Friedman's test over ranks or points; empty with fewer than two tasters. */
    public Optional<RankedPanel> ranked() {
        return tasting.kind().ofTwo() || done() < 2 ? Optional.empty() : Optional.of(RankedPanel.of(bySample()));
    }

    /**
     * Points compared pair by pair with tasters as blocks: in a panel where everybody tastes everything this is what a mixed model with
     * tasters at random gives for differences (Næs, Brockhoff and Tomic 2010, ch. 5). Empty for other tastings or with fewer than two tasters.
     */
    public Optional<Judgement> liking() {
        if (tasting.kind() != Tasting.Kind.LIKING || done() < 2) {
            return Optional.empty();
        }
        List<List<Double>> rows = bySample();
        List<Observed> units = new ArrayList<>();
        for (int taster = 0; taster < rows.size(); taster++) {
            for (int sample = 0; sample < rows.get(taster).size(); sample++) {
                units.add(new Observed(
                        (taster + 1) + "/" + sample,
                        sample,
                        taster + 1,
                        0,
                        0,
                        0,
                        new Value.Measured(rows.get(taster).get(sample))));
            }
        }
        return Optional.of(judged(tasting.samples(), units));
    }

    private static Judgement judged(List<String> names, List<Observed> units) {
        List<Arm> arms = IntStream.range(0, names.size())
                .mapToObj(i -> new Arm(String.valueOf((char) ('A' + i)), names.get(i), List.of(), i == 0))
                .toList();
        Observations seen = new Observations(
                Design.BLOCKS, List.of(), arms, EndpointKind.SCORE, Observations.Better.HIGHER, 1, units);
        return Judge.of(
                seen, new Ask(List.of(), new Ask.Against.AllPairs(), OptionalDouble.of(MIDDLE_LIKED), false, 0.05));
    }

    /**
     * Whether the place on the tray told rather than the sample.
     *
     * @param byPlace picks of each place, or mean points or ranks of it, in the order of serving
     * @param p that chance alone parts places so far
     */
    public record OrderEffect(List<Double> byPlace, double p) {}

    /** The order effect; empty with too few tasters to look for it. */
    public Optional<OrderEffect> order() {
        if (done() < LEAST_PANEL) {
            return Optional.empty();
        }
        int places = tasting.plates();
        double[] sums = new double[places];
        List<List<Double>> rows = new ArrayList<>();
        answers.values().forEach(given -> {
            List<Double> row = new ArrayList<>();
            for (int place = 0; place < places; place++) {
                double value = given.getOrDefault(place, 0.0);
                sums[place] += value;
                row.add(value);
            }
            rows.add(row);
        });
        if (tasting.kind().ofTwo()) {
            double expected = done() / (double) places;
            double statistic = 0;
            for (double sum : sums) {
                statistic += (sum - expected) * (sum - expected) / expected;
            }
            return Optional.of(new OrderEffect(
                    boxed(sums, 1), ChiSquaredDistribution.of(places - 1).survivalProbability(statistic)));
        }
        return Optional.of(
                new OrderEffect(boxed(sums, done()), RankedPanel.of(rows).p()));
    }

    private static List<Double> boxed(double[] sums, int per) {
        return Arrays.stream(sums).map(sum -> sum / per).boxed().toList();
    }

    /** How many tasters would likely tell, if what they tasted is as it seems; empty when it was told, or no 200 would. */
    public OptionalInt tastersThatWouldTell() {
        if (choice().isPresent()) {
            ForcedChoice chosen = choice().get();
            return chosen.shown() ? OptionalInt.empty() : needed(chosen);
        }
        if (tasting.kind() == Tasting.Kind.LIKING) {
            return liking().map(Judgement::comparisons).orElse(List.of()).stream()
                    .flatMapToInt(comparison -> comparison.unitsThatWouldTell().stream())
                    .min();
        }
        return ranked().filter(panel -> panel.p() > 0.05).map(Tasted::rankers).orElse(OptionalInt.empty());
    }

    private OptionalInt needed(ForcedChoice chosen) {
        double share = chosen.kind() == ForcedChoice.Kind.PAIR
                ? Math.abs(2.0 * chosen.chosen() / chosen.tasters() - 1)
                : chosen.discriminating();
        return share > 0 ? ForcedChoice.tastersFor(chosen.kind(), share) : OptionalInt.empty();
    }

    /** Tasters at which the largest distance of mean ranks seen here would be the least that parts two. */
    private static OptionalInt rankers(RankedPanel panel) {
        double high = panel.rankSums().stream().mapToDouble(d -> d).max().orElse(0);
        double low = panel.rankSums().stream().mapToDouble(d -> d).min().orElse(0);
        double apart = (high - low) / panel.tasters();
        double each = panel.leastApart() / Math.sqrt(panel.tasters());
        double needed = apart > 0 ? Math.pow(each / apart, 2) : Double.POSITIVE_INFINITY;
        return needed <= Tasting.MOST_TASTERS ? OptionalInt.of((int) Math.ceil(needed)) : OptionalInt.empty();
    }
}
