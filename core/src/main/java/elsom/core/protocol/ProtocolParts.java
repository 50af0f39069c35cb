package elsom.core.protocol;

import elsom.core.design.LayoutKind;
import elsom.core.flag.Scene;
import elsom.core.plan.Measure;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Recurring;
import elsom.core.results.Analysis;
import elsom.core.stats.Interval;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TreatmentProperty;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A protocol while its parts are named one by one; {@link #made} freezes it. */
public final class ProtocolParts {
    final ProtocolCode code;
    final String name;
    String purpose = "";
    String exampleQuestion = "";
    final List<Measure> measures = new ArrayList<>();
    final Map<EndpointCode, Scene.Expected> expected = new HashMap<>();
    final Set<EndpointCode> growing = new HashSet<>();
    final List<TreatmentProperty> properties = new ArrayList<>();
    final List<PlannedLook> looks = new ArrayList<>();
    final List<Recurring> steps = new ArrayList<>();
    final List<Step> preparation = new ArrayList<>();
    final List<String> validity = new ArrayList<>();
    Protocol.Habit habit = Protocol.Habit.POTS;
    boolean series;
    boolean doses = true;
    boolean dosesLead;
    boolean diagnoses;
    final List<Analysis> own = new ArrayList<>();

    private ProtocolParts(String code, String name) {
        this.code = new ProtocolCode(code);
        this.name = name;
    }

    public static ProtocolParts named(String code, String name) {
        return new ProtocolParts(code, name);
    }

    public ProtocolParts tells(String what, String example) {
        this.purpose = what;
        this.exampleQuestion = example;
        return this;
    }

    /** Something that may be measured. */
    public ProtocolParts measure(MeasureParts parts) {
        measures.add(parts.made());
        return this;
    }

    /** What the control's mean of an endpoint must be for a trial of this kind to hold. */
    public ProtocolParts expects(String endpoint, double lowest, double highest, String sentence) {
        expected.put(new EndpointCode(endpoint), new Scene.Expected(new Interval(lowest, highest), sentence));
        return this;
    }

    /** Something of which the control must have more at the last look than at the first. */
    public ProtocolParts grows(String endpoint) {
        growing.add(new EndpointCode(endpoint));
        return this;
    }

    public ProtocolParts asks(TreatmentProperty... wanted) {
        properties.addAll(Arrays.asList(wanted));
        return this;
    }

    public ProtocolParts look(String label, Duration after, String... endpoints) {
        looks.add(new PlannedLook(
                label, after, Arrays.stream(endpoints).map(EndpointCode::new).toList()));
        return this;
    }

    public ProtocolParts every(Recurring.Kind kind, String note, Duration first, Duration every, Duration until) {
        steps.add(new Recurring(kind, note, first, every, until));
        return this;
    }

    public ProtocolParts prepare(String what, List<Caution> cautions, String... orders) {
        preparation.add(new Step(what, List.of(orders), cautions));
        return this;
    }

    public ProtocolParts holds(String... limits) {
        validity.addAll(Arrays.asList(limits));
        return this;
    }

    public ProtocolParts usually(int replicates, LayoutKind layout, int plants, int seeds, double doseMl) {
        habit = new Protocol.Habit(replicates, layout, plants, seeds, doseMl, false);
        return this;
    }

    public ProtocolParts endingTogether() {
        habit = new Protocol.Habit(
                habit.replicates(), habit.layout(), habit.plants(), habit.seeds(), habit.doseMl(), true);
        return this;
    }

    /** Findings of what a lot does to seedlings, with the board of causes, before all others. */
    public ProtocolParts diagnoses() {
        diagnoses = true;
        return this;
    }

    /** What doses do is told before what was asked. */
    public ProtocolParts dosesLead() {
        dosesLead = true;
        return this;
    }

    /** Without the usual findings of a series of doses, as its own say more of them. */
    public ProtocolParts withoutDoses() {
        doses = false;
        return this;
    }

    /** An analysis of its own, whose answer comes first. */
    public ProtocolParts answers(Analysis analysis) {
        own.add(analysis);
        return this;
    }

    public ProtocolParts inSeries() {
        series = true;
        return this;
    }

    public static Duration day(int days) {
        return Duration.ofDays(days);
    }

    /** The protocol as it stands; what is named afterwards changes nothing in it. */
    public Protocol made() {
        return new ProtocolData(this);
    }
}
