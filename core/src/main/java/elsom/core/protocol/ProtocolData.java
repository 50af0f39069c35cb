package elsom.core.protocol;

import elsom.core.design.LayoutKind;
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
import elsom.core.stats.Interval;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A protocol whose endpoints are read off and compared as they are: only its sheet of data differs from others. */
public final class ProtocolData implements Protocol {
    private final ProtocolCode code;
    private final String name;
    private String purpose = "";
    private String exampleQuestion = "";
    private final List<Measure> measures = new ArrayList<>();
    private final Map<EndpointCode, Scene.Expected> expected = new HashMap<>();
    private final List<TreatmentProperty> properties = new ArrayList<>();
    private final List<PlannedLook> looks = new ArrayList<>();
    private final List<Recurring> steps = new ArrayList<>();
    private final List<Step> preparation = new ArrayList<>();
    private final List<String> validity = new ArrayList<>();
    private Habit habit = Habit.POTS;
    private boolean series;
    private boolean doses = true;
    private final List<Analysis> own = new ArrayList<>();

    private ProtocolData(String code, String name) {
        this.code = new ProtocolCode(code);
        this.name = name;
    }

    public static ProtocolData named(String code, String name) {
        return new ProtocolData(code, name);
    }

    public ProtocolData tells(String what, String example) {
        this.purpose = what;
        this.exampleQuestion = example;
        return this;
    }

    /** Something that may be measured. */
    public ProtocolData measure(MeasureParts parts) {
        measures.add(parts.made());
        return this;
    }

    /** What the control's mean of an endpoint must be for a trial of this kind to hold. */
    public ProtocolData expects(String endpoint, double lowest, double highest, String sentence) {
        expected.put(new EndpointCode(endpoint), new Scene.Expected(new Interval(lowest, highest), sentence));
        return this;
    }

    public ProtocolData asks(TreatmentProperty... wanted) {
        properties.addAll(Arrays.asList(wanted));
        return this;
    }

    public ProtocolData look(String label, Duration after, String... endpoints) {
        looks.add(new PlannedLook(
                label, after, Arrays.stream(endpoints).map(EndpointCode::new).toList()));
        return this;
    }

    public ProtocolData every(Recurring.Kind kind, String note, Duration first, Duration every, Duration until) {
        steps.add(new Recurring(kind, note, first, every, until));
        return this;
    }

    public ProtocolData prepare(String what, List<Caution> cautions, String... orders) {
        preparation.add(new Step(what, List.of(orders), cautions));
        return this;
    }

    public ProtocolData holds(String... limits) {
        validity.addAll(Arrays.asList(limits));
        return this;
    }

    public ProtocolData usually(int replicates, LayoutKind layout, int plants, int seeds, double doseMl) {
        habit = new Habit(replicates, layout, plants, seeds, doseMl, false);
        return this;
    }

    public ProtocolData endingTogether() {
        habit = new Habit(habit.replicates(), habit.layout(), habit.plants(), habit.seeds(), habit.doseMl(), true);
        return this;
    }

    /** Findings of what a lot does to seedlings, with the board of causes, before all others. */
    public ProtocolData diagnoses() {
        own.add(new BioassayAnswers(new DoseAnswers(this::mustBe)));
        return this;
    }

    private Optional<Scene.Expected> mustBe(Evidence evidence, Measure measure) {
        return Optional.ofNullable(expected.get(measure.endpoint().code()));
    }

    /** Without the usual findings of a series of doses, as its own say more of them. */
    public ProtocolData withoutDoses() {
        doses = false;
        return this;
    }

    /** An analysis of its own, whose answer comes first. */
    public ProtocolData answers(Analysis analysis) {
        own.add(analysis);
        return this;
    }

    public ProtocolData inSeries() {
        series = true;
        return this;
    }

    public static Duration day(int days) {
        return Duration.ofDays(days);
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
        return List.copyOf(measures);
    }

    @Override
    public List<TreatmentProperty> properties() {
        return List.copyOf(properties);
    }

    @Override
    public List<String> kinds() {
        return List.of();
    }

    @Override
    public List<PlannedLook> usualLooks() {
        return List.copyOf(looks);
    }

    @Override
    public List<Recurring> usualSteps() {
        return List.copyOf(steps);
    }

    @Override
    public List<Step> preparation() {
        return List.copyOf(preparation);
    }

    @Override
    public List<String> validity() {
        return List.copyOf(validity);
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
        List<Analysis> all = new ArrayList<>(own);
        if (doses) {
            all.add(new DoseAnswers(this::mustBe));
        }
        all.add(AskedQuestions.ofReadings(this::mustBe));
        all.add(new EndpointCourses());
        all.add(new EndpointFigures());
        return List.copyOf(all);
    }
}
