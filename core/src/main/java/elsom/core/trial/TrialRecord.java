package elsom.core.trial;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A trial with all that was recorded, as it stood at one instant. Immutable; lookups are indexed. */
public final class TrialRecord {
    /** What a treatment is called while the trial is blind. */
    public static final String HIDDEN = "hidden until unblinding";

    private final Trial trial;
    private final List<Treatment> treatments;
    private final List<Container> containers;
    private final List<Bench> benches;
    private final List<ExperimentalUnit> units;
    private final List<Endpoint> endpoints;
    private final List<Look> looks;
    private final List<Reading> readings;
    private final List<Mishap> mishaps;
    private final List<Progress> progress;
    private List<Chore> chores = List.of();
    private final Map<ReadingRef, Reading> current = new HashMap<>();
    private final Map<UnitCode, ExperimentalUnit> byCode = new LinkedHashMap<>();
    private final Map<ReadingRef, List<Reading>> histories = new HashMap<>();
    private final Map<EndpointCode, Endpoint> endpointsByCode = new HashMap<>();
    private final Map<String, Container> containersByName = new HashMap<>();

    private TrialRecord(
            Trial trial,
            List<Treatment> treatments,
            List<Container> containers,
            List<Bench> benches,
            List<ExperimentalUnit> units,
            List<Endpoint> endpoints,
            List<Look> looks,
            List<Reading> readings,
            List<Mishap> mishaps) {
        this.trial = trial;
        this.treatments = List.copyOf(treatments);
        this.containers = List.copyOf(containers);
        this.benches = List.copyOf(benches);
        this.units = List.copyOf(units);
        this.endpoints = List.copyOf(endpoints);
        this.looks = List.copyOf(looks);
        this.readings =
                readings.stream().sorted(Comparator.comparing(Reading::id)).toList();
        this.mishaps = List.copyOf(mishaps);
        units.forEach(unit -> byCode.put(unit.code(), unit));
        endpoints.forEach(endpoint -> endpointsByCode.put(endpoint.code(), endpoint));
        containers.forEach(container -> containersByName.put(container.name(), container));
        this.readings.forEach(reading -> {
            current.put(reading.ref(), reading);
            histories.computeIfAbsent(reading.ref(), ref -> new ArrayList<>()).add(reading);
        });
        current.values().removeIf(reading -> reading.value() == null);
        this.progress = this.looks.stream().map(this::counted).toList();
    }

    /**
     * A snapshot of these records.
     *
     * @throws IllegalArgumentException if a unit, look or reading names something the trial does not have
     */
    public static TrialRecord of(
            Trial trial,
            List<Treatment> treatments,
            List<Container> containers,
            List<Bench> benches,
            List<ExperimentalUnit> units,
            List<Endpoint> endpoints,
            List<Look> looks,
            List<Reading> readings,
            List<Mishap> mishaps) {
        TrialRecord made =
                new TrialRecord(trial, treatments, containers, benches, units, endpoints, looks, readings, mishaps);
        List<String> problems = made.problems();
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException(String.join("; ", problems));
        }
        return made;
    }

    /** This trial under another number or stage. */
    public TrialRecord with(Trial changed) {
        return copy(changed, treatments, units, chores);
    }

    /** This trial with what else is to be done in it. */
    public TrialRecord with(List<Chore> planned) {
        return copy(trial, treatments, units, planned);
    }

    /** This trial with its units on other places. */
    public TrialRecord standing(List<ExperimentalUnit> moved) {
        return copy(trial, treatments, moved, chores);
    }

    private TrialRecord copy(
            Trial ofTrial, List<Treatment> ofTreatments, List<ExperimentalUnit> ofUnits, List<Chore> planned) {
        TrialRecord copy = new TrialRecord(
                ofTrial, ofTreatments, containers, benches, ofUnits, endpoints, looks, readings, mishaps);
        copy.chores = List.copyOf(planned);
        return copy;
    }

    /**
     * What somebody may see who must not know which unit got what: every unit looks the same and belongs to one
     * treatment without a name. Everything else is as it is.
     */
    public TrialRecord codesOnly() {
        Treatment hidden = new Treatment(
                1, Treatment.codeFor(1), HIDDEN, "", "", ControlKind.NONE, Texture.PLAIN, Tint.SLATE, Map.of());
        List<ExperimentalUnit> plain = new ArrayList<>();
        for (ExperimentalUnit unit : units) {
            plain.add(unit.as(1, plain.size() + 1));
        }
        return copy(trial, List.of(hidden), plain, chores);
    }

    private List<String> problems() {
        List<String> problems = new ArrayList<>();
        Set<String> containerNames = containers.stream().map(Container::name).collect(Collectors.toSet());
        Set<EndpointCode> known = endpoints.stream().map(Endpoint::code).collect(Collectors.toSet());
        if (byCode.size() < units.size()) {
            problems.add("two units share a code");
        }
        Set<BenchPosition> taken = new HashSet<>();
        for (ExperimentalUnit unit : units) {
            BenchPosition at = unit.position();
            if (unit.treatment() > treatments.size()) {
                problems.add("unit " + unit.code() + " has no treatment " + unit.treatment());
            }
            if (!containerNames.contains(unit.container())) {
                problems.add("unit " + unit.code() + " has no container “" + unit.container() + "”");
            }
            if (at.bench() > benches.size()
                    || at.row() > benches.get(at.bench() - 1).rows()
                    || at.column() > benches.get(at.bench() - 1).columns()) {
                problems.add("unit " + unit.code() + " stands outside its bench");
            } else if (!taken.add(at)) {
                problems.add("unit " + unit.code() + " stands on another one");
            }
        }
        looks.stream()
                .filter(look -> !known.containsAll(look.endpoints()))
                .forEach(look -> problems.add("look " + look.number() + " measures an unknown endpoint"));
        readings.stream()
                .filter(reading -> !has(reading.ref()))
                .forEach(reading -> problems.add(
                        "reading " + reading.id() + " is of " + reading.ref() + ", which the trial does not have"));
        return problems;
    }

    /** Whether this trial plans such an observation. */
    public boolean has(ReadingRef ref) {
        return byCode.containsKey(ref.unit())
                && look(ref.look())
                        .map(look -> look.endpoints().contains(ref.endpoint()))
                        .orElse(false)
                && ref.subReading() >= 1
                && ref.subReading() <= endpoint(ref.endpoint()).readingsEach();
    }

    public Trial trial() {
        return trial;
    }

    public List<Treatment> treatments() {
        return treatments;
    }

    public List<Container> containers() {
        return containers;
    }

    public List<Bench> benches() {
        return benches;
    }

    /** All units in the order they were drawn. */
    public List<ExperimentalUnit> units() {
        return units;
    }

    public List<Endpoint> endpoints() {
        return endpoints;
    }

    public List<Look> looks() {
        return looks;
    }

    /** Every reading ever taken, superseded ones too, in order of entry. */
    public List<Reading> readings() {
        return readings;
    }

    public List<Mishap> mishaps() {
        return mishaps;
    }

    /** What is to be done besides looks, in order of time. */
    public List<Chore> chores() {
        return chores;
    }

    public Treatment treatment(int number) {
        return treatments.get(number - 1);
    }

    public Treatment treatment(ExperimentalUnit unit) {
        return treatment(unit.treatment());
    }

    public Bench bench(int number) {
        return benches.get(number - 1);
    }

    public Optional<ExperimentalUnit> unit(UnitCode code) {
        return Optional.ofNullable(byCode.get(code));
    }

    /** The unit whose code somebody typed, in capitals or not. */
    public Optional<ExperimentalUnit> called(String typed) {
        return units.stream()
                .filter(unit -> unit.code().value().equalsIgnoreCase(typed.strip()))
                .findFirst();
    }

    public Optional<Look> look(int number) {
        return number >= 1 && number <= looks.size() ? Optional.of(looks.get(number - 1)) : Optional.empty();
    }

    public Container container(ExperimentalUnit unit) {
        return Objects.requireNonNull(containersByName.get(unit.container()));
    }

    public Endpoint endpoint(EndpointCode code) {
        return Objects.requireNonNull(endpointsByCode.get(code));
    }

    /** The reading that stands for an observation; empty when there is none or it was taken back. */
    public Optional<Reading> current(ReadingRef ref) {
        return Optional.ofNullable(current.get(ref));
    }

    /** All readings of an observation, first to last, taken-back ones too. */
    public List<Reading> history(ReadingRef ref) {
        return Collections.unmodifiableList(histories.getOrDefault(ref, List.of()));
    }

    /** The last reading entered for an observation, even when it took the value back. */
    public Optional<Reading> latest(ReadingRef ref) {
        List<Reading> history = history(ref);
        return history.isEmpty() ? Optional.empty() : Optional.of(history.get(history.size() - 1));
    }

    /** The look from which a unit gives no more readings; empty while it stands. */
    public Optional<Mishap> ended(UnitCode unit) {
        return mishaps.stream()
                .filter(mishap -> mishap.stands()
                        && mishap.kind().endsUnit()
                        && mishap.units().contains(unit))
                .min(Comparator.comparing(Mishap::look));
    }

    /** Whether a unit should still be measured at a look. */
    public boolean expected(UnitCode unit, int look) {
        return ended(unit).map(mishap -> look < mishap.look()).orElse(true);
    }

    /** The mishaps that stand and touch a unit. */
    public List<Mishap> mishaps(UnitCode unit) {
        return mishaps.stream()
                .filter(mishap -> mishap.stands() && mishap.units().contains(unit))
                .toList();
    }

    /** How far a look has come. */
    public Progress progress(Look look) {
        return progress.get(look.number() - 1);
    }

    private Progress counted(Look look) {
        int expected = 0;
        int done = 0;
        for (ExperimentalUnit unit : units) {
            boolean all = look.endpoints().stream().allMatch(endpoint -> isRead(unit, look, endpoint));
            if (expected(unit.code(), look.number()) || all) {
                expected++;
                done += all ? 1 : 0;
            }
        }
        return new Progress(done, expected);
    }

    /** Whether all of a unit's readings of an endpoint were taken at a look. */
    private boolean isRead(ExperimentalUnit unit, Look look, EndpointCode endpoint) {
        return IntStream.rangeClosed(1, endpoint(endpoint).readingsEach())
                .allMatch(sub -> current.containsKey(new ReadingRef(unit.code(), look.number(), endpoint, sub)));
    }

    /** Units measured of units to measure. */
    public record Progress(int done, int expected) {
        public boolean complete() {
            return done == expected;
        }

        public boolean begun() {
            return done > 0;
        }
    }

    /** The first look with something left to do; empty when all are complete. */
    public Optional<Look> nextLook() {
        return looks.stream().filter(look -> !progress(look).complete()).findFirst();
    }

    /** Units in the order they are walked: bench by bench, along the shelf and back (a snake). */
    public List<ExperimentalUnit> benchOrder() {
        List<ExperimentalUnit> walk = new ArrayList<>();
        for (Bench bench : benches) {
            for (int row = 1; row <= bench.rows(); row++) {
                int current = row;
                List<ExperimentalUnit> line = new ArrayList<>(units.stream()
                        .filter(unit -> unit.position().bench() == bench.number()
                                && unit.position().row() == current)
                        .sorted(Comparator.comparing(
                                (ExperimentalUnit unit) -> unit.position().column()))
                        .toList());
                if (row % 2 == 0) {
                    Collections.reverse(line);
                }
                walk.addAll(line);
            }
        }
        return walk;
    }
}
