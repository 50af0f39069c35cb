package elsom.core.protocol;

import elsom.core.stats.MeanDifference;
import elsom.core.stats.Outcome;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Figure;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.GroupFigure;
import elsom.core.verdict.GroupKey;
import elsom.core.verdict.GroupResult;
import elsom.core.verdict.Ranking;
import elsom.core.verdict.UnitResult;
import elsom.core.verdict.Verdict;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Findings of endpoints that are compared as they are read: means of units, and each treatment against the control. */
final class ReadOff {
    private static final Source STUDENT =
            new Source("Mean, standard deviation with n − 1; n counts units. Differences by Welch's (1947) interval.");

    private final TrialRecord record;
    private final Optional<Look> at;
    private final List<FigureKind> kinds;
    private final List<UnitResult> units;

    private ReadOff(TrialRecord record, OptionalInt compareAt) {
        this.record = record;
        this.at = chosen(record, compareAt);
        this.kinds = at.stream()
                .flatMap(look -> look.endpoints().stream())
                .map(record::endpoint)
                .map(ReadOff::kind)
                .toList();
        this.units = record.units().stream()
                .map(this::figures)
                .filter(result -> !result.figures().isEmpty())
                .toList();
    }

    static Findings of(TrialRecord record, OptionalInt compareAt) {
        ReadOff made = new ReadOff(record, compareAt);
        List<GroupResult> groups = made.groups();
        return new Findings(
                made.verdicts(groups),
                made.kinds,
                made.units,
                groups,
                record.benches().stream()
                        .map(bench -> made.bench(bench, groups))
                        .toList(),
                List.of(),
                made.units.isEmpty() ? 0 : made.at.map(Look::number).orElse(0));
    }

    /** The look asked for, else the last complete one, else the last begun. */
    private static Optional<Look> chosen(TrialRecord record, OptionalInt asked) {
        Set<Integer> read = record.readings().stream()
                .filter(reading -> record.current(reading.ref()).isPresent())
                .map(reading -> reading.ref().look())
                .collect(Collectors.toSet());
        List<Look> begun = record.looks().stream()
                .filter(look -> read.contains(look.number()))
                .toList();
        return begun.stream()
                .filter(look -> asked.isPresent() && look.number() == asked.getAsInt())
                .findFirst()
                .or(() -> begun.stream()
                        .filter(look -> record.progress(look).complete())
                        .reduce((a, b) -> b))
                .or(() -> begun.stream().reduce((a, b) -> b));
    }

    private static FigureKind kind(Endpoint endpoint) {
        return new FigureKind(endpoint.code().value(), endpoint.name(), "", endpoint.unit(), endpoint.decimals());
    }

    private UnitResult figures(ExperimentalUnit unit) {
        return new UnitResult(
                unit,
                at.stream()
                        .flatMap(look -> look.endpoints().stream().map(record::endpoint))
                        .flatMap(endpoint -> figure(unit, endpoint).stream())
                        .toList());
    }

    /** Sub-readings are averaged: a unit is what was randomised. */
    private Optional<Figure> figure(ExperimentalUnit unit, Endpoint endpoint) {
        List<Reading> readings = IntStream.rangeClosed(1, endpoint.readingsEach())
                .mapToObj(sub -> new ReadingRef(unit.code(), at.orElseThrow().number(), endpoint.code(), sub))
                .flatMap(ref -> record.current(ref).stream())
                .toList();
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        double mean = readings.stream()
                .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                .average()
                .orElseThrow();
        FigureKind kind = kind(endpoint);
        List<Term> terms = readings.stream()
                .map(reading -> Term.read(
                        readings.size() > 1 ? "reading " + reading.ref().subReading() : "reading",
                        Objects.requireNonNull(reading.value()),
                        endpoint.unit(),
                        endpoint.decimals(),
                        reading.ref()))
                .toList();
        Working working = new Working(
                endpoint.name().toLowerCase(Locale.ROOT) + ", " + unit.code(),
                readings.size() > 1 ? "mean of the unit's own readings" : "as it was read",
                terms,
                List.of("= " + kind.show(mean)),
                Source.DEFINITION,
                List.of());
        return Optional.of(new Figure(kind, mean, working));
    }

    private List<GroupResult> groups() {
        List<GroupResult> groups = new ArrayList<>();
        for (Bench bench : record.benches()) {
            for (Treatment treatment : record.treatments()) {
                GroupKey key = new GroupKey(bench.number(), treatment.number());
                int planned = (int) record.units().stream()
                        .filter(unit -> new UnitResult(unit, List.of()).group().equals(key))
                        .count();
                if (planned > 0) {
                    groups.add(new GroupResult(
                            key,
                            treatment.name(),
                            planned,
                            kinds.stream()
                                    .flatMap(kind -> summary(kind, key, treatment.name()).stream())
                                    .toList()));
                }
            }
        }
        return groups;
    }

    private Optional<GroupFigure> summary(FigureKind kind, GroupKey key, String name) {
        Map<ExperimentalUnit, Double> values = new LinkedHashMap<>();
        units.stream()
                .filter(unit -> unit.group().equals(key))
                .forEach(unit -> unit.figure(kind).ifPresent(figure -> values.put(unit.unit(), figure.value())));
        if (values.isEmpty()) {
            return Optional.empty();
        }
        Summary summary = Summary.of(
                values.values().stream().mapToDouble(Double::doubleValue).toArray());
        List<Term> terms = values.entrySet().stream()
                .map(entry -> Term.figureOf(entry.getKey().code(), entry.getValue(), kind.unit(), kind.decimals()))
                .toList();
        return Optional.of(new GroupFigure(
                kind,
                summary,
                new Working(
                        kind.label().toLowerCase(Locale.ROOT) + ", " + name,
                        "mean of the units' own figures",
                        terms,
                        List.of("= " + kind.show(summary.mean()) + " from " + summary.n()
                                + (summary.n() == 1 ? " unit" : " units")),
                        STUDENT,
                        List.of())));
    }

    private Findings.BenchFindings bench(Bench bench, List<GroupResult> groups) {
        List<Ranking> rankings = kinds.stream()
                .limit(1)
                .map(kind -> Ranking.of("all", kind, means(kind, bench, groups)))
                .filter(ranking -> ranking.places().size() > 1)
                .toList();
        return new Findings.BenchFindings(bench.number(), rankings, List.of(), List.of(), List.of());
    }

    private static Map<GroupKey, Double> means(FigureKind kind, Bench bench, List<GroupResult> groups) {
        Map<GroupKey, Double> means = new LinkedHashMap<>();
        groups.stream()
                .filter(group -> group.key().bench() == bench.number())
                .forEach(group -> group.figure(kind)
                        .ifPresent(figure ->
                                means.put(group.key(), figure.summary().mean())));
        return means;
    }

    private List<Verdict> verdicts(List<GroupResult> groups) {
        Optional<Treatment> control =
                record.treatments().stream().filter(Treatment::isControl).findFirst();
        if (kinds.isEmpty() || units.isEmpty()) {
            return List.of();
        }
        if (control.isEmpty()) {
            return List.of(new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    "There is no control, so nothing says what would have happened anyway.",
                    "A control beside the others would."));
        }
        List<Verdict> verdicts = new ArrayList<>();
        for (GroupResult group : groups) {
            groups.stream()
                    .filter(other -> other.key()
                            .equals(new GroupKey(
                                    group.key().bench(), control.get().number())))
                    .filter(other -> group.key().treatment() != control.get().number())
                    .findFirst()
                    .flatMap(base -> verdict(group, base))
                    .ifPresent(verdicts::add);
        }
        return verdicts;
    }

    private Optional<Verdict> verdict(GroupResult group, GroupResult control) {
        FigureKind kind = kinds.get(0);
        Optional<Summary> one = group.figure(kind).map(GroupFigure::summary);
        Optional<Summary> other = control.figure(kind).map(GroupFigure::summary);
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        String where = record.benches().size() > 1
                ? " at “" + record.bench(group.key().bench()).name() + "”"
                : "";
        String what = kind.label().toLowerCase(Locale.ROOT) + " in " + group.name() + where;
        Outcome<MeanDifference> difference = MeanDifference.welch(one.get(), other.get());
        return Optional.of(difference
                .asOptional()
                .map(found -> judged(kind, what, control.name(), found))
                .orElseGet(() -> new Verdict(
                        Verdict.Firmness.CANT_TELL,
                        "Can't tell yet about " + what + ": "
                                + difference.whyNot().orElse("").toLowerCase(Locale.ROOT) + ".",
                        "More units of each would tell.")));
    }

    private static Verdict judged(FigureKind kind, String what, String control, MeanDifference found) {
        String range = kind.number(found.interval95().low()) + " to "
                + kind.show(found.interval95().high());
        if (!found.clear()) {
            return new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    "Can't tell yet whether " + what + " differs from " + control
                            + ": the difference is somewhere from " + range + ".",
                    "More units of each would narrow it.");
        }
        return new Verdict(
                Verdict.Firmness.SO_FAR,
                capital(what) + " is " + (found.difference() > 0 ? "above " : "below ") + control + " by "
                        + kind.show(Math.abs(found.difference())) + " (95 % interval of the difference " + range
                        + ").",
                "One trial, one lot: repeat it before you rely on it.");
    }

    private static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
