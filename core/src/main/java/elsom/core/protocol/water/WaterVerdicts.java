package elsom.core.protocol.water;

import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.figure.GroupResult;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.Spans;
import elsom.core.results.Course;
import elsom.core.results.Verdict;
import elsom.core.results.Verdict.Firmness;
import elsom.core.stats.MeanDifference;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The sentences that answer a water-holding trial's question. */
final class WaterVerdicts {
    private final TrialRecord record;
    private final Weighings findings;
    private final List<Verdict> verdicts = new ArrayList<>();

    private WaterVerdicts(Weighings findings) {
        this.record = findings.record();
        this.findings = findings;
    }

    static List<Verdict> of(Weighings weighings) {
        WaterVerdicts made = new WaterVerdicts(weighings);
        if (weighings.look() == 0) {
            return List.of(new Verdict(
                    Firmness.CANT_TELL,
                    "Nothing to tell yet: no unit has been weighed after draining.",
                    "Weigh every unit empty, dry, and soaked and drained."));
        }
        weighings.record().benches().forEach(made::bench);
        made.containers();
        made.benchesCompared();
        return made.verdicts;
    }

    private void bench(Bench bench) {
        List<GroupResult> groups = findings.alike(bench).stream()
                .filter(group -> group.figure(WaterKinds.STILL_HELD).isPresent())
                .toList();
        if (!groups.isEmpty()) {
            verdicts.add(headline(bench, groups));
        }
    }

    private Firmness firmness(boolean replicated) {
        if (!replicated) {
            return Firmness.CANT_TELL;
        }
        boolean done = WaterHolding.wetLooks(record)
                .allMatch(look -> record.progress(look).complete());
        return done ? Firmness.SOUND : Firmness.SO_FAR;
    }

    private Verdict headline(Bench bench, List<GroupResult> groups) {
        boolean replicated = groups.stream().allMatch(group -> stillHeld(group).n() > 1);
        GroupResult best = groups.stream()
                .max(Comparator.comparing(group -> stillHeld(group).mean()))
                .orElseThrow();
        String first = best.name() + " still holds " + Weighings.withInterval(roughly(), stillHeld(best))
                + " water by volume " + when() + (groups.size() > 1 ? ", the most of all" : "");
        String second = soonest(bench).map(line -> "; " + dryClause(line)).orElse("");
        String change = second.isEmpty()
                ? "Weigh for longer: none is under its refill weight yet."
                : "Another week's weather: the days hold for this bench and these days only.";
        return new Verdict(firmness(replicated), where(bench, first + second + "."), change);
    }

    private static FigureKind roughly() {
        FigureKind kind = WaterKinds.STILL_HELD;
        return new FigureKind(kind.code(), kind.label(), kind.term(), kind.unit(), 0);
    }

    private static Summary stillHeld(GroupResult group) {
        return group.figure(WaterKinds.STILL_HELD).orElseThrow().summary();
    }

    private String when() {
        Look look = record.look(findings.look()).orElseThrow();
        double hours = look.hoursAfterStart();
        return hours == 0 ? "right after draining" : "after " + Spans.words(hours);
    }

    private Optional<Course.Line> soonest(Bench bench) {
        List<GroupKey> alike =
                findings.alike(bench).stream().map(GroupResult::key).toList();
        return findings.courses(bench).get(0).lines().stream()
                .filter(line -> alike.contains(line.group()))
                .filter(line -> line.crossing().map(c -> !c.extrapolated()).orElse(false))
                .min(Comparator.comparing(line -> line.crossing().orElseThrow().hours()));
    }

    private String dryClause(Course.Line line) {
        return Sentence.inside(name(line.group())) + " is under its refill weight after "
                + Weighings.days(line.crossing().orElseThrow());
    }

    private String name(GroupKey key) {
        return record.treatment(key.treatment()).name();
    }

    private String where(Bench bench, String sentence) {
        return record.benches().size() > 1 ? bench.name() + ": " + Sentence.inside(sentence) : sentence;
    }

    /** The same material in two containers: what depth does. */
    private void containers() {
        for (Treatment one : record.treatments()) {
            for (Treatment other : record.treatments()) {
                if (one.number() < other.number() && one.material().equals(other.material())) {
                    twoContainers(one, other);
                }
            }
        }
    }

    private void twoContainers(Treatment one, Treatment other) {
        double depthOne = depth(one);
        double depthOther = depth(other);
        if (depthOne == depthOther) {
            return;
        }
        Treatment shallow = depthOne < depthOther ? one : other;
        Treatment deep = depthOne < depthOther ? other : one;
        Optional<Summary> shallowHeld = capacity(shallow);
        Optional<Summary> deepHeld = capacity(deep);
        if (shallowHeld.isEmpty() || deepHeld.isEmpty()) {
            return;
        }
        Optional<MeanDifference> difference =
                MeanDifference.welch(shallowHeld.get(), deepHeld.get()).asOptional();
        boolean clear = difference.map(MeanDifference::clear).orElse(false);
        verdicts.add(new Verdict(
                clear ? firmness(true) : Firmness.CANT_TELL,
                one.material() + " after draining holds " + Weighings.withInterval(roughly(), shallowHeld.get())
                        + " of its volume at " + Decimals.upTo(Math.min(depthOne, depthOther), 1) + " cm depth and "
                        + Weighings.withInterval(roughly(), deepHeld.get()) + " at "
                        + Decimals.upTo(Math.max(depthOne, depthOther), 1) + " cm.",
                clear
                        ? "The foot of any container stays wet, so a shallow one is wetter throughout; compare media only"
                                + " at equal depth."
                        : "More units of each depth."));
    }

    private double depth(Treatment treatment) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .findFirst()
                .map(unit -> record.container(unit).depthCm())
                .orElse(0.0);
    }

    private Optional<Summary> capacity(Treatment treatment) {
        double[] values = findings.units().stream()
                .filter(unit -> unit.unit().treatment() == treatment.number())
                .flatMap(unit -> unit.figure(WaterKinds.CAPACITY).stream())
                .mapToDouble(Figure::value)
                .toArray();
        return values.length == 0 ? Optional.empty() : Optional.of(Summary.of(values));
    }

    /** How much faster water goes in one place than in another, by the drying rates of all media. */
    private void benchesCompared() {
        if (record.benches().size() != 2) {
            return;
        }
        List<Double> ratios = new ArrayList<>();
        for (Treatment treatment : record.treatments()) {
            Optional<Summary> one = rate(1, treatment);
            Optional<Summary> two = rate(2, treatment);
            if (one.isPresent() && two.isPresent()) {
                ratios.add(Math.log(one.get().mean() / two.get().mean()));
            }
        }
        if (ratios.size() < 2) {
            return;
        }
        Summary summary =
                Summary.of(ratios.stream().mapToDouble(Double::doubleValue).toArray());
        boolean firstFaster = summary.mean() > 0;
        double sign = firstFaster ? 1 : -1;
        String fast = record.bench(firstFaster ? 1 : 2).name();
        String slow = record.bench(firstFaster ? 2 : 1).name();
        String interval = summary.interval95()
                .map(i -> " (95 %: " + Decimals.fixed(Math.exp(sign * (firstFaster ? i.low() : i.high())), 1) + "–"
                        + Decimals.fixed(Math.exp(sign * (firstFaster ? i.high() : i.low())), 1) + ")")
                .orElse("");
        boolean clear =
                summary.interval95().map(i -> i.low() > 0 || i.high() < 0).orElse(false);
        verdicts.add(new Verdict(
                clear ? firmness(true) : Firmness.CANT_TELL,
                "Water goes " + Decimals.fixed(Math.exp(sign * summary.mean()), 1) + " times as fast" + interval
                        + " at “" + fast + "” as at “" + slow + "”, over " + summary.n()
                        + " treatments.",
                "Each bench stood once: its light, wind and warmth go together."));
    }

    private Optional<Summary> rate(int bench, Treatment treatment) {
        return findings.groups().stream()
                .filter(group -> group.key().equals(new GroupKey(bench, treatment.number())))
                .findFirst()
                .flatMap(group -> group.figure(WaterKinds.RATE))
                .map(figure -> figure.summary());
    }
}
