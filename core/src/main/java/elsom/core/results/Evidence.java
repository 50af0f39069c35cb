package elsom.core.results;

import elsom.core.diagnosis.Likelihoods;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** What findings look at: the plan, what was recorded, and the look at which the trial is judged. */
public final class Evidence {
    private final Plan plan;
    private final TrialRecord record;
    private final Map<Integer, Set<EndpointCode>> read = new HashMap<>();
    private final int look;
    private final Likelihoods likelihoods;

    private Evidence(Plan plan, TrialRecord record, OptionalInt asked, Likelihoods likelihoods) {
        this.likelihoods = likelihoods;
        this.plan = plan;
        this.record = WorkedEndpoints.in(plan, record);
        for (Reading reading : this.record.readings()) {
            Set<EndpointCode> endpoints = read.computeIfAbsent(reading.ref().look(), number -> new HashSet<>());
            if (!endpoints.contains(reading.ref().endpoint())
                    && this.record.current(reading.ref()).isPresent()) {
                endpoints.add(reading.ref().endpoint());
            }
        }
        this.look = chosen(asked);
    }

    /**
     * The evidence as it stood at a look.
     *
     * @param asked the look's number; empty for the last complete one, else the last begun
     */
    public static Evidence of(Plan plan, TrialRecord record, OptionalInt asked) {
        return of(plan, record, asked, Likelihoods.SHIPPED);
    }

    /** The same, with causes judged by another table. */
    public static Evidence of(Plan plan, TrialRecord record, OptionalInt asked, Likelihoods likelihoods) {
        return new Evidence(plan, record, asked, likelihoods);
    }

    private int chosen(OptionalInt asked) {
        List<Look> begun = begun();
        return begun.stream()
                .filter(one -> asked.isPresent() && one.number() == asked.getAsInt())
                .findFirst()
                .or(() -> begun.stream()
                        .filter(one -> record.progress(one).complete())
                        .reduce((a, b) -> b))
                .or(() -> begun.stream().reduce((a, b) -> b))
                .map(Look::number)
                .orElse(0);
    }

    public Plan plan() {
        return plan;
    }

    public TrialRecord record() {
        return record;
    }

    /** The look the trial is judged at; 0 before any reading. */
    public int look() {
        return look;
    }

    /** By what causes of injury are judged. */
    public Likelihoods likelihoods() {
        return likelihoods;
    }

    /** Looks that have a reading, in order of time. */
    public List<Look> begun() {
        return record.looks().stream()
                .filter(one -> !read.getOrDefault(one.number(), Set.of()).isEmpty())
                .toList();
    }

    /** Looks up to the chosen one at which something was read, in order of time. */
    public List<Look> looksOf(EndpointCode endpoint) {
        return record.looks().stream()
                .filter(one -> one.number() <= look
                        && read.getOrDefault(one.number(), Set.of()).contains(endpoint))
                .toList();
    }

    /** The last look up to the chosen one at which something was read. */
    public Optional<Look> lookOf(EndpointCode endpoint) {
        return looksOf(endpoint).stream().reduce((a, b) -> b);
    }

    /** Measures with values that have a reading up to the chosen look, in the plan's order. */
    public List<Measure> measured() {
        return read(true);
    }

    /** Endpoints in words that have a reading up to the chosen look, in the plan's order. */
    public List<Measure> written() {
        return read(false);
    }

    private List<Measure> read(boolean measured) {
        return plan.asked().measures().stream()
                .filter(measure -> measure.endpoint().measured() == measured)
                .filter(measure -> lookOf(measure.endpoint().code()).isPresent())
                .toList();
    }
}
