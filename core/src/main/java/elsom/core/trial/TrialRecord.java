package elsom.core.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * A trial with all that was recorded, as it stood at one instant. Immutable; lookups are indexed; a record with a reading
 * more shares all but the touched part with the one before.
 */
public final class TrialRecord {
    /** What a treatment is called while the trial is blind. */
    public static final String HIDDEN = "hidden until unblinding";

    private static final Comparator<ExperimentalUnit> ALONG_THE_SHELF_AND_BACK = Comparator.comparing(
                    (ExperimentalUnit unit) -> unit.position().bench())
            .thenComparing(unit -> unit.position().row())
            .thenComparing(unit -> unit.position().row() % 2 == 0
                    ? -unit.position().column()
                    : unit.position().column());

    private final Trial trial;
    private final Setup setup;
    private final ReadingLog log;
    private final List<Mishap> mishaps;
    private final Map<UnitCode, Mishap> endings;
    private final List<Progress> progress;
    private final Beside beside;

    /** Progress is counted when it is not given. */
    private TrialRecord(
            Trial trial, Setup setup, ReadingLog log, List<Mishap> mishaps, List<Progress> progress, Beside beside) {
        this.trial = trial;
        this.setup = setup;
        this.log = log;
        this.mishaps = List.copyOf(mishaps);
        this.endings = endings(mishaps);
        // What is skipped counts in the progress.
        this.beside = beside;
        this.progress =
                progress.isEmpty() ? setup.looks.stream().map(this::counted).toList() : List.copyOf(progress);
    }

    /**
     * A snapshot of these records.
     *
     * @throws IllegalArgumentException if a unit, look, reading or mishap names something the trial does not have, or a
     *     reading is one that its endpoint can't have
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
        Setup setup = new Setup(treatments, containers, benches, units, endpoints, looks);
        TrialRecord bare =
                new TrialRecord(trial, setup, ReadingLog.of(List.of()), List.of(), List.of(), Beside.NOTHING);
        List<String> problems = new ArrayList<>(setup.problems());
        if (trial.started() && units.isEmpty()) {
            problems.add("a trial that has started has no unit");
        }
        readings.forEach(reading -> bare.problem(reading).ifPresent(problems::add));
        mishaps.forEach(mishap -> bare.problem(mishap).ifPresent(problems::add));
        if (!problems.isEmpty()) {
            throw new IllegalArgumentException(Setup.shortened(problems));
        }
        return new TrialRecord(trial, setup, ReadingLog.of(readings), mishaps, List.of(), Beside.NOTHING);
    }

    private static Map<UnitCode, Mishap> endings(List<Mishap> mishaps) {
        Map<UnitCode, Mishap> endings = new HashMap<>();
        for (Mishap mishap : mishaps) {
            if (mishap.stands() && mishap.kind().endsUnit()) {
                mishap.units().forEach(unit -> endings.merge(unit, mishap, (a, b) -> b.look() < a.look() ? b : a));
            }
        }
        return endings;
    }

    /** This trial under another number or stage. */
    public TrialRecord with(Trial changed) {
        return new TrialRecord(changed, setup, log, mishaps, progress, beside);
    }

    /** This trial with what else is to be done in it. */
    public TrialRecord with(List<Chore> planned) {
        return new TrialRecord(trial, setup, log, mishaps, progress, beside.chores(planned));
    }

    /**
     * This trial with what is kept beside its readings, in all.
     *
     * @throws IllegalArgumentException if some of it is of something that the trial does not have
     */
    public TrialRecord with(Beside all) {
        if (all.equals(beside)) {
            return this;
        }
        all.problem(this).ifPresent(problem -> {
            throw new IllegalArgumentException(problem);
        });
        return new TrialRecord(
                trial, setup, log, mishaps, all.skips().equals(beside.skips()) ? progress : List.of(), all);
    }

    /** This trial with its units on other places. */
    public TrialRecord standing(List<ExperimentalUnit> moved) {
        return new TrialRecord(trial, setup.with(setup.treatments, moved), log, mishaps, progress, beside);
    }

    /**
     * This trial with readings entered after all that it holds.
     *
     * @param entered in order of entry
     * @throws IllegalArgumentException if the trial does not plan such an observation, or it can't have such a value
     */
    public TrialRecord plus(List<Reading> entered) {
        entered.forEach(reading -> problem(reading).ifPresent(problem -> {
            throw new IllegalArgumentException(problem);
        }));
        TrialRecord longer = new TrialRecord(trial, setup, log.plus(entered), mishaps, progress, beside);
        Set<Integer> touched = new HashSet<>();
        entered.forEach(reading -> touched.add(reading.ref().look()));
        return touched.isEmpty() ? this : longer.recounted(touched);
    }

    private TrialRecord recounted(Set<Integer> touched) {
        List<Progress> counts = new ArrayList<>(progress);
        touched.forEach(look -> counts.set(look - 1, counted(setup.looks.get(look - 1))));
        return new TrialRecord(trial, setup, log, mishaps, counts, beside);
    }

    /**
     * This trial with an endpoint that is worked out from others.
     *
     * @param values of units, by the number of the look
     */
    public TrialRecord with(Endpoint worked, List<Reading> values) {
        return new TrialRecord(trial, setup.with(worked, values), log.plus(values), mishaps, progress, beside);
    }

    /** This trial with its readings as something else makes of each. */
    public TrialRecord reread(UnaryOperator<Reading> as) {
        return new TrialRecord(
                trial, setup, ReadingLog.of(log.all().stream().map(as).toList()), mishaps, progress, beside);
    }

    /** This trial with what went wrong in it, in all. */
    public TrialRecord withMishaps(List<Mishap> all) {
        return all.equals(mishaps) ? this : new TrialRecord(trial, setup, log, all, List.of(), beside);
    }

    /**
     * What somebody may see who must not know which unit got what: every unit looks the same and belongs to one
     * treatment without a name. Everything else is as it is.
     */
    public TrialRecord codesOnly() {
        Treatment hidden = new Treatment(
                1, Treatment.codeFor(1), HIDDEN, "", "", ControlKind.NONE, Texture.PLAIN, Tint.SLATE, Map.of());
        List<ExperimentalUnit> plain = new ArrayList<>();
        for (ExperimentalUnit unit : setup.units) {
            plain.add(unit.as(1, plain.size() + 1));
        }
        return new TrialRecord(trial, setup.with(List.of(hidden), plain), log, mishaps, progress, beside);
    }

    /** What is wrong with a reading of this trial; empty when nothing is. */
    private Optional<String> problem(Reading reading) {
        if (!has(reading.ref())) {
            return Optional.of(
                    "reading " + reading.id() + " is of " + reading.ref() + ", which the trial does not have");
        }
        Endpoint endpoint = endpoint(reading.ref().endpoint());
        Double value = reading.value();
        return value == null || endpoint.allows(value)
                ? Optional.empty()
                : Optional.of("reading " + reading.id() + " of " + endpoint.name() + " must be " + endpoint.allowed()
                        + ", got " + value);
    }

    private Optional<String> problem(Mishap mishap) {
        boolean fits =
                look(mishap.look()).isPresent() && setup.unitsByCode.keySet().containsAll(mishap.units());
        return fits
                ? Optional.empty()
                : Optional.of("mishap " + mishap.number() + " is of a look or unit that the trial does not have");
    }

    /** Whether this trial plans such an observation. */
    public boolean has(ReadingRef ref) {
        return setup.unitsByCode.containsKey(ref.unit())
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
        return setup.treatments;
    }

    public List<Container> containers() {
        return setup.containers;
    }

    public List<Bench> benches() {
        return setup.benches;
    }

    /** All units in the order they were drawn. */
    public List<ExperimentalUnit> units() {
        return setup.units;
    }

    public List<Endpoint> endpoints() {
        return setup.endpoints;
    }

    public List<Look> looks() {
        return setup.looks;
    }

    /** Every reading ever taken, superseded ones too, in order of entry. */
    public List<Reading> readings() {
        return log.all();
    }

    public List<Mishap> mishaps() {
        return mishaps;
    }

    /** Times its units were moved on within their blocks, as written down, in order. */
    public List<Turn> turns() {
        return beside.turns();
    }

    /** Scores that another station made without seeing the first, in order of entry. */
    public List<SecondScore> scoredAgain() {
        return beside.again();
    }

    /** Water and feed that units were given, in order of entry, withdrawn entries too. */
    public List<Given> given() {
        return beside.given();
    }

    /** What is kept beside readings, in all. */
    public Beside beside() {
        return beside;
    }

    /** Why an endpoint is not read at a look; empty when it is. */
    public Optional<Skip> skipped(int look, EndpointCode endpoint) {
        return beside.skips().stream()
                .filter(skip -> skip.look() == look && skip.endpoint().equals(endpoint))
                .findFirst();
    }

    /** What is to be done besides looks, in order of time. */
    public List<Chore> chores() {
        return beside.chores();
    }

    public Treatment treatment(int number) {
        return setup.treatments.get(number - 1);
    }

    public Treatment treatment(ExperimentalUnit unit) {
        return treatment(unit.treatment());
    }

    public Bench bench(int number) {
        return setup.benches.get(number - 1);
    }

    public Optional<ExperimentalUnit> unit(UnitCode code) {
        return Optional.ofNullable(setup.unitsByCode.get(code));
    }

    /** The unit whose code somebody typed, in capitals or not. */
    public Optional<ExperimentalUnit> called(String typed) {
        return setup.units.stream()
                .filter(unit -> unit.code().value().equalsIgnoreCase(typed.strip()))
                .findFirst();
    }

    public Optional<Look> look(int number) {
        return number >= 1 && number <= setup.looks.size()
                ? Optional.of(setup.looks.get(number - 1))
                : Optional.empty();
    }

    public Container container(ExperimentalUnit unit) {
        return Objects.requireNonNull(setup.containersByName.get(unit.container()));
    }

    public Endpoint endpoint(EndpointCode code) {
        return Objects.requireNonNull(setup.endpointsByCode.get(code));
    }

    /** The reading that stands for an observation; empty when there is none or it was taken back. */
    public Optional<Reading> current(ReadingRef ref) {
        return latest(ref).filter(reading -> reading.value() != null);
    }

    /** All readings of an observation, first to last, taken-back ones too. */
    public List<Reading> history(ReadingRef ref) {
        return log.history(ref);
    }

    /** The last reading entered for an observation, even when it took the value back. */
    public Optional<Reading> latest(ReadingRef ref) {
        List<Reading> history = history(ref);
        return history.isEmpty() ? Optional.empty() : Optional.of(history.get(history.size() - 1));
    }

    /** The look from which a unit gives no more readings; empty while it stands. */
    public Optional<Mishap> ended(UnitCode unit) {
        return Optional.ofNullable(endings.get(unit));
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
        for (ExperimentalUnit unit : setup.units) {
            boolean all = isUnknown(unit, look)
                    || Walk.byHand(this, look).stream().allMatch(endpoint -> isRead(unit, look, endpoint));
            if (expected(unit.code(), look.number()) || all) {
                expected++;
                done += all ? 1 : 0;
            }
        }
        return new Progress(done, expected);
    }

    private boolean isUnknown(ExperimentalUnit unit, Look look) {
        return mishaps(unit.code()).stream()
                .anyMatch(mishap -> mishap.kind() == MishapKind.UNKNOWN && mishap.look() == look.number());
    }

    /** Whether all of a unit's readings of an endpoint were taken at a look, or there was nothing to take them of. */
    private boolean isRead(ExperimentalUnit unit, Look look, EndpointCode endpoint) {
        return IntStream.rangeClosed(1, endpoint(endpoint).readingsEach())
                .mapToObj(sub -> new ReadingRef(unit.code(), look.number(), endpoint, sub))
                .allMatch(ref -> current(ref).isPresent() || !possible(ref));
    }

    /**
     * Whether there is something to read: false when the count that the endpoint is read of fell short at that look, as no
     * root length can be read of none rooted, and only two of two germinated.
     */
    public boolean possible(ReadingRef ref) {
        EndpointCode counted = endpoint(ref.endpoint()).readOf();
        return counted == null
                || current(new ReadingRef(ref.unit(), ref.look(), counted, 1))
                        .map(Reading::value)
                        .map(count -> count >= ref.subReading())
                        .orElse(true);
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

    /** Whether anything that was read at a look stands, of any unit. */
    public boolean touched(Look look) {
        return readings().stream()
                .anyMatch(reading -> reading.ref().look() == look.number()
                        && current(reading.ref()).map(reading::equals).orElse(false));
    }

    /** The first look with something left to do; empty when all are complete. */
    public Optional<Look> nextLook() {
        return setup.looks.stream().filter(look -> !progress(look).complete()).findFirst();
    }

    /** Units in the order they are walked: bench by bench, along the shelf and back (a snake). */
    public List<ExperimentalUnit> benchOrder() {
        return setup.units.stream().sorted(ALONG_THE_SHELF_AND_BACK).toList();
    }
}
