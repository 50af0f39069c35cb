package elsom.core.results;

import elsom.core.analysis.Observations;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Treatments by several endpoints at once: each endpoint from 0 for the worst mean to 1 for the best, weighed as the plan
 * says; and who leads when any one weight is half as large or half as large again.
 *
 * @param parts the endpoints with their weights
 * @param order the best first
 */
public record Weighted(List<Weight> parts, List<Scored> order, List<Turned> turned) implements Section {
    @Override
    public Account account(TrialRecord record) {
        return Account.of("weighed", "All together, by weight")
                .about(parts.stream()
                        .map(part -> Sentence.inside(part.label()) + " × " + Decimals.upTo(part.weight(), 2))
                        .collect(Collectors.joining(", ")))
                .part(Part.of(
                        Table.of(
                                "scores",
                                "Weighed places",
                                List.of(
                                        Column.<Scored>numbers(
                                                "Place", scored -> Cell.count(order.indexOf(scored) + 1)),
                                        Column.cells(
                                                "Treatment", scored -> Cell.of(record.treatment(scored.arm() + 1))),
                                        Column.numbers("Of 100", Weighted::ofHundred)),
                                order),
                        Table.of(
                                "turned",
                                "Who leads when one weight is turned",
                                List.of(
                                        Column.<Turned>words("Weight of", Turned::label),
                                        Column.words("half as large", Turned::lower),
                                        Column.words("half as large again", Turned::higher)),
                                turned)))
                .note(
                        steady()
                                ? "The same treatment leads whichever weight is half as large or half as large again."
                                : "Who leads depends on the weights: see below. The scatter between units is not in this"
                                        + " order.")
                .method("", List.of("Each endpoint from 0 for the worst mean to 1 for the best, times its weight."))
                .build();
    }

    private static final double TURN = 0.5;

    /** An endpoint's weight. */
    public record Weight(String label, double weight) {}

    /** A treatment's weighed mean, 0 to 1. */
    public record Scored(int arm, String name, double score) {}

    /** Who leads when one weight is turned down and up by half. */
    public record Turned(String label, String lower, String higher) {}

    /** Where a treatment stands in one endpoint. */
    private record Standing(String label, double weight, List<Double> shares) {}

    public Weighted {
        parts = List.copyOf(parts);
        order = List.copyOf(order);
        turned = List.copyOf(turned);
    }

    /**
     * Weighs.
     *
     * @param judged an endpoint each, of the same treatments
     * @param weights above 0, one each
     */
    public static Weighted of(List<JudgedQuestion> judged, List<Double> weights) {
        List<Standing> standings = new ArrayList<>();
        for (int i = 0; i < judged.size(); i++) {
            standings.add(new Standing(judged.get(i).kind().label(), weights.get(i), shares(judged.get(i))));
        }
        JudgedQuestion any = judged.get(0);
        double[] scores = scores(standings, -1, 1);
        List<Scored> order = IntStream.range(0, scores.length)
                .filter(arm -> !Double.isNaN(scores[arm]))
                .mapToObj(arm -> new Scored(arm, any.name(arm), scores[arm]))
                .sorted(Comparator.comparing(Scored::score).reversed())
                .toList();
        List<Turned> turned = new ArrayList<>();
        for (int i = 0; i < standings.size(); i++) {
            turned.add(new Turned(
                    standings.get(i).label(),
                    any.name(best(scores(standings, i, 1 - TURN))),
                    any.name(best(scores(standings, i, 1 + TURN)))));
        }
        return new Weighted(
                standings.stream().map(s -> new Weight(s.label(), s.weight())).toList(), order, turned);
    }

    private static List<Double> shares(JudgedQuestion question) {
        double[] means = question.judgement().means().stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
        double low = Arrays.stream(means).filter(Double::isFinite).min().orElse(0);
        double high = Arrays.stream(means).filter(Double::isFinite).max().orElse(0);
        boolean higher = question.observations().better() == Observations.Better.HIGHER;
        for (int i = 0; i < means.length; i++) {
            means[i] = high > low ? (higher ? means[i] - low : high - means[i]) / (high - low) : 0.5;
        }
        return Arrays.stream(means).boxed().toList();
    }

    private static Cell ofHundred(Scored scored) {
        return Cell.number(
                Decimals.percent(scored.score(), 0) + " of 100", Amount.of(scored.score(), UnitOfMeasure.FRACTION));
    }

    private static double[] scores(List<Standing> standings, int turned, double by) {
        double[] scores = new double[standings.get(0).shares().size()];
        double all = 0;
        for (int i = 0; i < standings.size(); i++) {
            double weight = standings.get(i).weight() * (i == turned ? by : 1);
            all += weight;
            for (int arm = 0; arm < scores.length; arm++) {
                scores[arm] += weight * standings.get(i).shares().get(arm);
            }
        }
        for (int arm = 0; arm < scores.length; arm++) {
            scores[arm] /= all;
        }
        return scores;
    }

    private static int best(double[] scores) {
        int best = 0;
        for (int i = 1; i < scores.length; i++) {
            best = scores[i] > scores[best] || Double.isNaN(scores[best]) ? i : best;
        }
        return best;
    }

    /** Whether the leader stays the same whichever weight is turned. */
    public boolean steady() {
        return !order.isEmpty()
                && turned.stream()
                        .allMatch(one -> one.lower().equals(order.get(0).name())
                                && one.higher().equals(order.get(0).name()));
    }
}
