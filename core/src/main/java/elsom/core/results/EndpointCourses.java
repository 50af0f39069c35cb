package elsom.core.results;

import elsom.core.analysis.Value;
import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.plan.Measure;
import elsom.core.stats.Summary;
import elsom.core.trial.Bench;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/** How each endpoint that was read at two looks or more ran over time, with every unit. */
public final class EndpointCourses implements Analysis {
    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<Measure> repeated = evidence.measured().stream()
                .filter(measure -> evidence.looksOf(measure.endpoint().code()).size() > 1)
                .toList();
        for (Bench bench : evidence.record().benches()) {
            if (!repeated.isEmpty()) {
                findings.section(new Courses(
                        bench.number(),
                        "Over time",
                        "Time since the start",
                        repeated.stream()
                                .map(measure -> course(evidence, measure, bench))
                                .toList()));
            }
        }
    }

    private static Course course(Evidence evidence, Measure measure, Bench bench) {
        TrialRecord record = evidence.record();
        Endpoint endpoint = record.endpoint(measure.endpoint().code());
        List<Look> looks = evidence.looksOf(endpoint.code());
        Map<Integer, List<ExperimentalUnit>> byTreatment = record.units().stream()
                .filter(unit -> unit.position().bench() == bench.number())
                .collect(Collectors.groupingBy(ExperimentalUnit::treatment));
        return new Course(
                FigureKind.of(endpoint),
                "",
                "",
                record.treatments().stream()
                        .filter(treatment -> byTreatment.containsKey(treatment.number()))
                        .map(treatment -> line(
                                record,
                                endpoint,
                                looks,
                                new GroupKey(bench.number(), treatment.number()),
                                Objects.requireNonNull(byTreatment.get(treatment.number()))))
                        .toList());
    }

    private static Course.Line line(
            TrialRecord record, Endpoint endpoint, List<Look> looks, GroupKey key, List<ExperimentalUnit> units) {
        List<Course.Point> points = new ArrayList<>();
        List<Course.Mean> means = new ArrayList<>();
        for (Look look : looks) {
            List<Course.Point> here = units.stream()
                    .flatMap(unit -> value(record, endpoint, look, unit)
                            .map(value -> new Course.Point(unit.code(), look.number(), look.hoursAfterStart(), value))
                            .stream())
                    .toList();
            points.addAll(here);
            if (!here.isEmpty()) {
                Summary summary = Summary.of(
                        here.stream().mapToDouble(Course.Point::value).toArray());
                means.add(new Course.Mean(
                        look.number(), look.hoursAfterStart(), summary.mean(), summary.n(), summary.interval95()));
            }
        }
        return new Course.Line(key, points, means, OptionalDouble.empty(), Optional.empty());
    }

    private static Optional<Double> value(TrialRecord record, Endpoint endpoint, Look look, ExperimentalUnit unit) {
        return UnitValues.seen(record, endpoint, look, unit).map(Value::inSums);
    }
}
