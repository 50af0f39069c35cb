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
    private static final EndpointCode ESP = new EndpointCode("esp");

    /** How sodium is told. */
    private enum Scale {
        RATIO("the sodium ratio (SAR)", "", 1),
        EXCHANGED("exchangeable sodium (ESP, by the laboratory)", " %", 2);

        private final String words;
        private final String unit;
        /** The smallest difference that matters, where nobody says. */
        private final double matters;

        Scale(String words, String unit, double matters) {
            this.words = words;
            this.unit = unit;
            this.matters = matters;
        }

        String shown(double value) {
            return Decimals.fixed(value, 1) + unit;
        }
    }

    /** What a treatment's units came to over time. */
    private record Course(int arm, RiseAndReturn values) {}

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        List<EndpointCode> measured = evidence.measured().stream()
                .map(measure -> measure.endpoint().code())
                .toList();
        if (measured.containsAll(List.of(SODIUM, CALCIUM, MAGNESIUM))) {
            add(evidence, Scale.RATIO, evidence.looksOf(SODIUM), findings);
        }
        if (measured.contains(ESP)) {
            add(evidence, Scale.EXCHANGED, evidence.looksOf(ESP), findings);
        }
    }

    private static void add(Evidence evidence, Scale scale, List<Look> looks, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        List<Course> courses = new ArrayList<>();
        for (int arm = 0; arm < record.treatments().size(); arm++) {
            List<Map<UnitCode, Double>> byLook = new ArrayList<>();
            for (Look look : looks) {
                byLook.add(scale == Scale.RATIO ? ratios(record, arm, look) : exchanged(record, arm, look));
            }
            if (!byLook.isEmpty() && byLook.stream().noneMatch(Map::isEmpty)) {
                courses.add(new Course(arm, new RiseAndReturn(looks, byLook)));
            }
        }
        if (courses.isEmpty()) {
            return;
        }
        courses.forEach(course -> findings.answer(Findings.Answered.unasked(
                verdict(record.treatments().get(course.arm()).name(), scale, course.values()))));
        findings.section(table(record, scale, courses, looks));
    }

    private static Map<UnitCode, Double> exchanged(TrialRecord record, int arm, Look look) {
        Map<UnitCode, Double> shares = new LinkedHashMap<>();
        record.units().stream()
                .filter(unit -> unit.treatment() == arm + 1)
                .forEach(unit -> mean(record, unit, look, ESP).ifPresent(share -> shares.put(unit.code(), share)));
        return shares;
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

    private static Verdict verdict(String name, Scale scale, RiseAndReturn course) {
        int peak = course.peak();
        RiseAndReturn.Ending ending = course.ending(scale.matters);
        String rose = name + ": " + scale.words + " stood at " + scale.shown(course.mean(0)) + " at "
                + course.looks().get(0).said() + ", at most " + scale.shown(course.mean(peak)) + " at "
                + course.looks().get(peak).said();
        return switch (ending) {
            case ONE_LOOK -> soFar(rose + ".");
            case NOT_FALLEN -> soFar(rose + ", the last look: it has not fallen yet.");
            case NEVER_ROSE ->
                ended(Verdict.Firmness.SETTLED, rose + now(scale, course) + "it did not rise", scale, course);
            case BACK ->
                ended(
                        Verdict.Firmness.SETTLED,
                        rose + now(scale, course) + "it has come back to within " + scale.shown(scale.matters)
                                + " of where it was",
                        scale,
                        course);
            case STAYS ->
                ended(Verdict.Firmness.WORSE, rose + now(scale, course) + "it has not come back", scale, course);
            case UNCLEAR ->
                ended(
                        Verdict.Firmness.CANT_TELL,
                        rose + now(scale, course) + "whether it has come back can't be told",
                        scale,
                        course);
        };
    }

    private static Verdict soFar(String sentence) {
        return new Verdict(Verdict.Firmness.SO_FAR, sentence, "A look after leaching tells whether it comes back.");
    }

    private static String now(Scale scale, RiseAndReturn course) {
        return ", and " + scale.shown(course.mean(course.last())) + " at "
                + course.looks().get(course.last()).said() + ": ";
    }

    private static Verdict ended(Verdict.Firmness firmness, String sentence, Scale scale, RiseAndReturn course) {
        return new Verdict(
                firmness,
                sentence
                        + course.left()
                                .map(interval -> " (difference "
                                        + scale.shown(course.mean(course.last()) - course.mean(0)) + ", 95 % interval "
                                        + Decimals.fixed(interval.low(), 1) + " to " + scale.shown(interval.high())
                                        + ")")
                                .orElse("")
                        + ".",
                "From an exchangeable share (ESP) of about " + Decimals.upTo(Sodium.SODIC_ESP, 0)
                        + " % on, many soils seal and crust"
                        + (scale == Scale.RATIO ? ": a soil laboratory measures it." : "."));
    }

    private static Cell ratio(double ratio) {
        return Cell.number(Scale.RATIO.shown(ratio), Amount.of(ratio, UnitOfMeasure.COUNT));
    }

    private static Cell share(double percent) {
        return Cell.number(Scale.EXCHANGED.shown(percent), Amount.of(percent / 100, UnitOfMeasure.FRACTION));
    }

    private static TableResult table(TrialRecord record, Scale scale, List<Course> courses, List<Look> looks) {
        List<Column<Course>> columns = new ArrayList<>();
        columns.add(Column.cells("Treatment", course -> Cell.of(record.treatment(course.arm() + 1))));
        for (int i = 0; i < looks.size(); i++) {
            int look = i;
            if (scale == Scale.RATIO) {
                columns.add(Column.numbers(
                        "SAR, " + looks.get(i).name(),
                        course -> ratio(course.values().mean(look))));
                columns.add(Column.numbers(
                        "ESP, " + looks.get(i).name(),
                        course ->
                                share(Sodium.exchangeablePercent(course.values().mean(look)))));
            } else {
                columns.add(Column.numbers(
                        "ESP, " + looks.get(i).name(),
                        course -> share(course.values().mean(look))));
            }
        }
        boolean ratio = scale == Scale.RATIO;
        String title = ratio ? "Sodium over time" : "Exchangeable sodium over time";
        return new TableResult(
                title,
                looks.get(looks.size() - 1),
                Table.of(ratio ? "sodium" : "exchanged", title, columns, courses),
                List.of(
                        ratio
                                ? "SAR = Na/√((Ca + Mg)/2) in meq/L; ESP by SAR, 100 q/(1 + q) with q = −0.0126 + 0.01475 SAR"
                                        + " (Richards 1954). Depths are treatments of their own: give them as a factor."
                                : "As the laboratory measured it, means of a treatment's units; it goes before what SAR would"
                                        + " estimate."));
    }
}
