package elsom.core.results;

import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Claim;
import elsom.core.plan.Question;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Verdict.Firmness;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.section.Table;
import elsom.core.section.Tone;
import elsom.core.stats.FixedFigure;
import elsom.core.stats.Group;
import elsom.core.stats.Interval;
import elsom.core.stats.Proportion;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Treatments beside a figure that was fixed beforehand: "pH at least 5.4". Each by itself, by the interval of its mean;
 * intervals hold together for all of them (Bonferroni).
 *
 * @param figure in the unit of what is judged; a share for counts
 * @param tolerance how far short of it still counts; 0 for none
 */
public record FixedResult(
        Posed posed,
        FigureKind kind,
        Look look,
        Coverage coverage,
        Observations observations,
        double figure,
        double tolerance,
        List<Beside> treatments)
        implements Section {
    private static final int MOST_NAMED = 3;
    /** Of a uniform distribution of width 1: readings that agree may still differ within their last digit. */
    private static final double WITHIN_A_STEP = 1 / Math.sqrt(12);

    /**
     * A treatment beside the figure.
     *
     * @param interval of its mean; empty where one unit or none was read, or some have not come
     */
    public record Beside(int arm, int units, int died, double mean, Optional<Interval> interval, Held held) {}

    public FixedResult {
        treatments = List.copyOf(treatments);
    }

    static FixedResult of(
            Posed posed,
            Question question,
            FigureKind kind,
            Look look,
            Coverage coverage,
            Observations observations,
            double perReading) {
        double figure = perReading * Objects.requireNonNull(posed.hypothesis().figure());
        double tolerance =
                question.inPercent() ? Math.abs(figure) * question.matters() / 100 : perReading * question.matters();
        List<Integer> arms = IntStream.range(0, observations.arms().size())
                .filter(arm ->
                        question.treatments().isEmpty() || question.treatments().contains(arm + 1))
                .boxed()
                .toList();
        List<Beside> besides = arms.stream()
                .map(arm -> beside(posed.claim(), observations, arm, figure, tolerance, posed.alpha() / arms.size()))
                .toList();
        return new FixedResult(posed, kind, look, coverage, observations, figure, tolerance, besides);
    }

    private static Beside beside(
            Claim claim, Observations seen, int arm, double figure, double tolerance, double alpha) {
        List<Observed> units =
                seen.seen().stream().filter(unit -> unit.arm() == arm).toList();
        double mean = units.stream()
                .mapToDouble(unit -> unit.value().inSums())
                .average()
                .orElse(Double.NaN);
        Optional<Interval> interval = interval(seen, units, figure, alpha);
        int died = seen.deaths(arm);
        Held held = interval.map(one -> held(claim, one, figure, tolerance)).orElse(Held.CANT_TELL);
        return new Beside(arm, units.size(), died, mean, interval, died > 0 ? Held.CANT_TELL : held);
    }

    private static Held held(Claim claim, Interval mean, double figure, double tolerance) {
        boolean least = claim == Claim.AT_LEAST;
        double low = least ? mean.low() - figure : figure - mean.high();
        double high = least ? mean.high() - figure : figure - mean.low();
        return low >= -tolerance ? Held.HELD : high < -tolerance ? Held.NOT_HELD : Held.CANT_TELL;
    }

    private static Optional<Interval> interval(Observations seen, List<Observed> units, double figure, double alpha) {
        if (units.size() < 2 || units.stream().anyMatch(unit -> unit.value() instanceof Value.NotYet)) {
            return Optional.empty();
        }
        boolean single = units.stream().allMatch(unit -> unit.value() instanceof Value.CountOf count && count.n() == 1);
        List<Double> values = units.stream().map(unit -> unit.value().inSums()).toList();
        FixedFigure t = FixedFigure.of(new Group("", values), figure, alpha);
        if (seen.kind() == EndpointKind.COUNT_OF && (single || t.sd() == 0)) {
            int k = 0;
            int n = 0;
            for (Observed unit : units) {
                if (unit.value() instanceof Value.CountOf count) {
                    k += count.k();
                    n += count.n();
                }
            }
            return Optional.of(new Proportion(k, n).clopperPearson(alpha));
        }
        double mean = figure + t.difference();
        double reach = t.sd() > 0
                ? t.high().orElseThrow() - t.difference()
                : FixedFigure.reach(seen.resolution() * WITHIN_A_STEP, units.size(), alpha);
        return Optional.of(new Interval(mean - reach, mean + reach));
    }

    /** The answer as a sentence, treatment by treatment. */
    Findings.Answered answered() {
        Map<Held, List<String>> groups = new EnumMap<>(Held.class);
        treatments.forEach(one ->
                groups.computeIfAbsent(one.held(), key -> new ArrayList<>()).add(name(one) + " (" + told(one) + ")"));
        String parts = groups.entrySet().stream()
                .map(group -> group.getKey().label() + ": "
                        + (group.getValue().size() > MOST_NAMED
                                ? group.getValue().size() + " of " + treatments.size() + " treatments"
                                : String.join(", ", group.getValue())))
                .collect(Collectors.joining("; "));
        Firmness firmness = groups.size() == 1
                ? firmness(groups.keySet().iterator().next())
                : groups.containsKey(Held.CANT_TELL) ? Firmness.PARTLY : Firmness.SETTLED;
        Verdict verdict = Wording.soFar(
                coverage,
                new Verdict(
                        firmness,
                        kind.label() + " at " + look.said() + ", "
                                + posed.claim().label() + " " + kind.finer().show(figure) + ": " + parts + ".",
                        groups.containsKey(Held.CANT_TELL)
                                ? "More units of those that can't be told."
                                : Wording.REPEAT));
        return new Findings.Answered(
                        posed.number(),
                        posed.words(),
                        posed.stated().label(),
                        verdict,
                        AskedQuestions.beside(posed, coverage.sentences()),
                        Optional.empty())
                .about(kind);
    }

    private String name(Beside one) {
        return observations.arms().get(one.arm()).name();
    }

    private String told(Beside one) {
        if (one.units() == 0) {
            return "no unit was read";
        }
        String mean = Double.isFinite(one.mean()) ? kind.finer().show(one.mean()) : "not yet in all units";
        return mean
                + (one.died() > 0 ? " in those that lived; " + one.died() + " died" : "")
                + one.interval()
                        .map(i -> ", 95 % interval " + kind.finer().number(i.low()) + " to "
                                + kind.finer().show(i.high()))
                        .orElse(one.units() == 1 ? ", one unit" : "");
    }

    private static Firmness firmness(Held held) {
        return switch (held) {
            case HELD -> Firmness.HELD;
            case NOT_HELD -> Firmness.NOT_HELD;
            case CANT_TELL -> Firmness.CANT_TELL;
        };
    }

    @Override
    public Subject subject() {
        return new Subject(posed.number(), Optional.empty());
    }

    @Override
    public Account account(TrialRecord record) {
        UnitOfMeasure unit = kind.unit();
        List<Column<Beside>> columns = List.of(
                Column.cells("Treatment", one -> Cell.of(record.treatment(one.arm() + 1))),
                Column.numbers("Units", one -> Cell.count(one.units())),
                Column.numbers("Died", one -> Cell.count(one.died())),
                Column.numbers(
                        "Mean",
                        one -> Double.isFinite(one.mean())
                                ? Cell.number(
                                        kind.finer().show(one.mean()),
                                        Amount.of(one.mean(), unit).within(one.interval()))
                                : Cell.none(Cell.NONE)),
                Column.numbers(
                        "95 % interval",
                        one -> Cell.none(one.interval()
                                .map(i -> kind.finer().number(i.low()) + " to "
                                        + kind.finer().show(i.high()))
                                .orElse(Cell.NONE))),
                Column.cells("As stated", one -> Cell.verdict(one.held().label(), tone(one.held()))));
        return Account.of(
                        "fixed-" + posed.number(),
                        kind.label() + " beside " + kind.finer().show(figure))
                .about(look.name())
                .says(posed.words())
                .part(Part.of(Table.of("fixed", "Means beside the figure", columns, treatments)))
                .method(
                        "How it was judged",
                        List.of(
                                "Each treatment by the interval of its mean (Student's t over its units; counts of single"
                                        + " plants, or all alike, exactly by the binomial): held where all of it meets the"
                                        + " figure, not held where none does.",
                                "Intervals hold together for all treatments of this question, in 95 of 100 trials like it."))
                .build();
    }

    private static Tone tone(Held held) {
        return switch (held) {
            case HELD -> Tone.BETTER;
            case NOT_HELD -> Tone.WORSE;
            case CANT_TELL -> Tone.CANT_TELL;
        };
    }
}
