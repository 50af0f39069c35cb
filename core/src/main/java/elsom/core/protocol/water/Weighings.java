package elsom.core.protocol.water;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.figure.GroupResult;
import elsom.core.figure.UnitResult;
import elsom.core.protocol.water.Composition.Part;
import elsom.core.quantity.Decimals;
import elsom.core.results.Course;
import elsom.core.results.EndpointFigures;
import elsom.core.stats.Interval;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.core.water.RefillTime;
import elsom.core.water.TimedMass;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * The weighings of a trial with the figures they give.
 *
 * @param refillFraction the share of the water first held at which a unit is due for watering, 0 to 1
 * @param look the wet look at which units are compared; 0 before any
 */
record Weighings(
        TrialRecord record,
        double refillFraction,
        int look,
        List<WaterUnit> weighed,
        List<UnitResult> units,
        List<GroupResult> groups) {

    static Weighings of(TrialRecord record, double refillFraction, int asked) {
        int look = chosen(record, asked);
        List<WaterUnit> weighed = record.units().stream()
                .flatMap(unit -> WaterUnit.of(record, unit).stream())
                .toList();
        List<UnitResult> units = weighed.stream()
                .map(unit -> WaterFigures.of(record, refillFraction, unit, look))
                .toList();
        return new Weighings(
                record, refillFraction, look, weighed, units, EndpointFigures.groups(record, WaterKinds.ALL, units));
    }

    /** The look asked for if it is a wet one, else the last wet one before it that has a weighing; 0 for none. */
    private static int chosen(TrialRecord record, int asked) {
        return WaterHolding.wetLooks(record)
                .filter(look -> look.number() <= asked && record.touched(look))
                .reduce((a, b) -> b)
                .map(Look::number)
                .orElse(0);
    }

    List<GroupResult> on(Bench bench) {
        return groups.stream()
                .filter(group -> group.key().bench() == bench.number())
                .toList();
    }

    /** Treatments of a bench in the container most have. */
    List<GroupResult> alike(Bench bench) {
        String usual = usualContainer(record);
        return on(bench).stream()
                .filter(group -> record.units().stream()
                        .filter(unit -> unit.treatment() == group.key().treatment())
                        .allMatch(unit -> unit.container().equals(usual)))
                .toList();
    }

    static String usualContainer(TrialRecord record) {
        Map<String, Long> counts = record.units().stream()
                .collect(Collectors.groupingBy(ExperimentalUnit::container, LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("");
    }

    List<Course> courses(Bench bench) {
        return List.of(
                course(WaterKinds.STILL_HELD, on(bench), Weighings::byVolume),
                course(WaterKinds.MASS, on(bench), weighing -> weighing.mass().grams()));
    }

    List<Composition> compositions(Bench bench) {
        return on(bench).stream().flatMap(group -> composition(group).stream()).toList();
    }

    /** One wet weighing with the unit it is of. */
    private record Weighing(WaterUnit of, int look, TimedMass mass) {}

    private static double byVolume(Weighing weighing) {
        return weighing.of().gravimetry().waterByVolume(weighing.mass());
    }

    private Course course(FigureKind kind, List<GroupResult> here, ToDoubleFunction<Weighing> value) {
        return new Course(
                kind,
                "refill weight",
                "due",
                here.stream().map(group -> line(kind, group, value)).toList());
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
        return members.stream()
                .flatMap(unit -> unit.gravimetry().refillWeightG(refillFraction).asOptional().stream()
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
                .flatMap(unit -> RefillTime.of(unit.gravimetry(), refillFraction).asOptional().stream())
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

    private Optional<Composition> composition(GroupResult group) {
        Optional<Double> held = mean(group, WaterKinds.CAPACITY);
        Optional<Double> still = mean(group, WaterKinds.STILL_HELD);
        if (held.isEmpty() || still.isEmpty() || held.get() > 1 || still.get() < 0) {
            return Optional.empty();
        }
        List<Part> parts = new ArrayList<>();
        double left = Math.min(still.get(), held.get());
        parts.add(new Part(Composition.Kind.HELD, left));
        parts.add(new Part(Composition.Kind.LOST, held.get() - left));
        Optional<Double> air = mean(group, WaterKinds.AIR);
        if (air.isPresent()) {
            parts.add(new Part(Composition.Kind.AIR, air.get()));
            parts.add(new Part(Composition.Kind.SOLID, Math.max(0, 1 - held.get() - air.get())));
            return Optional.of(new Composition(group.key(), parts, ""));
        }
        parts.add(new Part(Composition.Kind.UNKNOWN, 1 - held.get()));
        boolean matterKnown = mean(group, WaterKinds.POROSITY).isPresent();
        return Optional.of(new Composition(
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
                        .map(i -> " (95 %: " + kind.number(Math.max(0, i.low())) + "–" + kind.number(i.high()) + ")")
                        .orElse("");
    }

    /** Days with one decimal and an interval: "2.1 days (1.8–2.5)". */
    static String days(Course.Crossing crossing) {
        return Decimals.fixed(crossing.hours() / 24, 1) + " days"
                + crossing.interval95()
                        .map(i -> " (95 %: " + Decimals.fixed(i.low() / 24, 1) + "–" + Decimals.fixed(i.high() / 24, 1)
                                + ")")
                        .orElse("");
    }
}
