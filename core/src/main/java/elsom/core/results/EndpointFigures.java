package elsom.core.results;

import elsom.core.analysis.Value;
import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupFigure;
import elsom.core.figure.GroupKey;
import elsom.core.figure.GroupResult;
import elsom.core.figure.UnitResult;
import elsom.core.plan.Measure;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Section;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.working.Source;
import elsom.core.working.Term;
import elsom.core.working.Working;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** Figures of endpoints as they were read: each at its last look up to the chosen one, with its working. */
public final class EndpointFigures implements Analysis {
    private static final Source STUDENT = new Source(
            "Mean, standard deviation with n − 1, 95 % interval by Student's t; n counts units, not readings.");

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        Made made = new Made(evidence);
        if (!made.units.isEmpty()) {
            findings.figures(made.kinds, made.units, made.groups);
            sections(evidence.record(), made.kinds, made.groups).forEach(findings::section);
        }
    }

    /** A table of figures for each bench. */
    public static List<Section> sections(TrialRecord record, List<FigureKind> kinds, List<GroupResult> groups) {
        return record.benches().stream()
                .<Section>map(bench -> {
                    List<GroupResult> here = groups.stream()
                            .filter(group -> group.key().bench() == bench.number()
                                    && !group.figures().isEmpty())
                            .toList();
                    return new Figures(
                            bench.number(),
                            kinds.stream()
                                    .filter(kind -> here.stream()
                                            .anyMatch(
                                                    group -> group.figure(kind).isPresent()))
                                    .toList(),
                            here);
                })
                .toList();
    }

    /**
     * Figures of each treatment on each bench, from those of its units.
     *
     * @param units of the trial, those without figures left out
     */
    public static List<GroupResult> groups(TrialRecord record, List<FigureKind> kinds, List<UnitResult> units) {
        Map<GroupKey, List<UnitResult>> members = units.stream().collect(Collectors.groupingBy(UnitResult::group));
        Map<GroupKey, Long> planned = record.units().stream()
                .collect(Collectors.groupingBy(
                        unit -> new GroupKey(unit.position().bench(), unit.treatment()), Collectors.counting()));
        List<GroupResult> groups = new ArrayList<>();
        for (Bench bench : record.benches()) {
            for (Treatment treatment : record.treatments()) {
                GroupKey key = new GroupKey(bench.number(), treatment.number());
                if (planned.containsKey(key)) {
                    List<UnitResult> own = members.getOrDefault(key, List.of());
                    groups.add(new GroupResult(
                            key,
                            treatment.name(),
                            planned.get(key).intValue(),
                            kinds.stream()
                                    .flatMap(kind -> summarised(treatment.name(), kind, own).stream())
                                    .toList()));
                }
            }
        }
        return groups;
    }

    private static Optional<GroupFigure> summarised(String name, FigureKind kind, List<UnitResult> members) {
        List<Term> terms = members.stream()
                .flatMap(unit -> unit.figure(kind).stream()
                        .map(figure ->
                                Term.figureOf(unit.unit().code(), figure.value(), kind.unit(), kind.decimals() + 1)))
                .toList();
        if (terms.isEmpty()) {
            return Optional.empty();
        }
        Summary summary = Summary.of(terms.stream().mapToDouble(Term::value).toArray());
        FigureKind finer = kind.finer();
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

    /** The figures of one trial. */
    private static final class Made {
        private final Evidence evidence;
        private final TrialRecord record;
        private final Map<FigureKind, Endpoint> endpoints = new LinkedHashMap<>();
        private final Map<FigureKind, Look> looks = new LinkedHashMap<>();
        private final List<FigureKind> kinds;
        private final List<UnitResult> units;
        private final List<GroupResult> groups;

        Made(Evidence evidence) {
            this.evidence = evidence;
            this.record = evidence.record();
            evidence.measured().forEach(measure -> {
                Endpoint endpoint = record.endpoint(measure.endpoint().code());
                Look look = evidence.lookOf(endpoint.code()).orElseThrow();
                FigureKind plain = FigureKind.of(endpoint);
                FigureKind kind = look.number() == evidence.look()
                        ? plain
                        : plain.termed((plain.term() + " at " + look.name()).strip());
                endpoints.put(kind, endpoint);
                looks.put(kind, look);
            });
            this.kinds = List.copyOf(endpoints.keySet());
            this.units = record.units().stream()
                    .map(unit -> new UnitResult(
                            unit,
                            kinds.stream()
                                    .flatMap(kind -> figure(kind, unit).stream())
                                    .toList()))
                    .filter(result -> !result.figures().isEmpty())
                    .toList();
            this.groups = EndpointFigures.groups(record, kinds, units);
        }

        /** Sub-readings are averaged: a unit is what was randomised. */
        private Optional<Figure> figure(FigureKind kind, ExperimentalUnit unit) {
            Endpoint endpoint = Objects.requireNonNull(endpoints.get(kind));
            Look look = Objects.requireNonNull(looks.get(kind));
            List<Reading> readings = UnitValues.readings(record, endpoint, look, unit);
            Optional<Value> seen = UnitValues.seen(record, endpoint, look, unit);
            if (readings.isEmpty()) {
                return seen.map(value -> died(kind, unit, value.inSums()));
            }
            return seen.map(value -> value instanceof Value.CountOf count
                    ? share(kind, unit, readings.get(0), count)
                    : mean(kind, endpoint, unit, readings, value.inSums()));
        }

        private static Figure died(FigureKind kind, ExperimentalUnit unit, double end) {
            return new Figure(
                    kind,
                    end,
                    new Working(
                            Sentence.inside(kind.label()) + ", " + unit.code(),
                            "it died: the end of the scale",
                            List.of(),
                            List.of("died = " + kind.show(end)),
                            Source.DEFINITION,
                            List.of()));
        }

        private static Figure share(FigureKind kind, ExperimentalUnit unit, Reading reading, Value.CountOf count) {
            double share = count.inSums();
            return new Figure(
                    kind,
                    share,
                    new Working(
                            Sentence.inside(kind.label()) + ", " + unit.code(),
                            "counted ÷ all there were",
                            List.of(
                                    Term.read("counted", count.k(), UnitOfMeasure.COUNT, 0, reading.ref()),
                                    Term.given("of", count.n(), UnitOfMeasure.COUNT, 0)),
                            List.of(count.k() + " ÷ " + count.n() + " = " + Decimals.percent(share, 1) + " %"),
                            Source.DEFINITION,
                            List.of()));
        }

        private Figure mean(
                FigureKind kind, Endpoint endpoint, ExperimentalUnit unit, List<Reading> readings, double mean) {
            if (endpoint.byFormula()) {
                return worked(kind, endpoint, unit, mean);
            }
            List<Term> terms = readings.stream()
                    .map(reading -> Term.read(
                            readings.size() > 1 ? "reading " + reading.ref().subReading() : "reading",
                            Objects.requireNonNull(reading.value()),
                            endpoint.unit(),
                            endpoint.decimals(),
                            reading.ref()))
                    .toList();
            return new Figure(
                    kind,
                    mean,
                    new Working(
                            Sentence.inside(endpoint.name()) + ", " + unit.code(),
                            readings.size() > 1 ? "mean of the unit's own readings" : "as it was read",
                            terms,
                            List.of("= " + kind.show(mean)),
                            Source.DEFINITION,
                            List.of()));
        }

        private Figure worked(FigureKind kind, Endpoint endpoint, ExperimentalUnit unit, double value) {
            Measure measure = evidence.plan().asked().measure(endpoint.code()).orElseThrow();
            Look look = Objects.requireNonNull(looks.get(kind));
            return new Figure(
                    kind,
                    value,
                    new Working(
                            Sentence.inside(endpoint.name()) + ", " + unit.code(),
                            Objects.requireNonNull(measure.formula()).text(),
                            WorkedEndpoints.terms(evidence.plan(), record, measure, look, unit),
                            List.of("= " + kind.finer().show(value)),
                            Source.DEFINITION,
                            List.of()));
        }
    }
}
