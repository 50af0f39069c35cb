package elsom.core.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.numbers.combinatorics.LogBinomialCoefficient;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.linear.RealMatrix;

/**
 * Shares of plants in trays, trays being the units, by the ways that are in use beside each other. Of a share of 0 or 1
 * logarithms of odds are empty.
 *
 * @param ownScatter differences of shares, each treatment with its own variance between trays (Rao &amp; Scott 1992)
 * @param quasiBinomial logarithms of odds with one dispersion for all
 * @param betaBinomial the same by maximum likelihood with one correlation within trays (Williams 1975); empty where fewer than
 *     two shares lie between 0 and 1
 * @param betaBinomialOwn each treatment by itself
 */
public record TraysCompared(
        List<Share> shares,
        List<Difference> ownScatter,
        Quasi quasiBinomial,
        Optional<Beta> betaBinomial,
        List<Own> betaBinomialOwn) {
    private static final double FURTHEST = 12;

    /** Counts of a treatment's trays. */
    public record Trays(String name, List<Integer> count, List<Integer> n) {
        public Trays {
            count = List.copyOf(count);
            n = List.copyOf(n);
        }

        private int all() {
            return n.stream().mapToInt(Integer::intValue).sum();
        }

        private double share() {
            return count.stream().mapToInt(Integer::intValue).sum() / (double) all();
        }

        private boolean between() {
            return share() > 0 && share() < 1;
        }

        private double variance() {
            double squares = IntStream.range(0, count.size())
                    .mapToDouble(i -> Math.pow(count.get(i) - n.get(i) * share(), 2))
                    .sum();
            return count.size() / (count.size() - 1.0) * squares / all() / all();
        }

        private double pearson() {
            double p = share();
            return between()
                    ? IntStream.range(0, count.size())
                            .mapToDouble(i -> Math.pow(count.get(i) - n.get(i) * p, 2) / (n.get(i) * p * (1 - p)))
                            .sum()
                    : 0;
        }

        /** The logarithm of the beta-binomial's likelihood; {@code theta} is correlation over its rest. */
        private double likelihood(double mean, double theta) {
            double sum = 0;
            for (int i = 0; i < count.size(); i++) {
                int k = count.get(i);
                int of = n.get(i);
                sum += LogBinomialCoefficient.value(of, k);
                for (int j = 0; j < k; j++) {
                    sum += Math.log(mean + j * theta);
                }
                for (int j = 0; j < of - k; j++) {
                    sum += Math.log(1 - mean + j * theta);
                }
                for (int j = 0; j < of; j++) {
                    sum -= Math.log(1 + j * theta);
                }
            }
            return sum;
        }
    }

    /** A treatment's share; how many times chance's its variance is. */
    public record Share(String treatment, double share, int trays, OptionalDouble designEffect) {}

    /** A difference of shares from the control's. */
    public record Difference(
            String treatment,
            double difference,
            double se,
            OptionalDouble df,
            OptionalDouble t,
            OptionalDouble p,
            OptionalDouble low,
            OptionalDouble high) {}

    /** A logarithm of an odds ratio against the control, with what its error is multiplied by as t. */
    public record Odds(
            String treatment,
            OptionalDouble logOddsRatio,
            OptionalDouble se,
            OptionalDouble t,
            OptionalDouble p,
            OptionalDouble low,
            OptionalDouble high) {}

    /** The same with a normal distribution. */
    public record NormalOdds(
            String treatment,
            OptionalDouble logOddsRatio,
            OptionalDouble se,
            OptionalDouble z,
            OptionalDouble p,
            OptionalDouble low,
            OptionalDouble high) {}

    /** One dispersion for all. */
    public record Quasi(double dispersion, int df, List<Odds> comparisons) {}

    /** A fitted share. */
    public record Mean(String treatment, double share) {}

    /** Whether all shares are one. */
    public record Equal(double chi2, int df, double p) {}

    /** One correlation for all. */
    public record Beta(
            double icc, double loglik, List<Mean> means, Optional<Equal> lrEqual, List<NormalOdds> comparisons) {}

    /** A treatment by itself. */
    public record Own(String treatment, double share, OptionalDouble icc, OptionalDouble loglik) {}

    /** A fit: logits of the shares, and what follows from them. */
    @SuppressWarnings("ArrayRecordComponent")
    private record Fit(double theta, double[] logits, double loglik, RealMatrix covariance) {}

    /**
     * Compares.
     *
     * @param control index of the control among the treatments
     */
    public static Outcome<TraysCompared> of(List<Trays> all, int control, double alpha) {
        if (all.size() < 2 || all.stream().anyMatch(one -> one.count().size() < 2)) {
            return Outcome.notEstimable("Two trays or more of each of two treatments or more are needed");
        }
        List<Integer> others =
                IntStream.range(0, all.size()).filter(i -> i != control).boxed().toList();
        return Outcome.found(new TraysCompared(
                all.stream()
                        .map(one -> new Share(
                                one.name(),
                                one.share(),
                                one.count().size(),
                                one.between()
                                        ? OptionalDouble.of(
                                                one.variance() / (one.share() * (1 - one.share()) / one.all()))
                                        : OptionalDouble.empty()))
                        .toList(),
                others.stream()
                        .map(i -> difference(all.get(i), all.get(control), alpha))
                        .toList(),
                quasi(all, control, others, alpha),
                beta(all, control, others, alpha),
                all.stream().map(TraysCompared::own).toList()));
    }

    private static Difference difference(Trays one, Trays control, double alpha) {
        double difference = one.share() - control.share();
        double v = one.variance();
        double v0 = control.variance();
        double error = Math.sqrt(v + v0);
        OptionalDouble none = OptionalDouble.empty();
        if (error == 0) {
            return new Difference(one.name(), difference, 0, none, none, none, none, none);
        }
        double df = Math.pow(v + v0, 2)
                / (v * v / (one.count().size() - 1) + v0 * v0 / (control.count().size() - 1));
        TDistribution t = TDistribution.of(df);
        double reach = t.inverseSurvivalProbability(alpha / 2) * error;
        return new Difference(
                one.name(),
                difference,
                error,
                OptionalDouble.of(df),
                OptionalDouble.of(difference / error),
                OptionalDouble.of(2 * t.survivalProbability(Math.abs(difference / error))),
                OptionalDouble.of(difference - reach),
                OptionalDouble.of(difference + reach));
    }

    private static double logit(double share) {
        return Math.log(share / (1 - share));
    }

    private static Quasi quasi(List<Trays> all, int control, List<Integer> others, double alpha) {
        int df = all.stream().mapToInt(one -> one.count().size() - 1).sum();
        double dispersion = all.stream().mapToDouble(Trays::pearson).sum() / df;
        TDistribution t = TDistribution.of(df);
        double reach = t.inverseSurvivalProbability(alpha / 2);
        List<Odds> odds = new ArrayList<>();
        for (int i : others) {
            Trays one = all.get(i);
            Trays other = all.get(control);
            if (!one.between() || !other.between()) {
                OptionalDouble none = OptionalDouble.empty();
                odds.add(new Odds(one.name(), none, none, none, none, none, none));
                continue;
            }
            double ratio = logit(one.share()) - logit(other.share());
            double error = Math.sqrt(dispersion
                    * (1 / (one.all() * one.share() * (1 - one.share()))
                            + 1 / (other.all() * other.share() * (1 - other.share()))));
            odds.add(new Odds(
                    one.name(),
                    OptionalDouble.of(ratio),
                    OptionalDouble.of(error),
                    OptionalDouble.of(ratio / error),
                    OptionalDouble.of(2 * t.survivalProbability(Math.abs(ratio / error))),
                    OptionalDouble.of(ratio - reach * error),
                    OptionalDouble.of(ratio + reach * error)));
        }
        return new Quasi(dispersion, df, odds);
    }

    private static double likelihood(List<Trays> all, double[] logits, double theta) {
        double sum = 0;
        for (int i = 0; i < all.size(); i++) {
            double logit = logits[Math.min(i, logits.length - 1)];
            sum += all.get(i).likelihood(1 / (1 + Math.exp(-logit)), theta);
        }
        return sum;
    }

    /** By maximum likelihood, from several correlations; the correlation is 0 where none above it is likelier. */
    private static Fit fitted(List<Trays> all, double[] start) {
        int k = start.length;
        ToDoubleFunction<double[]> lost = z -> {
            double value = -likelihood(all, Arrays.copyOf(z, k), Math.exp(z[k]));
            return Double.isFinite(value) ? value : Double.MAX_VALUE;
        };
        double[] best = {};
        for (double theta : new double[] {0.01, 0.1, 0.5}) {
            double[] from = Arrays.copyOf(start, k + 1);
            from[k] = Math.log(theta);
            double[] found = MaximumLikelihood.least(lost, from);
            best = best.length == 0 || lost.applyAsDouble(found) < lost.applyAsDouble(best) ? found : best;
        }
        double without = likelihood(all, start, 0);
        if (-lost.applyAsDouble(best) <= without + 1e-8 || best[k] < -FURTHEST) {
            return new Fit(0, start, without, MaximumLikelihood.covariance(z -> -likelihood(all, z, 0), start));
        }
        return new Fit(
                Math.exp(best[k]),
                Arrays.copyOf(best, k),
                -lost.applyAsDouble(best),
                MaximumLikelihood.covariance(lost, best));
    }

    private static Optional<Beta> beta(List<Trays> all, int control, List<Integer> others, double alpha) {
        List<Trays> used = all.stream().filter(Trays::between).toList();
        if (used.size() < 2) {
            return Optional.empty();
        }
        Fit fit = fitted(
                used, used.stream().mapToDouble(one -> logit(one.share())).toArray());
        Optional<Equal> equal = Optional.empty();
        if (used.size() == all.size()) {
            double whole = used.stream().mapToInt(Trays::all).sum();
            double hit =
                    used.stream().mapToDouble(one -> one.share() * one.all()).sum();
            double chi = 2
                    * (fit.loglik()
                            - fitted(used, new double[] {logit(hit / whole)}).loglik());
            equal = Optional.of(new Equal(
                    chi,
                    all.size() - 1,
                    ChiSquaredDistribution.of(all.size() - 1).survivalProbability(chi)));
        }
        double reach = NormalDistribution.of(0, 1).inverseSurvivalProbability(alpha / 2);
        return Optional.of(new Beta(
                fit.theta() / (1 + fit.theta()),
                fit.loglik(),
                IntStream.range(0, used.size())
                        .mapToObj(i -> new Mean(used.get(i).name(), 1 / (1 + Math.exp(-fit.logits()[i]))))
                        .toList(),
                equal,
                others.stream()
                        .map(i -> odds(fit, used, all.get(i), all.get(control), reach))
                        .toList()));
    }

    private static NormalOdds odds(Fit fit, List<Trays> used, Trays one, Trays control, double reach) {
        OptionalDouble none = OptionalDouble.empty();
        if (!one.between() || !control.between()) {
            return new NormalOdds(one.name(), none, none, none, none, none, none);
        }
        int a = used.indexOf(one);
        int c = used.indexOf(control);
        double ratio = fit.logits()[a] - fit.logits()[c];
        double error = Math.sqrt(fit.covariance().getEntry(a, a)
                + fit.covariance().getEntry(c, c)
                - 2 * fit.covariance().getEntry(a, c));
        return new NormalOdds(
                one.name(),
                OptionalDouble.of(ratio),
                OptionalDouble.of(error),
                OptionalDouble.of(ratio / error),
                OptionalDouble.of(2 * NormalDistribution.of(0, 1).survivalProbability(Math.abs(ratio / error))),
                OptionalDouble.of(ratio - reach * error),
                OptionalDouble.of(ratio + reach * error));
    }

    private static Own own(Trays one) {
        if (!one.between()) {
            return new Own(one.name(), one.share(), OptionalDouble.empty(), OptionalDouble.empty());
        }
        Fit fit = fitted(List.of(one), new double[] {logit(one.share())});
        return new Own(
                one.name(),
                1 / (1 + Math.exp(-fit.logits()[0])),
                OptionalDouble.of(fit.theta() / (1 + fit.theta())),
                OptionalDouble.of(fit.loglik()));
    }
}
