package elsom.core.protocol.salt;

import elsom.core.analysis.Observations;
import elsom.core.curve.CurveFit;
import elsom.core.curve.DoseLevels;
import elsom.core.curve.DoseResponse;
import elsom.core.curve.SalinityResponse;
import elsom.core.curve.XyData;
import elsom.core.dose.DoseEffect;
import elsom.core.figure.FigureKind;
import elsom.core.flag.Scene;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measure;
import elsom.core.protocol.dose.DoseAnswers;
import elsom.core.quantity.Decimals;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.UnitValues;
import elsom.core.results.Validity;
import elsom.core.results.Verdict;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * From which salinity on a crop loses yield, and how fast (Maas & Hoffman 1977), by what was really reached in the root zone
 * where that was measured.
 */
public final class ThresholdAnswers implements Analysis {
    private static final double ALPHA = 0.05;
    private static final double MISSES = 0.05;
    private static final double PERCENT = 100;
    static final String NONE = "none";
    private static final Validity UNBURNT = new Validity(
            Map.of(
                    EndpointCode.INJURY,
                    new Scene.Expected(
                            new Interval(0, 2),
                            "the weakest water must leave plants next to unharmed, 2 points at most")),
            Map.of(),
            Set.of());

    private final EndpointCode yield;
    private final List<EndpointCode> measures;

    /**
     * The analysis.
     *
     * @param yield the endpoint that falls
     * @param measures of salinity, the most telling first
     */
    public ThresholdAnswers(String yield, String... measures) {
        this.yield = new EndpointCode(yield);
        this.measures = List.of(measures).stream().map(EndpointCode::new).toList();
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<Factor> factors = evidence.plan().treatments().factors();
        Optional<Measure> harvested = evidence.measured().stream()
                .filter(measure -> measure.endpoint().code().equals(yield))
                .findFirst();
        boolean series = factors.size() == 1
                && factors.get(0).kind() == FactorKind.DOSE
                && factors.get(0).measured();
        if (series && harvested.isPresent()) {
            Optional<Findings.Answered> failed = failed(evidence, factors.get(0));
            if (failed.isPresent()) {
                findings.answer(failed.get());
                return;
            }
            ThresholdResult result = result(evidence, factors.get(0), harvested.get());
            findings.answer(Findings.Answered.unasked(ThresholdWording.of(result))
                    .about(result.yield())
                    .with(ThresholdWording.details(result, factors.get(0))));
            findings.section(result);
        }
    }

    /** Where the weakest water burns plants, what the stronger ones did can't be told. */
    private Optional<Findings.Answered> failed(Evidence evidence, Factor strengths) {
        List<Integer> weakest = IntStream.range(
                        0, evidence.record().treatments().size())
                .filter(arm -> given(evidence, strengths, arm) == weakest(strengths))
                .boxed()
                .toList();
        return UNBURNT.failed(evidence, weakest)
                .map(why -> Findings.Answered.unasked(new Verdict(
                                Verdict.Firmness.CANT_TELL,
                                "No threshold can be told: " + why + ".",
                                "Repeat it with water that the crop bears, and look for what else burnt them."))
                        .about(yield));
    }

    private ThresholdResult result(Evidence evidence, Factor strengths, Measure harvested) {
        TrialRecord record = evidence.record();
        Look look = evidence.lookOf(yield).orElseThrow();
        Optional<EndpointCode> by = measures.stream()
                .filter(code -> !evidence.looksOf(code).isEmpty())
                .findFirst();
        FigureKind axis = by.map(code -> FigureKind.of(record.endpoint(code)))
                .orElseGet(() -> new FigureKind("strength", strengths.name(), "", strengths.unit(), 1));
        List<ThresholdResult.Point> points = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            OptionalDouble salinity = by.map(code -> mean(evidence, unit, evidence.looksOf(code), code))
                    .orElseGet(() -> OptionalDouble.of(given(evidence, strengths, unit.treatment() - 1)));
            OptionalDouble harvest = mean(evidence, unit, List.of(look), yield);
            if (salinity.isPresent() && harvest.isPresent()) {
                points.add(new ThresholdResult.Point(
                        unit.code().value(), unit.treatment() - 1, salinity.getAsDouble(), harvest.getAsDouble()));
            }
        }
        Outcome<SalinityResponse> fit = SalinityResponse.fit(
                        new XyData(
                                points.stream()
                                        .mapToDouble(ThresholdResult.Point::salinity)
                                        .toArray(),
                                points.stream()
                                        .mapToDouble(ThresholdResult.Point::yield)
                                        .toArray()),
                        true)
                .then(found -> throughMeans(found, points));
        return new ThresholdResult(
                FigureKind.of(record.endpoint(yield)),
                axis,
                look,
                points,
                fit,
                weakest(strengths) == 0
                        ? NONE
                        : (Decimals.upTo(weakest(strengths), 2) + " "
                                        + strengths.unit().symbol())
                                .strip(),
                effect(evidence, strengths, harvested, look),
                strengths(record, points, fit));
    }

    private static DoseEffect effect(Evidence evidence, Factor strengths, Measure harvested, Look look) {
        Observations seen = UnitValues.of(evidence, harvested, look, Optional.empty());
        List<DoseEffect.Given> given = IntStream.range(
                        0, evidence.record().treatments().size())
                .mapToObj(arm -> new DoseEffect.Given(arm, beyond(strengths, given(evidence, strengths, arm))))
                .toList();
        return DoseEffect.of(
                seen, given, ALPHA, DoseAnswers.tolerated(evidence, harvested, seen, given), OptionalDouble.empty());
    }

    private static double weakest(Factor strengths) {
        return strengths.levels().stream()
                .mapToDouble(level -> Objects.requireNonNull(level.amount()))
                .min()
                .orElseThrow();
    }

    /** A strength as it is; 0 for the weakest, which stands for none where all waters have salts. */
    private static double beyond(Factor strengths, double given) {
        return given == weakest(strengths) ? 0 : given;
    }

    /** A curve that misses the means of the strengths is no answer: what was seen is. */
    private static Outcome<SalinityResponse> throughMeans(SalinityResponse curve, List<ThresholdResult.Point> points) {
        DoseLevels strengths = DoseLevels.of(new DoseResponse(points.stream()
                .map(point -> new DoseResponse.Point(point.arm(), point.yield()))
                .toList()));
        OptionalDouble p =
                CurveFit.lackOfFitP(strengths, curve.squares() - strengths.within(), SalinityResponse.PARAMETERS);
        return p.orElse(1) < MISSES
                ? Outcome.notEstimable("No level with a fall after it goes through these means (lack of fit, p "
                        + Decimals.p(p.getAsDouble()) + "): go by what was seen at each strength")
                : Outcome.found(curve);
    }

    private static double given(Evidence evidence, Factor strengths, int arm) {
        int level = evidence.plan().treatments().all().get(arm).levels().get(0);
        return Objects.requireNonNull(strengths.levels().get(level).amount());
    }

    private static OptionalDouble mean(Evidence evidence, ExperimentalUnit unit, List<Look> looks, EndpointCode code) {
        Endpoint endpoint = evidence.record().endpoint(code);
        return looks.stream()
                .flatMap(look -> UnitValues.readings(evidence.record(), endpoint, look, unit).stream())
                .map(Reading::value)
                .mapToDouble(value -> Objects.requireNonNull(value))
                .average();
    }

    private static List<ThresholdResult.Strength> strengths(
            TrialRecord record, List<ThresholdResult.Point> points, Outcome<SalinityResponse> fit) {
        Map<Integer, List<ThresholdResult.Point>> given = points.stream()
                .collect(Collectors.groupingBy(ThresholdResult.Point::arm, TreeMap::new, Collectors.toList()));
        double best = given.values().stream()
                .mapToDouble(here -> average(here, ThresholdResult.Point::yield))
                .max()
                .orElse(Double.NaN);
        double whole = fit.asOptional().map(SalinityResponse::highest).orElse(best);
        return given.entrySet().stream()
                .map(entry -> {
                    double harvest = average(entry.getValue(), ThresholdResult.Point::yield);
                    return new ThresholdResult.Strength(
                            record.treatments().get(entry.getKey()).name(),
                            average(entry.getValue(), ThresholdResult.Point::salinity),
                            harvest,
                            PERCENT * harvest / whole,
                            entry.getValue().size());
                })
                .toList();
    }

    private static double average(List<ThresholdResult.Point> points, ToDoubleFunction<ThresholdResult.Point> what) {
        return points.stream().mapToDouble(what).average().orElseThrow();
    }
}
