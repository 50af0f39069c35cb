package elsom.core.protocol;

import elsom.core.flag.Scene;
import elsom.core.plan.Measure;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Recurring;
import elsom.core.protocol.dose.DoseAnswers;
import elsom.core.protocol.seedling.BioassayAnswers;
import elsom.core.results.Analysis;
import elsom.core.results.AskedQuestions;
import elsom.core.results.EndpointCourses;
import elsom.core.results.EndpointFigures;
import elsom.core.results.Evidence;
import elsom.core.results.Validity;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A protocol whose endpoints are read off and compared as they are: only its sheet of data differs from others. */
final class ProtocolData implements Protocol {
    private final ProtocolCode code;
    private final String name;
    private final String purpose;
    private final String exampleQuestion;
    private final List<Measure> measures;
    private final Map<EndpointCode, Scene.Expected> expected;
    private final Set<EndpointCode> growing;
    private final List<TreatmentProperty> properties;
    private final List<PlannedLook> looks;
    private final List<Recurring> steps;
    private final List<Step> preparation;
    private final List<String> validity;
    private final Habit habit;
    private final boolean series;
    private final boolean doses;
    private final boolean dosesLead;
    private final boolean diagnoses;
    private final List<Analysis> own;

    ProtocolData(ProtocolParts parts) {
        code = parts.code;
        name = parts.name;
        purpose = parts.purpose;
        exampleQuestion = parts.exampleQuestion;
        measures = List.copyOf(parts.measures);
        expected = Map.copyOf(parts.expected);
        growing = Set.copyOf(parts.growing);
        properties = List.copyOf(parts.properties);
        looks = List.copyOf(parts.looks);
        steps = List.copyOf(parts.steps);
        preparation = List.copyOf(parts.preparation);
        validity = List.copyOf(parts.validity);
        habit = parts.habit;
        series = parts.series;
        doses = parts.doses;
        dosesLead = parts.dosesLead;
        diagnoses = parts.diagnoses;
        own = List.copyOf(parts.own);
    }

    private Optional<Scene.Expected> mustBe(Evidence evidence, Measure measure) {
        return holds().mustBe(evidence, measure);
    }

    private Validity holds() {
        return new Validity(
                expected,
                looks.stream()
                        .filter(look -> look.endpoints().contains(EndpointCode.INJURY))
                        .map(PlannedLook::after)
                        .max(Comparator.naturalOrder())
                        .map(last -> Map.of(EndpointCode.INJURY, last))
                        .orElse(Map.of()),
                growing);
    }

    @Override
    public ProtocolCode code() {
        return code;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public String purpose() {
        return purpose;
    }

    @Override
    public String exampleQuestion() {
        return exampleQuestion;
    }

    @Override
    public List<Measure> measures() {
        return measures;
    }

    @Override
    public List<TreatmentProperty> properties() {
        return properties;
    }

    @Override
    public List<String> kinds() {
        return List.of();
    }

    @Override
    public List<PlannedLook> usualLooks() {
        return looks;
    }

    @Override
    public List<Recurring> usualSteps() {
        return steps;
    }

    @Override
    public List<Step> preparation() {
        return preparation;
    }

    @Override
    public List<String> validity() {
        return validity;
    }

    @Override
    public boolean series() {
        return series;
    }

    @Override
    public Habit habit() {
        return habit;
    }

    /** The rules of what is measured, so that everybody measures the same. */
    @Override
    public Step stepBefore(TrialRecord record, Look look) {
        List<String> rules = measures.stream()
                .filter(measure -> look.endpoints().contains(measure.endpoint().code()))
                .map(measure -> measure.endpoint().name() + ": " + measure.rule() + ".")
                .toList();
        return new Step("Measure", rules, List.of());
    }

    @Override
    public Optional<Concern> concern(TrialRecord record, ReadingRef ref, double value) {
        return Neighbours.concern(record, ref, value);
    }

    @Override
    public List<Analysis> analyses() {
        List<Analysis> all = new ArrayList<>();
        if (diagnoses) {
            all.add(new BioassayAnswers(new DoseAnswers(holds()), holds()));
        }
        all.addAll(own);
        if (doses && dosesLead) {
            all.add(new DoseAnswers(holds()));
        }
        all.add(AskedQuestions.ofReadings(this::mustBe));
        if (doses && !dosesLead) {
            all.add(new DoseAnswers(holds()));
        }
        all.add(new EndpointCourses());
        all.add(new EndpointFigures());
        return List.copyOf(all);
    }
}
