package elsom.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Causes ranked by what was seen. Each is taken as likely beforehand as the other, something that stands on no list as twice so, and what strikes the clean
 * medium too, such as cold, as half;
 * each sign speaks for itself (naive Bayes), but counts less than a whole one, since signs go together: likelihoods are
 * tempered until stated shares come true in simulated lots of another making.
 *
 * @param standings most likely first
 * @param together two causes at once, where they explain what was seen far better than any one; empty where none do
 */
public record Diagnosis(List<Standing> standings, Optional<Pair> together) {
    /** How often half of a lot's units are said to show a symptom, or not to, by eyes that err in one of ten. */
    static final double MISREAD = 0.09;

    /** What a sign counts beside one that spoke for itself: signs go together. */
    private static final double TEMPER = 0.84;

    private static final double EVEN = 0.5;

    /** How many times likelier two causes must make what was seen than the best alone: two at once are rare. */
    private static final double FAR_BETTER = 8;

    /** A cause is named when it stands for at least so much of all; below, the trial can't tell. */
    static final double ENOUGH = 0.7;

    /**
     * A cause.
     *
     * @param share of belief in it, 0 to 1
     * @param reasons what was seen, with what it says of this cause
     */
    public record Standing(Cause cause, double share, List<Reason> reasons) {
        private static final double POSSIBLE = 0.2;
        private static final double UNLIKELY = 0.02;

        public Standing {
            reasons = List.copyOf(reasons);
        }

        /** Whether it stands out far enough to be named. */
        public boolean named() {
            return share >= ENOUGH;
        }

        public boolean ruledOut() {
            return share < UNLIKELY;
        }

        /** How far it can be held to be the cause, in words. */
        public String word() {
            return named() ? "likely" : share >= POSSIBLE ? "possible" : ruledOut() ? "all but ruled out" : "unlikely";
        }

        /** What a sign says of it; silent where it was not looked for. */
        public Weight of(Seen seen) {
            return reasons.stream()
                    .filter(reason -> reason.seen().equals(seen))
                    .map(Reason::weight)
                    .findFirst()
                    .orElse(Weight.SILENT);
        }
    }

    /** Two causes at once: each shows its signs as it would alone. */
    public record Pair(Cause first, Cause second) {
        /** "soluble salts and ammonia or immature compost". */
        public String words() {
            return first.label() + " and " + second.label();
        }

        /** Whether one of them is in the lot and goes with it. */
        public Optional<Cause> contaminant() {
            return first.contaminant()
                    ? Optional.of(first)
                    : second.contaminant() ? Optional.of(second) : Optional.empty();
        }
    }

    /** What one sign says of one cause. */
    public record Reason(Seen seen, Weight weight) {}

    /** How a sign speaks. */
    public enum Weight {
        STRONGLY_FOR("speaks strongly for it", "++", 2),
        FOR("speaks for it", "+", 1),
        SILENT("says nothing", "·", 0),
        AGAINST("speaks against it", "−", 1),
        STRONGLY_AGAINST("speaks strongly against it", "−−", 2);

        private static final double CLEAR = Math.log(1.5);
        private static final double STRONG = Math.log(5);

        private final String words;
        private final String mark;
        private final int loudness;

        Weight(String words, String mark, int loudness) {
            this.loudness = loudness;
            this.words = words;
            this.mark = mark;
        }

        public String words() {
            return words;
        }

        public String mark() {
            return mark;
        }

        static Weight of(double logRatio) {
            return logRatio >= STRONG
                    ? STRONGLY_FOR
                    : logRatio >= CLEAR
                            ? FOR
                            : logRatio > -CLEAR ? SILENT : logRatio > -STRONG ? AGAINST : STRONGLY_AGAINST;
        }
    }

    public Diagnosis {
        standings = List.copyOf(standings);
    }

    /** Ranks the causes; signs on which the table is silent say nothing. */
    public static Diagnosis of(List<Seen> seen, Likelihoods table) {
        Map<Cause, Double> logs = new EnumMap<>(Cause.class);
        Map<Cause, List<Reason>> reasons = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            logs.put(cause, Math.log(cause.weight()));
            reasons.put(cause, new ArrayList<>());
        }
        for (Seen one : seen) {
            table.row(one.sign(), one.plants()).ifPresent(row -> {
                double all = 0;
                for (Cause cause : Cause.values()) {
                    all += likelihood(one, row, cause);
                }
                for (Cause cause : Cause.values()) {
                    double own = likelihood(one, row, cause);
                    double others = (all - own) / (Cause.values().length - 1);
                    logs.merge(cause, TEMPER * Math.log(own), Double::sum);
                    Objects.requireNonNull(reasons.get(cause)).add(new Reason(one, Weight.of(Math.log(own / others))));
                }
            });
        }
        double top = logs.values().stream().mapToDouble(log -> log).max().orElseThrow();
        double sum =
                logs.values().stream().mapToDouble(log -> Math.exp(log - top)).sum();
        return new Diagnosis(
                Arrays.stream(Cause.values())
                        .map(cause -> new Standing(
                                cause,
                                Math.exp(Objects.requireNonNull(logs.get(cause)) - top) / sum,
                                Objects.requireNonNull(reasons.get(cause))))
                        .sorted(Comparator.comparing(Standing::share).reversed())
                        .toList(),
                pair(seen, table, top));
    }

    /** A sign that the table knows. */
    private record Known(Seen seen, Likelihoods.Row row) {}

    /** The two causes that explain it best together, where they do so far better than the best alone. */
    private static Optional<Pair> pair(List<Seen> seen, Likelihoods table, double alone) {
        List<Known> known = seen.stream()
                .flatMap(one -> table.row(one.sign(), one.plants()).stream().map(row -> new Known(one, row)))
                .toList();
        List<Cause> causes = Arrays.stream(Cause.values())
                .filter(cause -> cause != Cause.OTHER && cause != Cause.NONE)
                .toList();
        double[][] given = causes.stream()
                .map(cause -> known.stream()
                        .mapToDouble(one -> one.row().given(cause))
                        .toArray())
                .toArray(double[][]::new);
        Map<Pair, Double> logs = new LinkedHashMap<>();
        for (int i = 0; i < given.length; i++) {
            for (int j = i + 1; j < given.length; j++) {
                Pair pair = new Pair(causes.get(i), causes.get(j));
                // Some fifty factors of a thousandth or more each: far from the smallest number there is.
                double product = 1;
                for (int k = 0; k < known.size(); k++) {
                    double either = 1 - (1 - given[i][k]) * (1 - given[j][k]);
                    product *= likelihood(known.get(k).seen(), either);
                }
                logs.put(
                        pair,
                        TEMPER * Math.log(product)
                                + Math.log(pair.first().weight() * pair.second().weight()));
            }
        }
        Map.Entry<Pair, Double> best =
                logs.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
        double others = logs.values().stream()
                .mapToDouble(log -> Math.exp(log - best.getValue()))
                .sum();
        return best.getValue() - alone > Math.log(FAR_BETTER) && others < 1 / EVEN
                ? Optional.of(best.getKey())
                : Optional.empty();
    }

    private static double likelihood(Seen seen, Likelihoods.Row row, Cause cause) {
        return likelihood(seen, row.given(cause));
    }

    private static double likelihood(Seen seen, double table) {
        double present =
                seen.sign().kind() == Sign.Kind.SYMPTOM ? table * (1 - MISREAD) + (1 - table) * MISREAD : table;
        return seen.degree() * present + (1 - seen.degree()) * (1 - present);
    }

    /** Signs that part the likeliest causes, those that speak loudest first. */
    public List<Seen> telling(int most) {
        List<Standing> top = standings.subList(0, 3);
        return first().reasons().stream()
                .map(Reason::seen)
                .filter(seen -> top.stream()
                                .map(standing -> standing.of(seen))
                                .distinct()
                                .count()
                        > 1)
                .sorted(Comparator.comparing((Seen seen) -> top.stream()
                                .mapToInt(standing -> standing.of(seen).loudness)
                                .sum())
                        .reversed())
                .limit(most)
                .toList();
    }

    public Standing first() {
        return standings.get(0);
    }

    public Standing second() {
        return standings.get(1);
    }

    /** The cause, where one stands out; empty when the table can't tell it from the next, or two explain it far better. */
    public Optional<Cause> named() {
        return first().share() >= ENOUGH && together.isEmpty() ? Optional.of(first().cause()) : Optional.empty();
    }

    /**
     * The test that would split the two most likely causes best.
     *
     * @param done signs that are already known
     * @param groups indicator groups that were sown
     */
    public Optional<NextTest> next(Set<Sign> done, Set<IndicatorGroup> groups, Likelihoods table) {
        return Arrays.stream(NextTest.values())
                .filter(test -> test.open(done, groups) && tells(test, table))
                .max(Comparator.comparing(test -> split(test, table) * test.ease()))
                .filter(test -> split(test, table) > 0);
    }

    /** Whether one of the two causes makes its sign likely: what neither of them shows is no test of them. */
    private boolean tells(NextTest test, Likelihoods table) {
        return test.signs().stream()
                .flatMap(sign -> table.row(sign, test.plants()).stream())
                .anyMatch(row -> Math.max(row.given(first().cause()), row.given(second().cause())) >= EVEN);
    }

    private double split(NextTest test, Likelihoods table) {
        return test.signs().stream()
                .flatMap(sign -> table.row(sign, test.plants()).stream())
                .mapToDouble(row -> Math.abs(row.given(first().cause()) - row.given(second().cause())))
                .max()
                .orElse(0);
    }
}
