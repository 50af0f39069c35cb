package elsom.core.results;

import elsom.core.diagnosis.Likelihoods;
import elsom.core.diagnosis.Seen;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
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
    private final TrialRecord asRead;
    private final Map<Integer, Map<EndpointCode, Set<UnitCode>>> read = new HashMap<>();
    private final boolean chosen;
    private final int look;
    private final Likelihoods likelihoods;
    private final Map<String, List<Seen>> later;

    private Evidence(
            Plan plan, TrialRecord record, OptionalInt asked, Likelihoods likelihoods, Map<String, List<Seen>> later) {
        this.likelihoods = likelihoods;
        this.later = Map.copyOf(later);
        this.plan = plan;
        this.asRead = record;
        this.record = WorkedEndpoints.in(plan, record);
        for (Reading reading : this.record.readings()) {
            Set<UnitCode> units = read.computeIfAbsent(reading.ref().look(), number -> new HashMap<>())
                    .computeIfAbsent(reading.ref().endpoint(), code -> new HashSet<>());
            if (!units.contains(reading.ref().unit())
                    && this.record.current(reading.ref()).isPresent()) {
                units.add(reading.ref().unit());
            }
        }
        List<Look> begun = begun();
        Optional<Look> wanted = begun.stream()
                .filter(one -> asked.isPresent() && one.number() == asked.getAsInt())
                .findFirst();
        this.chosen = wanted.isPresent();
        this.look = wanted.map(Look::number)
                .orElseGet(() -> this.record.endpoints().stream()
                        .flatMap(endpoint -> lookOf(endpoint.code()).stream())
                        .mapToInt(Look::number)
                        .max()
                        .orElse(0));
    }

    /**
     * The evidence as it stood at a look.
     *
     * @param asked the look's number; empty for all there is, each endpoint at its own newest look
     */
    public static Evidence of(Plan plan, TrialRecord record, OptionalInt asked) {
        return of(plan, record, asked, Likelihoods.SHIPPED);
    }

    /** The same, with causes judged by another table. */
    public static Evidence of(Plan plan, TrialRecord record, OptionalInt asked, Likelihoods likelihoods) {
        return new Evidence(plan, record, asked, likelihoods, Map.of());
    }

    /** The same, with signs that later trials showed of lots, by their names. */
    public static Evidence of(
            Plan plan, TrialRecord record, OptionalInt asked, Likelihoods likelihoods, Map<String, List<Seen>> later) {
        return new Evidence(plan, record, asked, likelihoods, later);
    }

    /** The same with what lies below a limit as none of it, or as the whole limit. */
    Evidence belowLimits(boolean whole) {
        return new Evidence(
                plan,
                EitherWay.read(asRead, whole),
                chosen ? OptionalInt.of(look) : OptionalInt.empty(),
                likelihoods,
                later);
    }

    public Plan plan() {
        return plan;
    }

    public TrialRecord record() {
        return record;
    }

    /** The look that was chosen, else the last at which anything is judged; 0 before any reading. */
    public int look() {
        return look;
    }

    /** The last look of which anything is taken: the chosen one, else the last of all. */
    public int reach() {
        return chosen
                ? look
                : record.looks().stream().mapToInt(Look::number).max().orElse(0);
    }

    /** By what causes of injury are judged. */
    public Likelihoods likelihoods() {
        return likelihoods;
    }

    /** Signs that later trials showed of a lot. */
    public List<Seen> later(String lot) {
        return later.getOrDefault(lot, List.of());
    }

    /** Looks that have a reading, in order of time. */
    public List<Look> begun() {
        return record.looks().stream()
                .filter(one -> read.getOrDefault(one.number(), Map.of()).values().stream()
                        .anyMatch(units -> !units.isEmpty()))
                .toList();
    }

    /** Looks up to the one it is judged at, at which something was read, in order of time. */
    public List<Look> looksOf(EndpointCode endpoint) {
        int last = lookOf(endpoint).map(Look::number).orElse(0);
        return looksRead(endpoint).stream().filter(one -> one.number() <= last).toList();
    }

    /** Looks up to the chosen one at which an endpoint was read, in order of time. */
    public List<Look> looksRead(EndpointCode endpoint) {
        return record.looks().stream()
                .filter(one -> (!chosen || one.number() <= look)
                        && !units(endpoint, one).isEmpty())
                .toList();
    }

    private Set<UnitCode> units(EndpointCode endpoint, Look at) {
        return read.getOrDefault(at.number(), Map.of()).getOrDefault(endpoint, Set.of());
    }

    /**
     * The look at which an endpoint is judged: the last up to the chosen one at which it was read. Where none was chosen, a
     * look that is still being made does not take the place of one that was: it counts once half its units are read.
     */
    public Optional<Look> lookOf(EndpointCode endpoint) {
        List<Look> looks = looksRead(endpoint);
        Optional<Look> newest = looks.stream().reduce((a, b) -> b);
        return chosen || worked(endpoint)
                ? newest
                : looks.stream()
                        .filter(one -> 2L * units(endpoint, one).size() >= expected(endpoint, one))
                        .reduce((a, b) -> b)
                        .or(() -> newest);
    }

    /** Units that could have been read: they stand, and there is something of them to read. */
    private long expected(EndpointCode endpoint, Look at) {
        return record.units().stream()
                .filter(unit -> record.expected(unit.code(), at.number())
                        && record.possible(new ReadingRef(unit.code(), at.number(), endpoint)))
                .count();
    }

    /** What is told of a look later than the one judged at, that is still being made; empty when there is none. */
    public String underWay(EndpointCode endpoint) {
        Optional<Look> judged = lookOf(endpoint);
        return looksRead(endpoint).stream()
                .filter(one -> judged.isPresent() && one.number() > judged.get().number())
                .reduce((a, b) -> b)
                .map(one -> "At " + one.name() + ", " + units(endpoint, one).size() + " of " + expected(endpoint, one)
                        + " are read so far; it counts once half of them are.")
                .orElse("");
    }

    /** What is worked out of others is there where they are. */
    private boolean worked(EndpointCode endpoint) {
        return plan.asked().measure(endpoint).map(measure -> !measure.taken()).orElse(false);
    }

    /** Whether a look is the last of those planned for an endpoint: until then its answers are “so far”. */
    public boolean lastPlanned(EndpointCode endpoint, Look at) {
        return record.looks().stream()
                .filter(one -> one.endpoints().contains(endpoint))
                .reduce((a, b) -> b)
                .map(last -> at.number() >= last.number())
                .orElse(true);
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
