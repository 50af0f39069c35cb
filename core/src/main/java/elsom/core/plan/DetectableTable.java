package elsom.core.plan;

import elsom.core.design.Grid;
import elsom.core.design.LayoutKind;
import elsom.core.design.Sizing;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Sentence;
import elsom.core.trial.Endpoint;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * What each number of units could see of one endpoint, and what it costs.
 *
 * @param cv scatter between units that was reckoned with, as a fraction of the basis
 * @param basis what fractions are of, in the endpoint's unit: the control's usual reading, or half the scale of a score;
 *     empty when nobody knows
 * @param matters the difference that matters as a fraction of the basis; empty when nobody said
 * @param needed fewest units of each that see it with 80 % power; empty when none here do, or nobody said
 */
public record DetectableTable(
        Measure measure, double cv, OptionalDouble basis, OptionalDouble matters, OptionalInt needed, List<Row> rows) {
    private static final int MOST_ROWS = 20;
    private static final double CM2_PER_M2 = 10_000;

    /**
     * One number of units of each treatment.
     *
     * @param detectable the difference seen with 80 % power, as a fraction of the control; infinite for one of each
     * @param power the chance to see the difference that matters
     * @param units in all, guards left out
     * @param areaM2 of bench
     * @param mediumL filled
     * @param minutes for all looks together
     */
    public record Row(
            int replicates,
            double detectable,
            OptionalDouble power,
            int units,
            double areaM2,
            double mediumL,
            int seeds,
            long minutes) {}

    public DetectableTable {
        rows = List.copyOf(rows);
    }

    /**
     * Reckons with two treatments or more; with one, as if there were two.
     *
     * @param cv above 0
     * @param usual what the control usually reads; empty when nobody knows, or for a score
     */
    public static DetectableTable of(Plan plan, Measure measure, double cv, OptionalDouble usual) {
        Sizing sizing = sizing(plan, cv);
        OptionalDouble basis = scored(measure) ? OptionalDouble.of(scale(measure)) : usual;
        OptionalDouble matters = matters(plan, measure, basis);
        return new DetectableTable(
                measure,
                cv,
                basis,
                matters,
                matters.isPresent() ? sizing.needed(matters.getAsDouble()) : OptionalInt.empty(),
                IntStream.rangeClosed(1, Math.max(MOST_ROWS, plan.arrangement().replicates()))
                        .mapToObj(n -> row(plan, sizing, matters, n))
                        .toList());
    }

    /** The sizing of a plan's design. */
    public static Sizing sizing(Plan plan, double cv) {
        boolean control = plan.treatments().all().stream().anyMatch(PlannedTreatment::isControl)
                || plan.treatments().factors().stream()
                        .anyMatch(factor -> factor.levels().stream().anyMatch(Factor.Level::control));
        return new Sizing(
                Math.max(2, plan.treatments().size()),
                plan.arrangement().kind() != LayoutKind.COMPLETELY_RANDOM,
                cv,
                control ? Sizing.Together.BESIDE_CONTROL : Sizing.Together.ALL_PAIRS);
    }

    /** Whether an endpoint is a score, whose control may well be 0, so that nothing is a percentage of it. */
    public static boolean scored(Measure measure) {
        return measure.endpoint().unit().dimension() == Dimension.SCORE;
    }

    /** What a score's scatter is a fraction of: half its scale. */
    private static double scale(Measure measure) {
        return measure.endpoint().highest() / 2;
    }

    /** The scatter to reckon with: from earlier trials as a fraction of the basis, else what is typical. */
    public static double scatter(Measure measure, Optional<PastScatter> past) {
        return past.map(found -> scored(measure) ? found.sd() / scale(measure) : found.cv())
                .orElse(measure.typicalCv());
    }

    /** A fraction as a chart draws it: points of a score, else percent of the control. */
    public double drawn(double fraction) {
        return fraction * (scored(measure) ? scale(measure) : 100);
    }

    /** The smallest difference that matters in any comparison of the endpoint. */
    private static OptionalDouble matters(Plan plan, Measure measure, OptionalDouble basis) {
        return plan.asked().questions().stream()
                .filter(question ->
                        question.endpoint().equals(measure.endpoint().code()))
                .filter(question -> question.margin().isPresent())
                .filter(question -> question.inPercent() ? !scored(measure) : basis.isPresent())
                .mapToDouble(question ->
                        question.inPercent() ? question.matters() / 100 : question.matters() / basis.orElse(1))
                .min();
    }

    /** A fraction as people read it: points of a score, percent of the control, and the unit's own where it is known. */
    public String shown(double fraction) {
        Endpoint endpoint = measure.endpoint();
        String absolute = basis.isPresent() ? amount(fraction * basis.getAsDouble(), endpoint) : "";
        if (scored(measure)) {
            return absolute;
        }
        String percent = Decimals.percent(fraction, 0) + " %";
        return absolute.isEmpty() ? percent : percent + " (" + absolute + ")";
    }

    private static String amount(double value, Endpoint endpoint) {
        String number = Decimals.upTo(value, endpoint.decimals() + 1);
        return (number + " " + endpoint.unit().symbol(number.equals("1") ? 1 : value)).strip();
    }

    private static Row row(Plan plan, Sizing sizing, OptionalDouble matters, int n) {
        int sites = plan.arrangement().everySite() ? plan.arrangement().sites().size() : 1;
        int units = Math.max(1, plan.treatments().size()) * n * sites;
        double place = Grid.pitchX(plan.containers()) * Grid.pitchY(plan.containers());
        double medium = plan.treatments().all().stream()
                        .mapToDouble(treatment -> plan.volumeMl(treatment) * n * sites)
                        .sum()
                / 1000;
        return new Row(
                n,
                sizing.detectable(n),
                matters.isPresent()
                        ? OptionalDouble.of(sizing.power(n, matters.getAsDouble()))
                        : OptionalDouble.empty(),
                units,
                units * place / CM2_PER_M2,
                medium,
                units * plan.pots().seeds(),
                PlanEvents.measuring(plan, units).toMinutes());
    }

    public Row at(int replicates) {
        return rows.get(Math.min(replicates, rows.size()) - 1);
    }

    /** What that many units can tell, as a sentence. */
    public String sentence(int replicates) {
        String what = Sentence.inside(measure.endpoint().name());
        if (replicates == 1) {
            return "One unit of each tells nothing about " + what + ": two pots of the same treatment differ too, and"
                    + " here nobody could see by how much.";
        }
        Row row = at(replicates);
        String seen = replicates + " of each can see a difference in " + what + " of " + shown(row.detectable())
                + (scored(measure) ? "" : " of the control") + ", four times in five.";
        if (matters.isEmpty()) {
            return seen;
        }
        String wanted = shown(matters.getAsDouble());
        if (row.detectable() <= matters.getAsDouble()) {
            return seen + " That is enough for the " + wanted + " that matter.";
        }
        return seen + " A difference of " + wanted + ", which matters, would be missed "
                + Decimals.percent(1 - row.power().orElse(0), 0) + " times in a hundred; "
                + (needed.isPresent()
                        ? needed.getAsInt() + " of each would do."
                        : "more than " + Sizing.MOST + " of each would be needed.");
    }
}
