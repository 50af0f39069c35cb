package elsom.core.results;

import elsom.core.chemistry.Sodium;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import elsom.core.stats.MeanDifference;
import elsom.core.stats.Summary;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** Sodium before, at its peak and after leaching: how much it rose, and whether it came back. */
public final class SodiumAnswers implements Analysis {
    private static final EndpointCode SODIUM = new EndpointCode("sodium");
    private static final EndpointCode CALCIUM = new EndpointCode("calcium");
    private static final EndpointCode MAGNESIUM = new EndpointCode("magnesium");

    /** The smallest difference of the ratio that matters, where nobody says. */
    private static final double MATTERS = 1;

    /** Ratios of a treatment's units at each look, in order of time. */
    private record Course(int arm, List<List<Double>> byLook) {
        double mean(int look) {
            return byLook.get(look).stream()
                    .mapToDouble(Double::doubleValue)
                    .average()
                    .orElse(Double.NaN);
        }

        int peak() {
            return IntStream.range(0, byLook.size())
                    .boxed()
                    .max(Comparator.comparing(this::mean))
                    .orElseThrow();
        }
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<EndpointCode> ions = List.of(SODIUM, CALCIUM, MAGNESIUM);
        List<EndpointCode> measured = evidence.measured().stream()
                .map(measure -> measure.endpoint().code())
                .toList();
        List<Look> looks = measured.containsAll(ions) ? evidence.looksOf(SODIUM) : List.of();
        if (looks.isEmpty()) {
            return;
        }
        TrialRecord record = evidence.record();
        List<Course> courses = IntStream.range(0, record.treatments().size())
                .mapToObj(arm -> new Course(
                        arm,
                        looks.stream().map(look -> ratios(record, arm, look)).toList()))
                .filter(course -> course.byLook().stream().noneMatch(List::isEmpty))
                .toList();
        if (courses.isEmpty()) {
            return;
        }
        Look last = looks.get(looks.size() - 1);
        courses.forEach(course -> findings.answer(Findings.Answered.unasked(
                verdict(record.treatments().get(course.arm()).name(), course, looks))));
        findings.section(new Section.Table(table(courses, looks, last)));
    }

    private static List<Double> ratios(TrialRecord record, int arm, Look look) {
        List<Double> ratios = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            if (unit.treatment() == arm + 1) {
                OptionalDouble sodium = mean(record, unit, look, SODIUM);
                OptionalDouble calcium = mean(record, unit, look, CALCIUM);
                OptionalDouble magnesium = mean(record, unit, look, MAGNESIUM);
                if (sodium.isPresent() && calcium.isPresent() && magnesium.isPresent()) {
                    Sodium.ratio(
                                    sodium.getAsDouble() / Sodium.SODIUM_MG,
                                    calcium.getAsDouble() / Sodium.CALCIUM_MG,
                                    magnesium.getAsDouble() / Sodium.MAGNESIUM_MG)
                            .asOptional()
                            .ifPresent(ratios::add);
                }
            }
        }
        return ratios;
    }

    private static OptionalDouble mean(TrialRecord record, ExperimentalUnit unit, Look look, EndpointCode code) {
        return UnitValues.readings(record, record.endpoint(code), look, unit).stream()
                .map(Reading::value)
                .mapToDouble(value -> Objects.requireNonNull(value))
                .average();
    }

    private static Verdict verdict(String name, Course course, List<Look> looks) {
        int peak = course.peak();
        int last = looks.size() - 1;
        String rose = name + ": the sodium ratio (SAR) stood at " + shown(course.mean(0)) + " at "
                + looks.get(0).name() + ", at most " + shown(course.mean(peak)) + " at "
                + looks.get(peak).name();
        if (last == 0 || peak == last) {
            return new Verdict(
                    Verdict.Firmness.SO_FAR,
                    rose + (last == 0 ? "." : ", the last look: it has not fallen yet."),
                    "A look after leaching tells whether it comes back.");
        }
        Optional<Interval> left = left(course, last);
        boolean back = left.map(interval -> interval.high() <= MATTERS).orElse(false);
        boolean stays = left.map(interval -> interval.low() > 0).orElse(false);
        return new Verdict(
                back ? Verdict.Firmness.SETTLED : stays ? Verdict.Firmness.WORSE : Verdict.Firmness.CANT_TELL,
                rose + ", and " + shown(course.mean(last)) + " at "
                        + looks.get(last).name() + ": "
                        + (back
                                ? "it has come back to within " + shown(MATTERS) + " of where it was"
                                : stays ? "it has not come back" : "whether it has come back can't be told")
                        + left.map(interval ->
                                        " (difference " + shown(course.mean(last) - course.mean(0)) + ", 95 % interval "
                                                + shown(interval.low()) + " to " + shown(interval.high()) + ")")
                                .orElse("")
                        + ".",
                "From an exchangeable share (ESP) of about 15 % on, many soils seal and crust: a soil laboratory measures it.");
    }

    /** The last ratio less the first, by the units' scatter at both. */
    private static Optional<Interval> left(Course course, int last) {
        double[] then = values(course, 0);
        double[] now = values(course, last);
        return then.length < 2 || now.length < 2
                ? Optional.empty()
                : MeanDifference.welch(Summary.of(now), Summary.of(then))
                        .asOptional()
                        .map(MeanDifference::interval95);
    }

    private static double[] values(Course course, int look) {
        return course.byLook().get(look).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    private static String shown(double ratio) {
        return Decimals.fixed(ratio, 1);
    }

    private static TableResult table(List<Course> courses, List<Look> looks, Look last) {
        List<String> columns = new ArrayList<>();
        looks.forEach(look -> {
            columns.add("SAR, " + look.name());
            columns.add("ESP");
        });
        return new TableResult(
                "Sodium over time",
                last,
                columns,
                courses.stream()
                        .map(course -> new TableResult.Row(
                                course.arm(),
                                IntStream.range(0, looks.size())
                                        .boxed()
                                        .flatMap(look -> List.of(
                                                shown(course.mean(look)),
                                                Decimals.fixed(Sodium.exchangeablePercent(course.mean(look)), 1) + " %")
                                                .stream())
                                        .toList()))
                        .toList(),
                List.of("SAR = Na/√((Ca + Mg)/2) in meq/L; ESP by SAR, 100 q/(1 + q) with q = −0.0126 + 0.01475 SAR"
                        + " (Richards 1954). Depths are treatments of their own: give them as a factor."));
    }
}
