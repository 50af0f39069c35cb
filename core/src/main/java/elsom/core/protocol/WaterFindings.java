package elsom.core.protocol;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Course;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.GroupFigure;
import elsom.core.verdict.GroupKey;
import elsom.core.verdict.GroupResult;
import elsom.core.verdict.Portions;
import elsom.core.verdict.Portions.Portion;
import elsom.core.verdict.Ranking;
import elsom.core.verdict.UnitResult;
import elsom.core.water.RefillTime;
import elsom.core.water.TimedMass;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** Works a water-holding trial out, from weighings to verdict. */
final class WaterFindings {
    private static final Source STUDENT = new Source(
            "Mean, standard deviation with n − 1, 95 % interval by Student's t; n counts units, not weighings.");

    private final TrialRecord record;
    private final int comparedAt;
    private final List<WaterUnit> weighed;
    private final List<UnitResult> units;
    private final List<GroupResult> groups;

    private WaterFindings(TrialRecord record, OptionalInt compareAt) {
        this.record = record;
        this.comparedAt = chooseLook(record, compareAt);
        this.weighed = record.units().stream()
                .flatMap(unit -> WaterUnit.of(record, unit).stream())
                .toList();
        this.units = weighed.stream()
                .map(unit -> WaterFigures.of(record, unit, comparedAt))
                .toList();
        this.groups = groups();
    }

    static Findings of(TrialRecord record, OptionalInt compareAt) {
        WaterFindings made = new WaterFindings(record, compareAt);
        List<Findings.BenchFindings> benches =
                record.benches().stream().map(made::bench).toList();
        Findings unjudged = new Findings(
                List.of(),
                WaterKinds.ALL,
                made.units,
                made.groups,
                benches,
                WaterFlags.of(record, made.weighed, made.groups),
                made.comparedAt);
        return new Findings(
                WaterVerdicts.of(record, unjudged),
                unjudged.kinds(),
                unjudged.units(),
                unjudged.groups(),
                unjudged.benches(),
                unjudged.flags(),
                unjudged.comparedAt());
    }

    /** The look asked for if it has a weighing; else the last complete one, else the last begun; 0 for none. */
    private static int chooseLook(TrialRecord record, OptionalInt asked) {
        List<Look> begun = WaterHolding.wetLooks(record)
                .filter(look -> record.progress(look).begun())
                .toList();
        if (asked.isPresent() && begun.stream().anyMatch(look -> look.number() == asked.getAsInt())) {
            return asked.getAsInt();
        }
        return begun.stream()
                .filter(look -> record.progress(look).complete())
                .reduce((a, b) -> b)
                .or(() -> begun.stream().findFirst())
                .map(Look::number)
                .orElse(0);
    }

    private List<GroupResult> groups() {
        List<GroupResult> made = new ArrayList<>();
        for (Bench bench : record.benches()) {
            for (Treatment treatment : record.treatments()) {
                GroupKey key = new GroupKey(bench.number(), treatment.number());
                List<UnitResult> members =
                        units.stream().filter(unit -> unit.group().equals(key)).toList();
                List<GroupFigure> figures = WaterKinds.ALL.stream()
                        .flatMap(kind -> summarise(treatment.name(), kind, members).stream())
                        .toList();
                int planned = (int) record.units().stream()
                        .filter(unit -> unit.treatment() == key.treatment()
                                && unit.position().bench() == key.bench())
                        .count();
                made.add(new GroupResult(key, treatment.name(), planned, figures));
            }
        }
        return made;
    }

    private static Optional<GroupFigure> summarise(String name, FigureKind kind, List<UnitResult> members) {
        List<Term> terms = members.stream()
                .flatMap(unit -> unit.figure(kind).stream()
                        .map(figure ->
                                Term.figureOf(unit.unit().code(), figure.value(), kind.unit(), kind.decimals() + 1)))
                .toList();
        if (terms.isEmpty()) {
            return Optional.empty();
        }
        Summary summary = Summary.of(terms.stream().mapToDouble(Term::value).toArray());
        FigureKind finer = new FigureKind(kind.code(), kind.label(), kind.term(), kind.unit(), kind.decimals() + 1);
        List<String> steps = new ArrayList<>();
        steps.add(
                "mean of " + summary.n() + (summary.n() == 1 ? " unit" : " units") + ": " + finer.show(summary.mean()));
        summary.sd().ifPresent(sd -> steps.add("standard deviation " + finer.show(sd)));
        summary.interval95()
                .ifPresent(interval -> steps.add("95 % interval of the mean: mean ± t · sd ÷ √" + summary.n() + " = "
                        + finer.number(interval.low()) + " to " + finer.show(interval.high())));
        Working working = new Working(
                kind.label() + ", " + name,
                "mean of the units' own figures",
                terms,
                steps,
                STUDENT,
                summary.n() == 1 ? List.of("One unit: no scatter, so no interval.") : List.of());
        return Optional.of(new GroupFigure(kind, summary, working));
    }

    private Findings.BenchFindings bench(Bench bench) {
        List<GroupResult> here = groups.stream()
                .filter(group -> group.key().bench() == bench.number())
                .toList();
        String usual = usualContainer();
        List<GroupResult> alike =
                here.stream().filter(group -> containerOf(group).equals(usual)).toList();
        return new Findings.BenchFindings(
                bench.number(),
                rankings(alike),
                here.stream()
                        .filter(group -> !alike.contains(group))
                        .map(GroupResult::key)
                        .toList(),
                List.of(
                        course(WaterKinds.STILL_HELD, here, WaterFindings::byVolume),
                        course(
                                WaterKinds.MASS,
                                here,
                                weighing -> weighing.mass().grams())),
                here.stream().flatMap(group -> portions(group).stream()).toList());
    }

    /** The container of most treatments: media are ranked at equal depth only, as a shallow one holds more per litre. */
    private String usualContainer() {
        Map<String, Long> counts = record.units().stream()
                .collect(Collectors.groupingBy(ExperimentalUnit::container, LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }

    private String containerOf(GroupResult group) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == group.key().treatment())
                .findFirst()
                .orElseThrow()
                .container();
    }

    private List<Ranking> rankings(List<GroupResult> here) {
        List<Ranking> rankings = new ArrayList<>();
        Map<GroupKey, Double> all = means(here);
        if (all.size() > 1) {
            rankings.add(Ranking.of("all", WaterKinds.STILL_HELD, all));
        }
        Map<String, List<GroupResult>> byKind = here.stream()
                .filter(group -> !kindOf(group).isEmpty())
                .collect(Collectors.groupingBy(this::kindOf, LinkedHashMap::new, Collectors.toList()));
        byKind.forEach((kind, members) -> {
            Map<GroupKey, Double> means = means(members);
            if (means.size() > 1 && means.size() < all.size()) {
                rankings.add(Ranking.of(kind, WaterKinds.STILL_HELD, means));
            }
        });
        return rankings;
    }

    private String kindOf(GroupResult group) {
        return record.treatment(group.key().treatment()).kind();
    }

    private static Map<GroupKey, Double> means(List<GroupResult> groups) {
        Map<GroupKey, Double> means = new LinkedHashMap<>();
        groups.forEach(group -> group.figure(WaterKinds.STILL_HELD)
                .ifPresent(figure -> means.put(group.key(), figure.summary().mean())));
        return means;
    }

    /** One wet weighing with the unit it is of. */
    private record Weighing(WaterUnit of, int look, TimedMass mass) {}

    private static double byVolume(Weighing weighing) {
        return weighing.of().gravimetry().waterByVolume(weighing.mass());
    }

    private Course course(FigureKind kind, List<GroupResult> here, ToDoubleFunction<Weighing> value) {
        return new Course(
                kind, here.stream().map(group -> line(kind, group, value)).toList());
    }

    private List<WaterUnit> members(GroupKey key) {
        return weighed.stream()
                .filter(unit -> unit.unit().treatment() == key.treatment()
                        && unit.unit().position().bench() == key.bench())
                .toList();
    }

    private Course.Line line(FigureKind kind, GroupResult group, ToDoubleFunction<Weighing> value) {
        List<WaterUnit> members = members(group.key());
        List<Course.Point> points = new ArrayList<>();
        List<Course.Mean> means = new ArrayList<>();
        for (Look look : WaterHolding.wetLooks(record).toList()) {
            List<Course.Point> here = members.stream()
                    .flatMap(unit -> unit.at(look.number()).stream()
                            .map(mass -> new Course.Point(
                                    unit.unit().code(),
                                    look.number(),
                                    mass.hours(),
                                    value.applyAsDouble(new Weighing(unit, look.number(), mass)))))
                    .toList();
            points.addAll(here);
            if (!here.isEmpty()) {
                Summary summary = Summary.of(
                        here.stream().mapToDouble(Course.Point::value).toArray());
                double hours =
                        here.stream().mapToDouble(Course.Point::hours).average().orElseThrow();
                means.add(new Course.Mean(look.number(), hours, summary.mean(), summary.n(), summary.interval95()));
            }
        }
        return new Course.Line(group.key(), points, means, threshold(kind, members), crossing(members));
    }

    private OptionalDouble threshold(FigureKind kind, List<WaterUnit> members) {
        double share = record.trial().refillFraction();
        return members.stream()
                .flatMap(unit -> unit.gravimetry().refillWeightG(share).asOptional().stream()
                        .map(grams -> kind.equals(WaterKinds.MASS)
                                ? grams
                                : (grams - unit.gravimetry().dryG())
                                        / unit.gravimetry().filledVolumeMl()))
                .mapToDouble(Double::doubleValue)
                .average();
    }

    /** The mean crossing of a group; only when every unit with a drained weight has one, or the slow ones would drop out. */
    private Optional<Course.Crossing> crossing(List<WaterUnit> members) {
        List<WaterUnit> drained =
                members.stream().filter(unit -> !unit.wetLooks().isEmpty()).toList();
        List<RefillTime> times = drained.stream()
                .flatMap(
                        unit -> RefillTime.of(unit.gravimetry(), record.trial().refillFraction()).asOptional().stream())
                .toList();
        if (times.isEmpty() || times.size() < drained.size()) {
            return Optional.empty();
        }
        Summary summary =
                Summary.of(times.stream().mapToDouble(RefillTime::hours).toArray());
        Optional<Interval> interval = summary.interval95().map(i -> new Interval(Math.max(0, i.low()), i.high()));
        double last = drained.stream()
                .flatMap(unit -> unit.gravimetry().wet().stream())
                .mapToDouble(TimedMass::hours)
                .max()
                .orElseThrow();
        return Optional.of(new Course.Crossing(summary.mean(), interval, summary.n(), summary.mean() > last));
    }

    private Optional<Portions> portions(GroupResult group) {
        Optional<Double> held = mean(group, WaterKinds.CAPACITY);
        Optional<Double> still = mean(group, WaterKinds.STILL_HELD);
        if (held.isEmpty() || still.isEmpty() || held.get() > 1 || still.get() < 0) {
            return Optional.empty();
        }
        List<Portion> parts = new ArrayList<>();
        double left = Math.min(still.get(), held.get());
        parts.add(new Portion(Portions.Kind.HELD, left));
        parts.add(new Portion(Portions.Kind.LOST, held.get() - left));
        Optional<Double> air = mean(group, WaterKinds.AIR);
        if (air.isPresent()) {
            parts.add(new Portion(Portions.Kind.AIR, air.get()));
            parts.add(new Portion(Portions.Kind.SOLID, Math.max(0, 1 - held.get() - air.get())));
            return Optional.of(new Portions(group.key(), parts, ""));
        }
        parts.add(new Portion(Portions.Kind.UNKNOWN, 1 - held.get()));
        boolean matterKnown = mean(group, WaterKinds.POROSITY).isPresent();
        return Optional.of(new Portions(
                group.key(),
                parts,
                matterKnown
                        ? "more water than computed pore space"
                        : "air can't be told without the share of organic matter"));
    }

    private static Optional<Double> mean(GroupResult group, FigureKind kind) {
        return group.figure(kind).map(figure -> figure.summary().mean());
    }

    /** A value of a kind, with an interval in brackets where there is one: "41 % (39–43)". */
    static String withInterval(FigureKind kind, Summary summary) {
        return kind.show(summary.mean())
                + summary.interval95()
                        .map(i -> " (" + kind.number(Math.max(0, i.low())) + "–" + kind.number(i.high()) + ")")
                        .orElse("");
    }

    /** Days with one decimal and an interval: "2.1 days (1.8–2.5)". */
    static String days(Course.Crossing crossing) {
        return Decimals.fixed(crossing.hours() / 24, 1) + " days"
                + crossing.interval95()
                        .map(i -> " (" + Decimals.fixed(i.low() / 24, 1) + "–" + Decimals.fixed(i.high() / 24, 1) + ")")
                        .orElse("");
    }
}
