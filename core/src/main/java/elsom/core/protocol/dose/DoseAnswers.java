package elsom.core.protocol.dose;

import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Observations;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.WorkingRate;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.plan.Factor;
import elsom.core.plan.Measure;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Questions;
import elsom.core.results.UnitValues;
import elsom.core.results.Validity;
import elsom.core.stats.Outcome;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** What each series of doses did, for every endpoint asked about: in any trial with a factor of measured doses. */
public final class DoseAnswers implements Analysis {
    private static final int FEWEST_DOSES = 3;
    private static final double ALPHA = 0.05;
    private static final double FIFTH = 0.2;
    private static final double QUARTER = 0.25;
    private static final double HUNDRED = 100;

    private final Validity validity;

    /**
     * The analysis.
     *
     * @param validity what must hold of the trial
     */
    public DoseAnswers(Validity validity) {
        this.validity = validity;
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<Factor> factors = evidence.plan().treatments().factors();
        IntStream.range(0, factors.size())
                .filter(i -> factors.get(i).dosed() && factors.get(i).levels().size() >= FEWEST_DOSES)
                .boxed()
                .findFirst()
                .ifPresent(factor -> OneRate.of(asked(evidence).stream()
                                .flatMap(measure -> result(evidence, factor, measure).stream())
                                .toList())
                        .forEach(result -> {
                            findings.answer(DoseWording.of(result));
                            findings.section(result);
                        }));
    }

    private static List<Measure> asked(Evidence evidence) {
        List<Measure> asked = evidence.plan().asked().questions().stream()
                .map(Question::endpoint)
                .distinct()
                .flatMap(code -> evidence.measured().stream()
                        .filter(measure -> measure.endpoint().code().equals(code)))
                .toList();
        // Where nobody says which way is better, nobody can say what is harm.
        return (asked.isEmpty() ? Questions.principal(evidence).stream() : asked.stream())
                .filter(measure -> measure.better() != Direction.EITHER)
                .toList();
    }

    private Optional<DoseResult> result(Evidence evidence, int factor, Measure measure) {
        EndpointCode code = measure.endpoint().code();
        List<Look> looks = evidence.looksOf(code);
        Factor doses = evidence.plan().treatments().factors().get(factor);
        List<DoseResult.Line> lines = new ArrayList<>();
        series(evidence, factor).forEach((name, given) -> {
            if (given.size() >= FEWEST_DOSES) {
                lines.add(line(evidence, measure, looks, name, given));
            }
        });
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(new DoseResult(
                        FigureKind.of(evidence.record().endpoint(code)),
                        DoseResult.By.STRENGTH,
                        doses.name(),
                        doses.unit(),
                        doses.labelRate() == null ? OptionalDouble.empty() : OptionalDouble.of(doses.labelRate()),
                        evidence.plan().asked().crop(),
                        looks.get(looks.size() - 1),
                        endsEarly(evidence, code),
                        lines));
    }

    /** What is to be said of a trial that was looked at less long than such trials are. */
    public String endsEarly(Evidence evidence, EndpointCode code) {
        return validity.endsEarly(evidence, code).orElse("");
    }

    /** Treatments with their doses, apart for each level of the other factors. */
    private static Map<String, List<DoseEffect.Given>> series(Evidence evidence, int factor) {
        List<Factor> factors = evidence.plan().treatments().factors();
        List<PlannedTreatment> all = evidence.plan().treatments().all();
        Map<String, List<DoseEffect.Given>> series = new LinkedHashMap<>();
        for (int arm = 0;
                arm < Math.min(all.size(), evidence.record().treatments().size());
                arm++) {
            List<Integer> levels = all.get(arm).levels();
            String others = IntStream.range(0, levels.size())
                    .filter(f -> f != factor)
                    .mapToObj(f -> factors.get(f).levels().get(levels.get(f)).name())
                    .reduce((a, b) -> a + " · " + b)
                    .orElse("");
            double dose = Objects.requireNonNull(
                    factors.get(factor).levels().get(levels.get(factor)).amount());
            series.computeIfAbsent(others, name -> new ArrayList<>()).add(new DoseEffect.Given(arm, dose));
        }
        return series;
    }

    public DoseResult.Line line(
            Evidence evidence, Measure measure, List<Look> looks, String name, List<DoseEffect.Given> given) {
        Optional<String> voided = validity.failed(
                evidence,
                given.stream()
                        .filter(one -> one.dose() == 0)
                        .map(DoseEffect.Given::arm)
                        .toList());
        List<DoseResult.AtLook> atLooks = looks.stream()
                .map(look -> {
                    DoseEffect effect = effect(evidence, measure, look, given);
                    return new DoseResult.AtLook(look, effect, rate(voided, effect));
                })
                .toList();
        Look last = looks.get(looks.size() - 1);
        return new DoseResult.Line(
                name,
                atLooks,
                validity.tooEarly(evidence, measure.endpoint().code(), last)
                        .filter(early -> voided.isEmpty())
                        .map(Outcome::<WorkingRate>notEstimable)
                        .orElse(atLooks.get(atLooks.size() - 1).rate()),
                looks.size() < 2 ? List.of() : areas(evidence, measure, looks, given),
                voided,
                Optional.empty());
    }

    private static DoseEffect effect(Evidence evidence, Measure measure, Look look, List<DoseEffect.Given> given) {
        Observations seen = UnitValues.of(evidence, measure, look, Optional.empty());
        return DoseEffect.of(
                seen, given, ALPHA, tolerated(evidence, measure, seen, given), endOfScale(evidence, measure, seen));
    }

    private static OptionalDouble endOfScale(Evidence evidence, Measure measure, Observations seen) {
        Endpoint endpoint = evidence.record().endpoint(measure.endpoint().code());
        boolean ends = seen.kind() == EndpointKind.SCORE
                || (endpoint.unit() == UnitOfMeasure.FRACTION && endpoint.highest() == 1)
                || (endpoint.unit() == UnitOfMeasure.PERCENT && endpoint.highest() == HUNDRED);
        return ends ? OptionalDouble.of(endpoint.highest()) : OptionalDouble.empty();
    }

    /**
     * The harm that may hide behind a "none": what the plan says matters, else a fifth of a scale, a fifth of all of a
     * count, or a quarter of the control.
     */
    public static double tolerated(
            Evidence evidence, Measure measure, Observations seen, List<DoseEffect.Given> given) {
        double control = given.stream()
                .filter(one -> one.dose() == 0)
                .flatMapToDouble(one -> seen.seen().stream()
                        .filter(unit -> unit.arm() == one.arm())
                        .mapToDouble(unit -> unit.value().inSums())
                        .filter(Double::isFinite))
                .average()
                .orElse(0);
        Endpoint endpoint = evidence.record().endpoint(measure.endpoint().code());
        double usual = switch (seen.kind()) {
            case COUNT_OF -> FIFTH;
            case SCORE -> FIFTH * (endpoint.highest() - endpoint.lowest());
            default -> QUARTER * Math.abs(control);
        };
        return evidence.plan().asked().questions().stream()
                .filter(question -> question.endpoint().equals(endpoint.code()) && question.matters() > 0)
                // A percentage of next to no injury says nothing.
                .filter(question -> !question.inPercent() || seen.kind() != EndpointKind.SCORE)
                .mapToDouble(question -> question.inPercent()
                        ? question.matters() / 100 * Math.abs(control)
                        : endpoint.judged(question.matters()))
                .filter(matters -> matters > 0)
                .max()
                .orElse(usual);
    }

    private static Outcome<WorkingRate> rate(Optional<String> voided, DoseEffect effect) {
        return voided.map(why -> Outcome.<WorkingRate>notEstimable(Sentence.capital(why)))
                .orElseGet(() -> WorkingRate.of(effect, WorkingRate.USUAL_FACTOR));
    }

    /** By the trapezoid rule over the looks at which a unit was read; a unit lost on the way is left out. */
    private static List<DoseResult.Area> areas(
            Evidence evidence, Measure measure, List<Look> looks, List<DoseEffect.Given> given) {
        List<DoseResult.Area> areas = new ArrayList<>();
        for (DoseEffect.Given one : given) {
            double[] all = evidence.record().units().stream()
                    .filter(unit -> unit.treatment() == one.arm() + 1)
                    .flatMap(unit -> area(evidence, measure, looks, unit).stream())
                    .mapToDouble(Double::doubleValue)
                    .toArray();
            if (all.length > 0) {
                areas.add(new DoseResult.Area(
                        one.dose(),
                        IntStream.range(0, all.length)
                                .mapToDouble(i -> all[i])
                                .average()
                                .orElseThrow(),
                        all.length));
            }
        }
        return areas;
    }

    private static Optional<Double> area(Evidence evidence, Measure measure, List<Look> looks, ExperimentalUnit unit) {
        double area = 0;
        double before = Double.NaN;
        double at = 0;
        for (Look look : looks) {
            OptionalDouble value = UnitValues.readings(
                            evidence.record(),
                            evidence.record().endpoint(measure.endpoint().code()),
                            look,
                            unit)
                    .stream()
                    .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                    .average();
            if (value.isEmpty()) {
                return Optional.empty();
            }
            double days = look.hoursAfterStart() / 24;
            area += Double.isNaN(before) ? 0 : (days - at) * (before + value.getAsDouble()) / 2;
            before = value.getAsDouble();
            at = days;
        }
        return Optional.of(area);
    }
}
