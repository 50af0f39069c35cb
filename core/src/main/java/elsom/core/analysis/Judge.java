package elsom.core.analysis;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Group;
import elsom.core.stats.OneWay;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Judges a question on the observations of one endpoint at one look: chooses the analysis that fits endpoint, layout and
 * scatter, works out adjusted intervals, and answers each comparison by one rule ({@link Answer}).
 */
public final class Judge {
    /** Groups whose deviations differ as clearly as this (Brown and Forsythe) are said to. */
    private static final double UNEQUAL = 0.05;

    private Judge() {}

    /** Judges. Bad treatments' codes are an {@link IllegalArgumentException}; data that can't answer are a refusal. */
    public static Judgement of(Observations observations, Ask ask) {
        return of(observations, ask, Told.ALL);
    }

    /** The same without letters of all pairs, for who judges thousands of trials. */
    public static Judgement unlettered(Observations observations, Ask ask) {
        return of(observations, ask, new Told(false, OptionalInt.empty()));
    }

    /** The same, told of the comparisons of one treatment alone; they are judged together with all that is asked. */
    public static Judgement of(Observations observations, Ask ask, int treatment) {
        return of(observations, ask, new Told(false, OptionalInt.of(treatment)));
    }

    /**
     * How much is worked out.
     *
     * @param of the treatment whose comparisons are told; empty for all
     */
    record Told(boolean lettered, OptionalInt of) {
        static final Told ALL = new Told(true, OptionalInt.empty());

        boolean tells(Pairing.Pair pair) {
            return of.isEmpty() || pair.treatment() == of.getAsInt() || pair.comparator() == of.getAsInt();
        }
    }

    private static Judgement of(Observations observations, Ask ask, Told told) {
        Pairing pairing = Pairing.of(observations, ask);
        List<String> checked = new ArrayList<>(pairing.remarks());
        if (observations.seen().isEmpty()) {
            return refused(observations, pairing, checked, "Nothing was read yet");
        }
        if (pairing.pairs().isEmpty()) {
            return refused(observations, pairing, checked, "There is nothing to compare with");
        }
        if (observations.units().stream().anyMatch(unit -> unit.value().spans())) {
            return RankShift.judge(observations, ask, pairing, checked);
        }
        if (observations.kind() == EndpointKind.COUNT_OF) {
            return Shares.judge(observations, ask, pairing, checked, told);
        }
        return measured(observations, ask, pairing, checked, told);
    }

    private static Judgement measured(Observations all, Ask ask, Pairing pairing, List<String> checked, Told told) {
        SeenRows rows = new SeenRows(all);
        boolean weighed = ask.scatter() == Ask.Scatter.AS_SEEN;
        Outcome<Model> model = all.design() == Design.SPLIT_PLOT
                ? SplitPlotModel.of(rows, weighed)
                : weighed ? WeighedModel.of(rows) : PooledModel.of(rows);
        if (model.asOptional().isEmpty()) {
            return refused(all, pairing, checked, model.whyNot().orElseThrow());
        }
        checked.add(scatterSentence(all.design()));
        if (model.asOptional().get() instanceof WeighedModel seen) {
            checked.add(weighedSentence(seen, rows.present().size()));
        }
        return new Contrasts(all, ask, pairing, model.asOptional().orElseThrow(), weighed).judged(checked, told);
    }

    private static String weighedSentence(WeighedModel model, int treatments) {
        return treatments == 2
                ? "Each of the two is judged by its own scatter."
                : "Whether treatments scatter alike is weighed, not decided: one scatter for all counts for "
                        + Decimals.percent(model.alike(), 0)
                        + " %, less where one side has fewer units than the rest; each treatment's own for what is left.";
    }

    private static String scatterSentence(Design design) {
        return switch (design) {
            case COMPLETELY_RANDOM -> "Units stood where the lot put them, with nothing to take out first.";
            case BLOCKS -> "What blocks differ by is taken out first.";
            case LATIN_SQUARE -> "What rows and columns differ by is taken out first.";
            case SPLIT_PLOT ->
                "Whole plots scatter by themselves: what is compared between them is judged by that scatter, what is"
                        + " compared within them by that of units.";
        };
    }

    /** Whether treatments clearly scatter by different amounts (Brown and Forsythe 1974). */
    public static boolean scatterUnlike(Observations all) {
        if (all.kind() == EndpointKind.COUNT_OF
                || all.seen().stream().anyMatch(unit -> unit.value().spans())) {
            return false;
        }
        return unequal(new SeenRows(all));
    }

    private static boolean unequal(SeenRows rows) {
        List<Group> groups = new ArrayList<>();
        for (int arm : rows.present()) {
            groups.add(new Group(
                    String.valueOf(arm),
                    rows.seen().stream()
                            .filter(unit -> unit.arm() == arm)
                            .map(Observations::number)
                            .toList()));
        }
        if (groups.size() < 2 || groups.stream().anyMatch(group -> group.n() < 2)) {
            return false;
        }
        return OneWay.of(groups)
                .brownForsythe()
                .asOptional()
                .map(test -> test.p() < UNEQUAL)
                .orElse(false);
    }

    static Judgement refused(Observations all, Pairing pairing, List<String> checked, String reason) {
        List<Double> means = plainMeans(all);
        List<Comparison> comparisons = pairing.pairs().stream()
                .map(pair -> unjudged(pair, means.get(pair.treatment()) - means.get(pair.comparator())))
                .toList();
        return new Judgement(
                Method.NONE,
                checked,
                means,
                comparisons,
                List.of(),
                Optional.empty(),
                List.of(),
                OptionalDouble.empty(),
                List.of(),
                Optional.of(reason));
    }

    /** A pair of which nothing can be told, with its difference where there is one. */
    static Comparison unjudged(Pairing.Pair pair, double difference) {
        return new Comparison(
                pair.treatment(),
                pair.comparator(),
                difference,
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Answer.CANT_TELL,
                OptionalInt.empty());
    }

    private static List<Double> plainMeans(Observations all) {
        List<Double> means = new ArrayList<>();
        for (int arm = 0; arm < all.arms().size(); arm++) {
            int which = arm;
            means.add(all.seen().stream()
                    .filter(unit -> unit.arm() == which)
                    .mapToDouble(Observations::number)
                    .average()
                    .orElse(Double.NaN));
        }
        return means;
    }
}
