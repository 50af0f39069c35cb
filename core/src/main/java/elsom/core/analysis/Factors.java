package elsom.core.analysis;

import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a factor does over the levels of the others, and whether it does the same at each of them. */
final class Factors {
    private final Observations all;
    private final Ask ask;
    private final Model model;
    private final boolean allPairs;
    private final Map<Step, List<Pairing.Pair>> steps = new LinkedHashMap<>();

    /** From one level of a factor to another. */
    private record Step(int factor, String level, String against) {}

    Factors(Observations all, Ask ask, Pairing pairing, Model model) {
        this.all = all;
        this.ask = ask;
        this.model = model;
        this.allPairs = pairing.allPairs();
        double[] means = model.means();
        for (Pairing.Pair pair : pairing.pairs()) {
            if (pair.factor() >= 0
                    && !Double.isNaN(means[pair.treatment()])
                    && !Double.isNaN(means[pair.comparator()])) {
                Step step = new Step(
                        pair.factor(), level(pair.treatment(), pair.factor()), level(pair.comparator(), pair.factor()));
                steps.computeIfAbsent(step, key -> new ArrayList<>()).add(pair);
            }
        }
    }

    private String level(int arm, int factor) {
        return all.arms().get(arm).levels().get(factor);
    }

    private double[] weights(Pairing.Pair pair) {
        return Model.difference(all.arms().size(), pair.treatment(), pair.comparator());
    }

    /** The clearest difference of two differences of the first factor that is asked about at two places. */
    Optional<Interaction> interaction() {
        Optional<Integer> factor = steps.entrySet().stream()
                .filter(step -> step.getValue().size() > 1)
                .map(step -> step.getKey().factor())
                .min(Integer::compare);
        if (factor.isEmpty()) {
            return Optional.empty();
        }
        List<Pairing.Pair[]> looked = new ArrayList<>();
        steps.forEach((step, pairs) -> {
            for (int i = 0; step.factor() == factor.get() && i < pairs.size(); i++) {
                for (int j = i + 1; j < pairs.size(); j++) {
                    looked.add(new Pairing.Pair[] {pairs.get(j), pairs.get(i)});
                }
            }
        });
        Simultaneous one = Simultaneous.one();
        Pairing.Pair[] clearest = looked.get(0);
        double least = 1;
        for (Pairing.Pair[] two : looked) {
            double p = one.p(model.distance(twice(two)), model.spread(twice(two)));
            if (p < least) {
                least = p;
                clearest = two;
            }
        }
        double each = -Math.expm1(Math.log1p(-ask.alpha()) / looked.size());
        double[] combination = twice(clearest);
        double p = sidak(least, looked.size());
        Interval interval = model.interval(combination, one.critical(model.spread(combination), each));
        return Optional.of(new Interaction(
                p < ask.alpha(),
                p,
                model.value(combination),
                interval,
                factor.get(),
                cells(clearest[0]),
                cells(clearest[1]),
                model.odds(combination, each).map(odds -> adjusted(odds, looked.size()))));
    }

    private static double sidak(double p, int of) {
        return -Math.expm1(of * Math.log1p(-Math.min(1 - 1e-16, p)));
    }

    private static Interaction.Odds adjusted(Interaction.Odds odds, int of) {
        return new Interaction.Odds(odds.ratio(), odds.interval(), sidak(odds.p(), of));
    }

    private static Interaction.Cells cells(Pairing.Pair pair) {
        return new Interaction.Cells(pair.treatment(), pair.comparator());
    }

    private double[] twice(Pairing.Pair[] two) {
        double[] first = weights(two[0]);
        double[] second = weights(two[1]);
        for (int i = 0; i < first.length; i++) {
            first[i] -= second[i];
        }
        return first;
    }

    /** Each step of a factor, averaged over the levels of the others at which both ends stand. */
    List<MainEffect> mainEffects() {
        List<Map.Entry<Step, List<Pairing.Pair>>> asked = everywhere();
        if (asked.isEmpty()) {
            return List.of();
        }
        List<double[]> combinations =
                asked.stream().map(step -> averaged(step.getValue())).toList();
        List<Integer> families = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            Step step = asked.get(i).getKey();
            families.add(allPairs ? i : step.factor());
        }
        Simultaneous together = Simultaneous.besideControls(model, combinations, families);
        List<MainEffect> effects = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            effects.add(effect(asked.get(i), combinations.get(i), together));
        }
        return effects;
    }

    /** The same, judged together with what is asked about at each level of the others. */
    List<MainEffect> mainEffects(Simultaneous together) {
        return everywhere().stream()
                .map(step -> effect(step, averaged(step.getValue()), together))
                .toList();
    }

    /** The steps that stand at several levels of the others, as combinations of means. */
    List<double[]> averages() {
        return everywhere().stream().map(step -> averaged(step.getValue())).toList();
    }

    private List<Map.Entry<Step, List<Pairing.Pair>>> everywhere() {
        return steps.entrySet().stream()
                .filter(step -> step.getValue().size() > 1)
                .toList();
    }

    /**
     * How rare what was seen would be were there no difference; where it is asked whether it is as good, were it worse by
     * just the margin.
     *
     * @return empty where a margin is needed and there is none, or the intervals are not made by t
     */
    static OptionalDouble p(
            Observations all,
            Ask ask,
            Model model,
            double[] combination,
            Simultaneous together,
            OptionalDouble margin) {
        Spread spread = model.spread(combination);
        if (!ask.asGood()) {
            return OptionalDouble.of(together.p(model.distance(combination), spread));
        }
        if (margin.isEmpty() || model.method().isPresent()) {
            return OptionalDouble.empty();
        }
        double advantage =
                all.better() == Observations.Better.HIGHER ? model.value(combination) : -model.value(combination);
        return OptionalDouble.of(together.oneSidedP(
                (advantage + margin.getAsDouble()) / Math.sqrt(model.variance(combination)), spread));
    }

    private MainEffect effect(Map.Entry<Step, List<Pairing.Pair>> step, double[] combination, Simultaneous together) {
        Spread spread = model.spread(combination);
        Interval interval = model.interval(
                combination,
                ask.asGood() ? together.oneSided(spread, ask.alpha()) : together.critical(spread, ask.alpha()));
        double[] means = model.means();
        double comparator = step.getValue().stream()
                .mapToDouble(pair -> means[pair.comparator()])
                .average()
                .orElseThrow();
        OptionalDouble margin = Margins.of(ask, comparator);
        return new MainEffect(
                step.getKey().factor(),
                step.getKey().level(),
                step.getKey().against(),
                model.value(combination),
                interval,
                p(all, ask, model, combination, together, margin),
                margin,
                Answer.asked(ask, interval, all.better(), margin));
    }

    private double[] averaged(List<Pairing.Pair> pairs) {
        double[] sum = new double[all.arms().size()];
        for (Pairing.Pair pair : pairs) {
            sum[pair.treatment()] += 1.0 / pairs.size();
            sum[pair.comparator()] -= 1.0 / pairs.size();
        }
        return sum;
    }
}
