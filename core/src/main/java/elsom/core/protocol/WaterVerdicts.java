package elsom.core.protocol;

import elsom.core.design.Replicates;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.stats.MeanDifference;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Course;
import elsom.core.verdict.Figure;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.GroupKey;
import elsom.core.verdict.GroupResult;
import elsom.core.verdict.Ranking;
import elsom.core.verdict.Verdict;
import elsom.core.verdict.Verdict.Firmness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The sentences that answer a water-holding trial's question. */
final class WaterVerdicts {
    private static final int ENOUGH_UNITS = 4;

    private final TrialRecord record;
    private final Findings findings;
    private final List<Verdict> verdicts = new ArrayList<>();

    private WaterVerdicts(TrialRecord record, Findings findings) {
        this.record = record;
        this.findings = findings;
    }

    static List<Verdict> of(TrialRecord record, Findings findings) {
        WaterVerdicts made = new WaterVerdicts(record, findings);
        if (findings.comparedAt() == 0) {
            return List.of(new Verdict(
                    Firmness.CANT_TELL,
                    "Nothing to tell yet: no unit has been weighed after draining.",
                    "Weigh every unit empty, dry, and soaked and drained."));
        }
        record.benches().forEach(made::bench);
        made.containers();
        made.benchesCompared();
        return made.verdicts;
    }

    private void bench(Bench bench) {
        Findings.BenchFindings here = findings.benches().get(bench.number() - 1);
        List<GroupResult> groups = findings.groups().stream()
                .filter(group -> group.key().bench() == bench.number()
                        && !here.apart().contains(group.key())
                        && group.figure(WaterKinds.STILL_HELD).isPresent())
                .toList();
        if (groups.isEmpty()) {
            return;
        }
        boolean replicated = groups.stream().allMatch(group -> stillHeld(group).n() > 1);
        verdicts.add(headline(bench, here, groups, replicated));
        if (!replicated) {
            verdicts.add(new Verdict(
                    Firmness.CANT_TELL,
                    where(
                            bench,
                            "With one unit of a medium, whether two media differ can't be told: two pots of the same"
                                    + " medium may differ as much."),
                    "At least " + ENOUGH_UNITS + " units of each; the numbers above are of these pots only."));
        } else if (groups.size() > 1) {
            verdicts.add(firstAgainstSecond(bench, here));
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

    private Verdict headline(Bench bench, Findings.BenchFindings here, List<GroupResult> groups, boolean replicated) {
        GroupResult best = groups.stream()
                .max(Comparator.comparing(group -> stillHeld(group).mean()))
                .orElseThrow();
        List<GroupResult> leaders = here.rankings().isEmpty()
                ? List.of(best)
                : here.rankings().get(0).best().stream()
                        .map(placed -> findings.group(placed.group()).orElseThrow())
                        .toList();
        String names = leaders.get(0).name()
                + leaders.stream()
                        .skip(1)
                        .map(leader -> " and " + lowerFirst(leader.name()))
                        .collect(Collectors.joining());
        String shares = leaders.stream()
                .map(group -> WaterFindings.withInterval(roughly(), stillHeld(group)))
                .collect(Collectors.joining(" and "));
        String first =
                names + " still hold" + (leaders.size() > 1 ? " " : "s ") + shares + " water by volume " + when();
        String second = soonest(here).map(line -> "; " + dryClause(line)).orElse("");
        String change = second.isEmpty()
                ? "Weigh for longer: none is under its refill weight yet."
                : "Another week's weather: the days hold for this place and these days only.";
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
        Look look = record.look(findings.comparedAt()).orElseThrow();
        double hours = look.hoursAfterStart();
        return hours == 0 ? "right after draining" : "after " + Spans.words(hours);
    }

    private static Optional<Course.Line> soonest(Findings.BenchFindings here) {
        return here.courses().get(0).lines().stream()
                .filter(line -> !here.apart().contains(line.group()))
                .filter(line -> line.crossing().map(c -> !c.extrapolated()).orElse(false))
                .min(Comparator.comparing(line -> line.crossing().orElseThrow().hours()));
    }

    private String dryClause(Course.Line line) {
        return lowerFirst(name(line.group())) + " is under its refill weight after "
                + WaterFindings.days(line.crossing().orElseThrow());
    }

    private String name(GroupKey key) {
        return record.treatment(key.treatment()).name();
    }

    private static String lowerFirst(String name) {
        boolean codeLike = name.length() > 1 && Character.isUpperCase(name.charAt(1));
        return codeLike ? name : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    private String where(Bench bench, String sentence) {
        return record.benches().size() > 1 ? bench.name() + ": " + lowerFirst(sentence) : sentence;
    }

    private Verdict firstAgainstSecond(Bench bench, Findings.BenchFindings here) {
        List<Ranking.Placed> places = here.rankings().get(0).places();
        GroupResult first = findings.group(places.get(0).group()).orElseThrow();
        GroupResult second = findings.group(places.get(1).group()).orElseThrow();
        Summary a = stillHeld(first);
        Summary b = stillHeld(second);
        String pair = first.name() + " and " + lowerFirst(second.name());
        Optional<MeanDifference> difference = MeanDifference.welch(a, b).asOptional();
        if (places.get(0).tied() && places.get(1).tied()) {
            return new Verdict(
                    firmness(true),
                    where(bench, pair + " tie " + when() + ": their means are within 2 %."),
                    "Choose between them on price, weight or air"
                            + difference.map(WaterVerdicts::stillPossible).orElse("."));
        }
        if (difference.isPresent() && difference.get().clear()) {
            return new Verdict(
                    firmness(true),
                    where(
                            bench,
                            first.name() + " holds more than " + lowerFirst(second.name()) + ", the next best, by "
                                    + points(difference.get())),
                    "Another lot of either medium: one lot each was tested.");
        }
        String more = a.sd().isPresent() && b.sd().isPresent() && a.mean() > b.mean() && pooledSd(a, b) > 0
                ? "About " + Replicates.toTellApart(pooledSd(a, b), a.mean() - b.mean())
                        + " units of each would tell a difference of this size."
                : "More units of each.";
        return new Verdict(
                Firmness.CANT_TELL,
                where(
                        bench,
                        "Which of " + lowerFirst(pair) + " holds more " + when() + " can't be told from these units."),
                more);
    }

    private static String stillPossible(MeanDifference difference) {
        double most = Math.max(
                Math.abs(difference.interval95().low()),
                Math.abs(difference.interval95().high()));
        return "; these units leave room for a difference of up to " + Decimals.percent(most, 1) + " points.";
    }

    private static double pooledSd(Summary a, Summary b) {
        double sa = a.sd().orElse(0);
        double sb = b.sd().orElse(0);
        return Math.sqrt((sa * sa + sb * sb) / 2);
    }

    private static String points(MeanDifference difference) {
        return Decimals.percent(difference.difference(), 1) + " points of volume (95 % interval "
                + Decimals.percent(difference.interval95().low(), 1) + "–"
                + Decimals.percent(difference.interval95().high(), 1) + ").";
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
                one.material() + " after draining holds " + WaterFindings.withInterval(roughly(), shallowHeld.get())
                        + " of its volume at " + Decimals.upTo(Math.min(depthOne, depthOther), 1) + " cm depth and "
                        + WaterFindings.withInterval(roughly(), deepHeld.get()) + " at "
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
                .map(i -> " (" + Decimals.fixed(Math.exp(sign * (firstFaster ? i.low() : i.high())), 1) + "–"
                        + Decimals.fixed(Math.exp(sign * (firstFaster ? i.high() : i.low())), 1) + ")")
                .orElse("");
        boolean clear =
                summary.interval95().map(i -> i.low() > 0 || i.high() < 0).orElse(false);
        verdicts.add(new Verdict(
                clear ? firmness(true) : Firmness.CANT_TELL,
                "Water goes " + Decimals.fixed(Math.exp(sign * summary.mean()), 1) + " times as fast" + interval
                        + " at “" + fast + "” as at “" + slow + "”, over " + summary.n()
                        + " treatments.",
                "Each place stood once: its light, wind and warmth go together."));
    }

    private Optional<Summary> rate(int bench, Treatment treatment) {
        return findings.group(new GroupKey(bench, treatment.number()))
                .flatMap(group -> group.figure(WaterKinds.RATE))
                .map(figure -> figure.summary());
    }
}
