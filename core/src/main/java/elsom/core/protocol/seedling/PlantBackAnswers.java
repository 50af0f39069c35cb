package elsom.core.protocol.seedling;

import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measure;
import elsom.core.plan.PlannedTreatment;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.UnitValues;
import elsom.core.seedling.Abbott;
import elsom.core.seedling.InjuryDecline;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** Each sowing after a treatment beside its untreated twin, and the first day from which all later ones are clean. */
public final class PlantBackAnswers implements Analysis {
    private static final double SLIGHT = 2;
    private static final double ALPHA = 0.05;
    private static final double PERCENT_A_POINT = 10;

    /** Treatments of one sowing, by their index. */
    private record Day(List<Integer> treated, List<Integer> untreated) {}

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<Factor> factors = evidence.plan().treatments().factors();
        Optional<Measure> injury = evidence.measured().stream()
                .filter(measure -> measure.endpoint().code().equals(EndpointCode.INJURY))
                .findFirst();
        int time = IntStream.range(0, factors.size())
                .filter(f -> factors.get(f).kind() == FactorKind.TIME
                        && factors.get(f).measured())
                .findFirst()
                .orElse(-1);
        if (injury.isPresent() && time >= 0) {
            PlantBackResult result = result(evidence, injury.get(), time);
            if (!result.sowings().isEmpty()) {
                findings.answer(PlantBackWording.of(result));
                findings.section(result);
            }
        }
    }

    private static PlantBackResult result(Evidence evidence, Measure injury, int time) {
        Look look = evidence.lookOf(EndpointCode.INJURY).orElseThrow();
        Observations seen = UnitValues.of(evidence, injury, look, Optional.empty());
        double limit = limit(evidence);
        Map<Double, Day> days = days(evidence, time);
        List<PlantBackResult.Sowing> sowings = new ArrayList<>();
        days.forEach(
                (at, day) -> sowing(seen, at, day, limit, ALPHA / days.size()).ifPresent(sowings::add));
        Outcome<InjuryDecline> decline =
                sowings.stream().allMatch(sowing -> sowing.clean() == PlantBackResult.Clean.NO_TWIN)
                        ? Outcome.notEstimable("There is no untreated pot to hold it against")
                        : decline(sowings);
        return new PlantBackResult(
                FigureKind.of(evidence.record().endpoint(EndpointCode.INJURY)),
                look,
                evidence.record().looks().stream()
                        .noneMatch(later -> later.number() > look.number()
                                && later.endpoints().contains(EndpointCode.INJURY)),
                limit,
                sowings,
                decline,
                decline.then(found -> found.dayAt(limit * PERCENT_A_POINT)));
    }

    private static double limit(Evidence evidence) {
        return evidence.plan().asked().questions().stream()
                .filter(question -> question.endpoint().equals(EndpointCode.INJURY)
                        && question.matters() > 0
                        && !question.inPercent())
                .mapToDouble(question -> question.matters())
                .min()
                .orElse(SLIGHT);
    }

    /** What was sown on each day; untreated is what stands at the control level of the other factors. */
    private static Map<Double, Day> days(Evidence evidence, int time) {
        List<Factor> factors = evidence.plan().treatments().factors();
        List<PlannedTreatment> all = evidence.plan().treatments().all();
        Map<Double, Day> days = new TreeMap<>();
        for (int arm = 0;
                arm < Math.min(all.size(), evidence.record().treatments().size());
                arm++) {
            List<Integer> levels = all.get(arm).levels();
            Factor sown = factors.get(time);
            double at = new Quantity(
                            Objects.requireNonNull(
                                    sown.levels().get(levels.get(time)).amount()),
                            sown.unit() == UnitOfMeasure.COUNT ? UnitOfMeasure.DAY : sown.unit())
                    .in(UnitOfMeasure.DAY)
                    .value();
            boolean untreated = factors.size() > 1
                    && IntStream.range(0, levels.size())
                            .filter(f -> f != time)
                            .allMatch(f ->
                                    factors.get(f).levels().get(levels.get(f)).control());
            Day day = days.computeIfAbsent(at, none -> new Day(new ArrayList<>(), new ArrayList<>()));
            (untreated ? day.untreated() : day.treated()).add(arm);
        }
        return days;
    }

    /** Empty while nothing of it was read. */
    private static Optional<PlantBackResult.Sowing> sowing(
            Observations seen, double at, Day day, double limit, double alpha) {
        List<PlantBackResult.Point> points = new ArrayList<>();
        seen.seen().stream()
                .filter(unit -> Double.isFinite(unit.value().inSums())
                        && (day.treated().contains(unit.arm())
                                || day.untreated().contains(unit.arm())))
                .forEach(unit -> points.add(new PlantBackResult.Point(
                        unit.unit(),
                        unit.arm(),
                        day.treated().contains(unit.arm()),
                        unit.value().inSums())));
        OptionalDouble treated = mean(points, true);
        OptionalDouble untreated = mean(points, false);
        if (treated.isEmpty()) {
            return Optional.empty();
        }
        Optional<Interval> difference = untreated.isEmpty() ? Optional.empty() : difference(seen, day, alpha);
        return Optional.of(new PlantBackResult.Sowing(
                at, treated.getAsDouble(), untreated, difference, clean(untreated, difference, limit), points));
    }

    private static OptionalDouble mean(List<PlantBackResult.Point> points, boolean treated) {
        return points.stream()
                .filter(point -> point.treated() == treated)
                .mapToDouble(PlantBackResult.Point::value)
                .average();
    }

    private static Optional<Interval> difference(Observations seen, Day day, double alpha) {
        return Judge.of(
                        seen,
                        new Ask(
                                List.of(seen.arms().get(day.treated().get(0)).code()),
                                new Ask.Against.Treatment(
                                        seen.arms().get(day.untreated().get(0)).code()),
                                OptionalDouble.empty(),
                                false,
                                alpha))
                .comparisons()
                .stream()
                .findFirst()
                .flatMap(Comparison::interval);
    }

    private static PlantBackResult.Clean clean(OptionalDouble untreated, Optional<Interval> difference, double limit) {
        if (untreated.isEmpty()) {
            return PlantBackResult.Clean.NO_TWIN;
        }
        if (untreated.getAsDouble() > SLIGHT) {
            return PlantBackResult.Clean.TWIN_FAILED;
        }
        if (difference.isEmpty()) {
            return PlantBackResult.Clean.NOT_SHOWN;
        }
        return difference.get().high() <= limit
                ? PlantBackResult.Clean.YES
                : difference.get().low() > 0 ? PlantBackResult.Clean.INJURED : PlantBackResult.Clean.NOT_SHOWN;
    }

    /** Every treated unit's injury, corrected for its twins (Abbott), over the days. */
    private static Outcome<InjuryDecline> decline(List<PlantBackResult.Sowing> sowings) {
        List<Double> days = new ArrayList<>();
        List<Double> percent = new ArrayList<>();
        for (PlantBackResult.Sowing sowing : sowings) {
            if (sowing.untreated().isEmpty()) {
                continue;
            }
            double control = sowing.untreated().getAsDouble() / PERCENT_A_POINT;
            sowing.points().stream()
                    .filter(PlantBackResult.Point::treated)
                    .forEach(point -> Abbott.corrected(point.value() / PERCENT_A_POINT, control)
                            .asOptional()
                            .ifPresent(share -> {
                                days.add(sowing.days());
                                percent.add(100 * Math.max(0, share));
                            }));
        }
        return InjuryDecline.fit(
                days.stream().mapToDouble(Double::doubleValue).toArray(),
                percent.stream().mapToDouble(Double::doubleValue).toArray(),
                OptionalDouble.empty());
    }
}
