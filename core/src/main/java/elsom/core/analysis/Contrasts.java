package elsom.core.analysis;

import elsom.core.stats.CompactLetters;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Comparisons of means by a model: intervals, answers, letters, interaction and main effects. */
final class Contrasts {
    private static final int MOST_LETTERED = 60;
    private static final int FEWEST = 2;

    private final Observations all;
    private final Ask ask;
    private final Pairing pairing;
    private final Model model;
    private final boolean weighed;
    private final double[] means;

    Contrasts(Observations all, Ask ask, Pairing pairing, Model model, boolean weighed) {
        this.all = all;
        this.ask = ask;
        this.pairing = pairing;
        this.model = model;
        this.weighed = weighed;
        this.means = model.means();
    }

    Judgement judged(List<String> checked, Judge.Told told) {
        List<Pairing.Pair> possible =
                pairing.pairs().stream().filter(this::seen).toList();
        if (possible.isEmpty()) {
            return Judge.refused(all, pairing, checked, "No pair that is asked about has two units left on both sides");
        }
        Factors factors = new Factors(all, ask, pairing.of(possible), model);
        Simultaneous together = together(possible, factors);
        // Ranks say which is better, and nothing of whether one is as good.
        Optional<ScoresByRank> ranks = all.kind() == EndpointKind.SCORE && !ask.asGood()
                ? Optional.of(ScoresByRank.of(all, possible, model, ask.alpha()))
                : Optional.empty();
        List<Comparison> comparisons = new ArrayList<>();
        for (Pairing.Pair pair : pairing.pairs()) {
            int at = possible.indexOf(pair);
            comparisons.add(
                    at < 0 || !told.tells(pair)
                            ? Judge.unjudged(pair, means[pair.treatment()] - means[pair.comparator()])
                            : compared(pair, possible.size(), together, ranks.map(scores -> new OfScores(scores, at))));
        }
        if (leveled() && possible.size() < pairing.pairs().size()) {
            checked.add("“Over all” leaves out "
                    + pairing.pairs().stream()
                            .filter(pair -> !possible.contains(pair))
                            .map(pair -> all.arms().get(pair.treatment()).name())
                            .collect(Collectors.joining(", "))
                    + ", of which too little was read.");
        }
        ranks.map(ScoresByRank::remark).ifPresent(checked::add);
        Survivors.remark(all, pairing).ifPresent(checked::add);
        return new Judgement(
                method(possible.size()),
                checked,
                Arrays.stream(means).boxed().toList(),
                comparisons,
                told.lettered() ? letters() : List.of(),
                factors.interaction(),
                leveled() ? factors.mainEffects(together) : factors.mainEffects(),
                OptionalDouble.of(model.scatter()),
                residuals(),
                Optional.empty());
    }

    private boolean leveled() {
        return ask.against() instanceof Ask.Against.Level;
    }

    private Simultaneous together(List<Pairing.Pair> possible, Factors factors) {
        if (leveled()) {
            return Simultaneous.together(
                    model,
                    Stream.concat(possible.stream().map(this::combination), factors.averages().stream())
                            .toList());
        }
        return pairing.allPairs()
                ? Simultaneous.pairs((int) possible.stream()
                        .flatMap(pair -> Stream.of(pair.treatment(), pair.comparator()))
                        .distinct()
                        .count())
                : Simultaneous.besideControls(
                        model,
                        possible.stream().map(this::combination).toList(),
                        possible.stream().map(Pairing.Pair::comparator).toList());
    }

    /** One unit of a treatment says nothing of how such units scatter. */
    private boolean seen(Pairing.Pair pair) {
        return all.seen(pair.treatment()) >= FEWEST && all.seen(pair.comparator()) >= FEWEST;
    }

    private double[] combination(Pairing.Pair pair) {
        return Model.difference(means.length, pair.treatment(), pair.comparator());
    }

    private Method method(int comparisons) {
        if (model.method().isPresent()) {
            return model.method().get();
        }
        if (comparisons == 1) {
            return weighed ? Method.WELCH : Method.STUDENT;
        }
        if (pairing.allPairs()) {
            return weighed ? Method.GAMES_HOWELL : Method.TUKEY_KRAMER;
        }
        return weighed ? Method.DUNNETT_UNEQUAL : Method.DUNNETT;
    }

    private double unitsOf(Pairing.Pair pair) {
        return (all.seen(pair.treatment()) + all.seen(pair.comparator())) / 2.0;
    }

    private Comparison compared(Pairing.Pair pair, int possible, Simultaneous together, Optional<OfScores> ranks) {
        double[] combination = combination(pair);
        double difference = model.value(combination);
        Spread spread = model.spread(combination);
        double critical =
                ask.asGood() ? together.oneSided(spread, ask.alpha()) : together.critical(spread, ask.alpha());
        OptionalDouble exact = ask.asGood() ? OptionalDouble.empty() : model.exact(pair, possible);
        Interval interval = exact.isPresent() && exact.getAsDouble() >= ask.alpha()
                ? model.interval(combination, critical).reaching(0)
                : model.interval(combination, critical);
        double comparator = means[pair.comparator()];
        OptionalDouble margin = Margins.of(ask, comparator);
        Answer byInterval = Answer.asked(ask, interval, all.better(), margin);
        Answer byMeans = ranks.map(scores -> scores.answer(byInterval)).orElse(byInterval);
        Answer answer = Survivors.of(all, pair, ask.alpha(), byMeans);
        return new Comparison(
                pair.treatment(),
                pair.comparator(),
                difference,
                Optional.of(interval),
                comparator > 0 ? OptionalDouble.of(100 * difference / comparator) : OptionalDouble.empty(),
                model.percent(pair.treatment(), pair.comparator(), critical),
                larger(Factors.p(all, ask, model, combination, together, margin), exact),
                ranks.map(OfScores::p).orElse(OptionalDouble.empty()),
                margin,
                answer,
                byMeans == Answer.CANT_TELL
                        ? Margins.unitsToTell(
                                ask,
                                all,
                                difference,
                                margin,
                                new Margins.Now(model.scatter(), unitsOf(pair), spread.df(), critical))
                        : OptionalInt.empty());
    }

    /** A pair among those whose scores are ranked. */
    private record OfScores(ScoresByRank ranks, int pair) {
        Answer answer(Answer byMeans) {
            return ranks.answer(pair, byMeans);
        }

        OptionalDouble p() {
            return ranks.p(pair);
        }
    }

    private static OptionalDouble larger(OptionalDouble p, OptionalDouble exact) {
        return p.isPresent() && exact.isPresent()
                ? OptionalDouble.of(Math.max(p.getAsDouble(), exact.getAsDouble()))
                : p;
    }

    /** All pairs, whatever was asked: letters stand beside figures of all treatments. */
    private List<String> letters() {
        List<Integer> present = new ArrayList<>();
        for (int i = 0; i < means.length; i++) {
            if (!Double.isNaN(means[i])) {
                present.add(i);
            }
        }
        if (present.size() < 2 || present.size() > MOST_LETTERED) {
            return List.of();
        }
        Simultaneous pairs = Simultaneous.pairs(present.size());
        int asMany = present.size() * (present.size() - 1) / 2;
        boolean[][] alike = new boolean[present.size()][present.size()];
        for (int i = 0; i < present.size(); i++) {
            for (int j = 0; j < i; j++) {
                double[] combination = Model.difference(means.length, present.get(i), present.get(j));
                double exact = model.exact(new Pairing.Pair(present.get(i), present.get(j), -1), asMany)
                        .orElse(0);
                alike[i][j] =
                        Math.max(exact, pairs.p(model.distance(combination), model.spread(combination))) >= ask.alpha();
                alike[j][i] = alike[i][j];
            }
        }
        double sign = all.better() == Observations.Better.HIGHER ? 1 : -1;
        List<String> found =
                CompactLetters.of(present.stream().map(arm -> sign * means[arm]).toList(), alike);
        List<String> letters = new ArrayList<>();
        for (int i = 0; i < means.length; i++) {
            int at = present.indexOf(i);
            letters.add(at < 0 ? "" : found.get(at));
        }
        return letters;
    }

    private List<Judgement.Residual> residuals() {
        double[] values = model.residuals();
        List<Judgement.Residual> residuals = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < all.units().size(); i++) {
            if (!all.units().get(i).missing()) {
                residuals.add(new Judgement.Residual(i, values[at++]));
            }
        }
        return residuals;
    }
}
