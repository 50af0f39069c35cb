package elsom.web.practice;

import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.practice.Brief;
import elsom.core.practice.Decisions;
import elsom.core.practice.Judged;
import elsom.core.practice.Levels;
import elsom.core.practice.Planned;
import elsom.core.practice.PracticeBench;
import elsom.core.practice.PracticeOutcome;
import elsom.core.practice.Rerun;
import elsom.core.practice.Trialled;
import elsom.core.practice.TruthWords;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.quantity.Decimals;
import elsom.core.results.Shades;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
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
        PracticeOutcome seen =
                PracticeOutcome.of(record, practice.level(), practice.setting(), practice.truth(), blocks);
        boolean open = judged.brier().isEmpty();
        Brief.Measured measured = practice.level().brief().measured();
        return new TruthPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                practice.level().brief(),
                practice.seed(),
                practice.truth().words(),
                practice.level().brief().words(called.call()),
                open ? "" : Decimals.percent(called.confidence(), 0) + " % sure",
                kind.label(),
                kind == Judged.Kind.WRONG ? "miss" : kind == Judged.Kind.NEEDLESSLY_OPEN ? "open" : "hit",
                TruthWords.score(judged),
                Json.of(drawn(practice, record, seen)),
                TruthWords.difference(measured, seen),
                List.of(
                        bar("Your plan", own, told),
                        bar("A fair plan", practice.level().fair(), fair)),
                decisions.stream()
                        .map(one -> TruthWords.decision(one, own, told))
                        .toList(),
                TruthWords.bias(measured, told),
                TruthWords.spent(practice.level().brief().budget(), costs),
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

    private static Bar bar(String label, Trialled plan, Rerun.Tally tally) {
        return new Bar(
                label,
                TruthWords.plan(plan),
                TruthWords.percent(tally, tally.right()),
                TruthWords.percent(tally, tally.cantTell()),
                TruthWords.percent(tally, tally.wrong()));
    }

    private static Drawn drawn(Practice practice, TrialRecord record, PracticeOutcome seen) {
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
