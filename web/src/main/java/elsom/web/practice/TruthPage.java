package elsom.web.practice;

import elsom.core.analysis.Comparison;
import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.practice.Brief;
import elsom.core.practice.Decisions;
import elsom.core.practice.Draft;
import elsom.core.practice.Judged;
import elsom.core.practice.Levels;
import elsom.core.practice.Planned;
import elsom.core.practice.PracticeBench;
import elsom.core.practice.Rerun;
import elsom.core.practice.Seen;
import elsom.core.practice.Trialled;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.Decimals;
import elsom.core.results.Shades;
import elsom.core.stats.Interval;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The truth of a bench, drawn over what its trial showed.
 *
 * @param called what was said, as a sentence
 * @param went how that was
 * @param seen every unit by treatment with what is true, for the script; the same as sentences in {@code seenWords}
 * @param bars what reruns of the plan, and of a fair one, would have told
 * @param decisions what each cost, as sentences
 * @param bias whether the plan is off on average, as a sentence
 * @param spent what it took of the budget
 * @param faults rules of fairness that were broken
 * @param light the map with the light that nobody saw; empty where the bench was even
 * @param reruns what the script of "what if I had" needs
 */
record TruthPage(
        TrialHeader header,
        Brief brief,
        long seed,
        String truth,
        String called,
        String sure,
        String went,
        String wentCss,
        String score,
        String seen,
        String seenWords,
        List<Bar> bars,
        List<String> decisions,
        String bias,
        String spent,
        List<Fault> faults,
        String grade,
        Optional<BenchMap> light,
        String reruns,
        Trialled own,
        Optional<Next> next) {
    private static final double PERCENT = 100;

    /** Reruns as a bar. */
    record Bar(String label, String words, int right, int cantTell, int wrong) {}

    /** The level after this one. */
    record Next(String name, String href) {}

    private record Drawn(String unit, double matters, boolean inPercent, List<Row> rows) {}

    private record Row(Swatch swatch, List<Double> figures, double truth) {}

    private record Reruns(String href, int units, Trialled.Placing placing, List<Place> placings) {}

    private record Place(Trialled.Placing code, String label) {}

    static TruthPage of(
            Practice practice,
            TrialRecord record,
            Trialled own,
            Rerun.Tally told,
            Rerun.Tally fair,
            List<Decisions.Decision> decisions,
            Audit audit,
            Planned.Costs costs,
            Instant now) {
        Practice.Called called = practice.called().orElseThrow();
        Judged judged = practice.judged().orElseThrow();
        Judged.Kind kind = practice.kind().orElseThrow();
        boolean blocks = own.placing() == Trialled.Placing.BLOCKS;
        Seen seen = Seen.of(record, practice.level(), practice.setting(), practice.truth(), blocks);
        boolean open = judged.brier().isEmpty();
        return new TruthPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                practice.level().brief(),
                practice.seed(),
                practice.truth().words(),
                practice.level().brief().words(called.call()),
                open ? "" : Decimals.percent(called.confidence(), 0) + " % sure",
                kind.label(),
                kind == Judged.Kind.WRONG ? "miss" : kind == Judged.Kind.NEEDLESSLY_OPEN ? "open" : "hit",
                open
                        ? "“Can’t tell” has no score: it is right where the plan could not tell."
                        : "Brier score " + Decimals.fixed(judged.brier().getAsDouble(), 2)
                                + ": 0 is best, 0.25 is what a coin gets.",
                Json.of(drawn(practice, record, seen)),
                seenWords(practice, seen),
                List.of(
                        bar("Your plan", words(own), told),
                        bar("A fair plan", words(practice.level().fair()), fair)),
                decisions.stream().map(one -> sentence(one, own, told)).toList(),
                bias(practice, told),
                spent(practice.level().brief().budget(), costs),
                audit.faults(),
                audit.grade().label(),
                light(practice, record),
                Json.of(new Reruns(
                        "/practice/bench/" + practice.trial() + "/again",
                        own.units(),
                        own.placing(),
                        List.of(Trialled.Placing.values()).stream()
                                .map(place -> new Place(place, place.label()))
                                .toList())),
                own,
                Levels.all().stream()
                        .filter(level -> level.brief().number()
                                == practice.level().brief().number() + 1)
                        .findFirst()
                        .map(level -> new Next(
                                level.brief().name(),
                                "/practice/" + level.brief().code())));
    }

    private static Bar bar(String label, String words, Rerun.Tally tally) {
        return new Bar(
                label,
                words,
                percent(tally, tally.right()),
                percent(tally, tally.cantTell()),
                percent(tally, tally.wrong()));
    }

    private static int percent(Rerun.Tally tally, int of) {
        return (int) Math.round(PERCENT * tally.share(of));
    }

    private static String words(Trialled plan) {
        String names =
                String.join("; ", plan.treatments().stream().map(Draft::shown).toList());
        return plan.units() + " of each, " + plan.placing().label() + ", up to day "
                + Decimals.upTo(plan.lastDay(), 1) + ": " + names
                + (plan.best() > 0 ? "; only the best " + plan.best() + " measured" : "");
    }

    private static Drawn drawn(Practice practice, TrialRecord record, Seen seen) {
        Brief.Measured measured = practice.level().brief().measured();
        boolean water = record.trial().protocol().equals(WaterHolding.CODE);
        String unit = water
                ? "water held, %"
                : record.endpoint(measured.endpoint()).name() + ", "
                        + record.endpoint(measured.endpoint()).unit().symbol();
        List<Swatch> swatches = Swatch.of(record);
        return new Drawn(
                unit,
                measured.matters(),
                measured.inPercent(),
                seen.rows().stream()
                        .map(row -> new Row(swatches.get(row.number() - 1), row.figures(), row.truth()))
                        .toList());
    }

    private static String seenWords(Practice practice, Seen seen) {
        return seen.difference()
                .map(difference -> "Your trial’s own difference, “" + Draft.shown(difference.treatment()) + "” beside “"
                        + Draft.shown(difference.comparator()) + "”: " + spanned(practice, difference.comparison())
                        + ".")
                .orElse("");
    }

    private static String spanned(Practice practice, Comparison difference) {
        boolean percent = practice.level().brief().measured().inPercent()
                && difference.percent().isPresent();
        double middle = percent ? difference.percent().getAsDouble() : difference.difference();
        Optional<Interval> interval = percent ? difference.percentInterval() : difference.interval();
        return signed(middle)
                + (percent ? " %" : "")
                + interval.map(i -> " (95 % interval " + signed(i.low()) + " to " + signed(i.high())
                                + (percent ? " %" : "") + ")")
                        .orElse(", without an interval: one unit of each");
    }

    private static String signed(double value) {
        String fixed = Decimals.fixed(Math.abs(value), 1);
        return (value < 0 ? "−" : "+") + fixed;
    }

    private static String bias(Practice practice, Rerun.Tally told) {
        if (told.bias().isEmpty()) {
            return "";
        }
        boolean percent = practice.level().brief().measured().inPercent();
        return !told.biased(percent)
                ? "Over many reruns your plan is right on average: what it gets wrong is chance."
                : "Over many reruns your plan is off by " + signed(told.bias().getAsDouble()) + (percent ? " %" : "")
                        + " on average: that is bias, and more units don’t mend it.";
    }

    private static String spent(Brief.Budget budget, Planned.Costs costs) {
        return "It took " + costs.places() + " of " + budget.places() + " places, " + Decimals.fixed(costs.hours(), 1)
                + " of "
                + Decimals.fixed(budget.hours(), 0) + " hours and " + Decimals.fixed(costs.money(), 2) + " of "
                + Decimals.fixed(budget.money(), 0) + " in money"
                + (costs.within(budget) ? "." : ": more than there was.");
    }

    private static String sentence(Decisions.Decision decision, Trialled own, Rerun.Tally told) {
        int now = percent(told, told.right());
        long then = Math.round(now + PERCENT * decision.gained());
        Trialled instead = decision.instead();
        String what = switch (decision.what()) {
            case UNITS -> own.units() + " of each. With " + instead.units() + " of each";
            case PLACING ->
                "Placed " + own.placing().label() + ". Placed "
                        + (instead.placing() == Trialled.Placing.BLOCKS
                                ? "in blocks"
                                : instead.placing().label());
            case TREATMENTS -> "Without " + missing(own, instead) + ". With it";
            case LAST_DAY ->
                "Looked up to day " + Decimals.upTo(own.lastDay(), 1) + ". Up to day "
                        + Decimals.upTo(instead.lastDay(), 1);
            case PICKING -> "Only the best " + own.best() + " measured. With all of them";
        };
        return what + ", and nothing else changed, it would have told in " + Math.max(0, Math.min(100, then))
                + " of 100 reruns instead of " + now + ".";
    }

    private static String missing(Trialled own, Trialled instead) {
        List<String> missing = new ArrayList<>(instead.treatments());
        missing.removeAll(own.treatments());
        return "“" + String.join("”, “", missing.stream().map(Draft::shown).toList()) + "”";
    }

    /** The light of every place, in percent of the middle's, coloured like any figure. */
    private static Optional<BenchMap> light(Practice practice, TrialRecord record) {
        if (practice.setting().gradient() <= 0.05 || record.units().isEmpty()) {
            return Optional.empty();
        }
        PracticeBench bench = new PracticeBench(record, practice.level(), practice.setting(), practice.seed());
        Shades shades = Shades.between(record.units().stream().map(bench::light).toList());
        return Optional.of(BenchMap.of(record, 1, unit -> face(record, unit, bench.light(unit), shades)));
    }

    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit, double light, Shades shades) {
        return new BenchMap.Face(
                String.format(Locale.ROOT, "%.0f %%", PERCENT * light),
                BenchMap.State.DONE,
                "/trials/" + record.trial().id() + "/units/" + unit.code(),
                shades.of(light));
    }
}
