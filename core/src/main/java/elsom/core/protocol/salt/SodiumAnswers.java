package elsom.core.protocol.salt;

import elsom.core.chemistry.Sodium;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Course;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.RiseAndReturn;
import elsom.core.results.TableResult;
import elsom.core.results.UnitValues;
import elsom.core.results.Verdict;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Table;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/** Sodium before, at its peak and after leaching: how much it rose, and whether it came back. */
public final class SodiumAnswers implements Analysis {
    private static final EndpointCode SODIUM = new EndpointCode("sodium");
    private static final EndpointCode CALCIUM = new EndpointCode("calcium");
    private static final EndpointCode MAGNESIUM = new EndpointCode("magnesium");

    /** The smallest difference of the ratio that matters, where nobody says. */
    private static final double MATTERS = 1;

    /** Ratios of a treatment's units over time. */
    private record Course(int arm, RiseAndReturn ratios) {}

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
        List<Course> courses = new ArrayList<>();
        for (int arm = 0; arm < record.treatments().size(); arm++) {
            List<Map<UnitCode, Double>> byLook = new ArrayList<>();
            for (Look look : looks) {
                byLook.add(ratios(record, arm, look));
            }
            if (byLook.stream().noneMatch(Map::isEmpty)) {
                courses.add(new Course(arm, new RiseAndReturn(looks, byLook)));
            }
        }
        if (courses.isEmpty()) {
            return;
        }
        Look last = looks.get(looks.size() - 1);
        courses.forEach(course -> findings.answer(Findings.Answered.unasked(
                verdict(record.treatments().get(course.arm()).name(), course.ratios()))));
        findings.section(table(evidence.record(), courses, looks, last));
    }

    private static Map<UnitCode, Double> ratios(TrialRecord record, int arm, Look look) {
        Map<UnitCode, Double> ratios = new LinkedHashMap<>();
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
                            .ifPresent(ratio -> ratios.put(unit.code(), ratio));
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

    private static Verdict verdict(String name, RiseAndReturn course) {
        int peak = course.peak();
        RiseAndReturn.Ending ending = course.ending(MATTERS);
        String rose = name + ": the sodium ratio (SAR) stood at " + shown(course.mean(0)) + " at "
                + course.looks().get(0).name() + ", at most " + shown(course.mean(peak)) + " at "
                + course.looks().get(peak).name();
        return switch (ending) {
            case ONE_LOOK -> soFar(rose + ".");
            case NOT_FALLEN -> soFar(rose + ", the last look: it has not fallen yet.");
            case NEVER_ROSE -> ended(Verdict.Firmness.SETTLED, rose + now(course) + "it did not rise", course);
            case BACK ->
                ended(
                        Verdict.Firmness.SETTLED,
                        rose + now(course) + "it has come back to within " + shown(MATTERS) + " of where it was",
                        course);
            case STAYS -> ended(Verdict.Firmness.WORSE, rose + now(course) + "it has not come back", course);
            case UNCLEAR ->
                ended(
                        Verdict.Firmness.CANT_TELL,
                        rose + now(course) + "whether it has come back can't be told",
                        course);
        };
    }

    private static Verdict soFar(String sentence) {
        return new Verdict(Verdict.Firmness.SO_FAR, sentence, "A look after leaching tells whether it comes back.");
    }

    private static String now(RiseAndReturn course) {
        return ", and " + shown(course.mean(course.last())) + " at "
                + course.looks().get(course.last()).name() + ": ";
    }

    private static Verdict ended(Verdict.Firmness firmness, String sentence, RiseAndReturn course) {
        return new Verdict(
                firmness,
                sentence
                        + course.left()
                                .map(interval -> " (difference " + shown(course.mean(course.last()) - course.mean(0))
                                        + ", 95 % interval " + shown(interval.low()) + " to " + shown(interval.high())
                                        + ")")
                                .orElse("")
                        + ".",
                "From an exchangeable share (ESP) of about 15 % on, many soils seal and crust: a soil laboratory measures it.");
    }

    private static String shown(double ratio) {
        return Decimals.fixed(ratio, 1);
    }

    private static Cell ratio(double ratio) {
        return Cell.number(shown(ratio), Amount.of(ratio, UnitOfMeasure.COUNT));
    }

    private static Cell share(double ratio) {
        double percent = Sodium.exchangeablePercent(ratio);
        return Cell.number(Decimals.fixed(percent, 1) + " %", Amount.of(percent / 100, UnitOfMeasure.FRACTION));
    }

    private static TableResult table(TrialRecord record, List<Course> courses, List<Look> looks, Look last) {
        List<Column<Course>> columns = new ArrayList<>();
        columns.add(Column.cells("Treatment", course -> Cell.of(record.treatment(course.arm() + 1))));
        for (int i = 0; i < looks.size(); i++) {
            int look = i;
            columns.add(Column.numbers(
                    "SAR, " + looks.get(i).name(),
                    course -> ratio(course.ratios().mean(look))));
            columns.add(Column.numbers(
                    "ESP, " + looks.get(i).name(),
                    course -> share(course.ratios().mean(look))));
        }
        return new TableResult(
                "Sodium over time",
                last,
                Table.of("sodium", "Sodium over time", columns, courses),
                List.of("SAR = Na/√((Ca + Mg)/2) in meq/L; ESP by SAR, 100 q/(1 + q) with q = −0.0126 + 0.01475 SAR"
                        + " (Richards 1954). Depths are treatments of their own: give them as a factor."));
    }
}
