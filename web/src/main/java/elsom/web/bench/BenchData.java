package elsom.web.bench;

import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.seedling.InjuryScore;
import elsom.core.sim.HandMeter;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnderLimit;
import elsom.core.trial.UnitCode;
import elsom.core.trial.Walk;
import elsom.web.kit.Places;
import elsom.web.kit.Times;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What the bench's script knows: the observations of one look in the order they are walked.
 *
 * @param seen the number of the last reading that is known here
 */
record BenchData(long trial, int look, String lookName, String timing, String start, long seen, List<Task> tasks) {
    private static final int MOST_EARLIER = 2;

    /**
     * One observation to make.
     *
     * @param key unit, endpoint and sub-reading in one
     * @param lost the number of the mishap that ended the unit; 0 while it stands
     * @param possible whether there is something to read: false for the roots of none rooted
     * @param words whether it is written in words
     * @param plant whose drawing symptoms are picked on; empty where none are
     * @param meter the instrument held to the unit that reads it; empty where none does
     * @param among how many were set up, for a count; 0 for the rest
     * @param before what was last read at earlier looks
     */
    record Task(
            String key,
            String code,
            int treatment,
            String treatmentName,
            String place,
            String endpoint,
            String endpointName,
            int sub,
            String symbol,
            int lost,
            boolean possible,
            boolean words,
            String plant,
            String meter,
            int among,
            @Nullable Current current,
            List<Earlier> before,
            List<Correction> history) {
        /** Whether it is still to be read. */
        boolean open() {
            return current == null && lost == 0 && possible;
        }
    }

    /** The reading that stands. */
    record Current(long id, String text, String value) {}

    /** What was read at an earlier look: "injury 1 point". */
    record Earlier(String look, String text) {}

    /** A reading of the same observation, standing or superseded. */
    record Correction(String text, String when, String station, String reason, boolean stands) {}

    /**
     * The observations of a look.
     *
     * @param unit where to start; empty for the first along the walk that lacks a reading
     */
    static BenchData of(TrialRecord record, Look look, String timing, Optional<UnitCode> unit) {
        List<Task> tasks = new ArrayList<>();
        Walk.units(record, look).forEach(one -> tasks.addAll(tasks(record, one, look)));
        List<Task> here = unit.map(code -> tasks.stream()
                        .filter(task -> task.code().equals(code.value()))
                        .toList())
                .orElse(tasks);
        Task start = here.stream().filter(Task::open).findFirst().orElse(here.get(0));
        return new BenchData(
                record.trial().id().value(), look.number(), look.name(), timing, start.key(), lastOf(record), tasks);
    }

    /** The number of the last reading. */
    static long lastOf(TrialRecord record) {
        return record.readings().stream()
                .mapToLong(reading -> reading.id().value())
                .max()
                .orElse(0);
    }

    /** The observation at which the walk starts. */
    Task first() {
        return tasks.stream()
                .filter(task -> task.key().equals(start))
                .findFirst()
                .orElseThrow();
    }

    /** What is read of one unit at a look. */
    private static List<Task> tasks(TrialRecord record, ExperimentalUnit unit, Look look) {
        List<Task> tasks = new ArrayList<>();
        for (EndpointCode code : Walk.byHand(record, look)) {
            Endpoint endpoint = record.endpoint(code);
            IntStream.rangeClosed(1, endpoint.readingsEach())
                    .forEach(sub -> tasks.add(task(record, unit, look, endpoint, sub)));
        }
        return tasks;
    }

    /** Keys of what can't be read of a reading's unit at its look. */
    static List<String> nothing(TrialRecord record, ReadingRef ref) {
        ExperimentalUnit unit = record.unit(ref.unit()).orElseThrow();
        return tasks(record, unit, record.look(ref.look()).orElseThrow()).stream()
                .filter(task -> !task.possible())
                .map(Task::key)
                .toList();
    }

    static String key(ReadingRef ref) {
        return ref.unit() + "/" + ref.endpoint() + "/" + ref.subReading();
    }

    private static Task task(TrialRecord record, ExperimentalUnit unit, Look look, Endpoint endpoint, int sub) {
        ReadingRef ref = new ReadingRef(unit.code(), look.number(), endpoint.code(), sub);
        return new Task(
                key(ref),
                unit.code().value(),
                unit.treatment(),
                record.treatment(unit).name(),
                Places.words(record, unit),
                endpoint.code().value(),
                endpoint.readingsEach() > 1 ? endpoint.name() + ", " + sub + " of " + endpoint.size() : endpoint.name(),
                sub,
                endpoint.unit().symbol(),
                record.expected(unit.code(), look.number())
                        ? 0
                        : record.ended(unit.code()).orElseThrow().number(),
                record.possible(ref),
                !endpoint.measured(),
                endpoint.takesSymptoms() ? plant(record, unit) : "",
                HandMeter.of(endpoint).map(HandMeter::label).orElse(""),
                endpoint.among(),
                record.current(ref).map(reading -> current(reading, endpoint)).orElse(null),
                hidesEarlier(record, endpoint) ? List.of() : before(record, ref),
                history(record, ref));
    }

    /** By the treatment's name; while that is hidden, a broadleaf stands for all. */
    private static String plant(TrialRecord record, ExperimentalUnit unit) {
        return IndicatorGroup.of(record.treatment(unit).name())
                .or(() -> IndicatorGroup.of(record.trial().question()))
                .orElse(IndicatorGroup.BROADLEAF)
                .name()
                .toLowerCase(Locale.ROOT);
    }

    static Current current(Reading reading, Endpoint endpoint) {
        double value = Objects.requireNonNull(reading.value());
        return new Current(
                reading.id().value(),
                reading.typedText(),
                UnderLimit.is(reading, endpoint)
                        ? UnderLimit.shown(reading, endpoint)
                        : !endpoint.measured()
                                ? reading.typedText()
                                : number(value, endpoint.decimals())
                                        + symbol(endpoint.unit(), value)
                                        + symptoms(reading.typedText(), endpoint));
    }

    /** Words behind a score, as they are taken. */
    static String symptoms(String typed, Endpoint endpoint) {
        return endpoint.takesSymptoms()
                ? InjuryScore.typed(typed)
                        .map(InjuryScore::words)
                        .filter(words -> !words.isEmpty())
                        .map(words -> ", " + words)
                        .orElse("")
                : "";
    }

    /** With the instrument's decimals, or one more where that would hide a digit. */
    private static String number(double value, int decimals) {
        String usual = Decimals.fixed(value, decimals);
        String finer = Decimals.upTo(value, decimals + 1);
        return finer.length() > usual.length() ? finer : usual;
    }

    private static String symbol(UnitOfMeasure unit, double value) {
        return unit.symbol().isEmpty() ? "" : " " + unit.symbol(value);
    }

    /** What was scored before would lead the next score of a blind trial. */
    private static boolean hidesEarlier(TrialRecord record, Endpoint endpoint) {
        return record.trial().blind() && endpoint.unit().dimension() == Dimension.SCORE;
    }

    /** The last values read before, the latest last. */
    private static List<Earlier> before(TrialRecord record, ReadingRef ref) {
        List<Earlier> earlier = new ArrayList<>();
        for (int number = ref.look() - 1; number >= 1 && earlier.size() < MOST_EARLIER; number--) {
            Look look = record.look(number).orElseThrow();
            List<EndpointCode> codes = look.endpoints();
            for (int i = codes.size() - 1; i >= 0 && earlier.size() < MOST_EARLIER; i--) {
                Endpoint endpoint = record.endpoint(codes.get(i));
                if (!hidesEarlier(record, endpoint)) {
                    record.current(new ReadingRef(ref.unit(), number, endpoint.code()))
                            .ifPresent(reading -> earlier.add(new Earlier(
                                    look.name(),
                                    Sentence.inside(endpoint.name()) + " "
                                            + current(reading, endpoint).value())));
                }
            }
        }
        Collections.reverse(earlier);
        return earlier;
    }

    /** All readings of an observation, the last first; nothing while there is only one. */
    static List<Correction> history(TrialRecord record, ReadingRef ref) {
        List<Reading> all = record.history(ref);
        if (all.size() < 2) {
            return List.of();
        }
        ZoneId zone = record.trial().zone();
        Endpoint endpoint = record.endpoint(ref.endpoint());
        List<Correction> shown = new ArrayList<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            Reading reading = all.get(i);
            String text = reading.value() == null
                    ? "taken back"
                    : current(reading, endpoint).value();
            var reason = reading.reason();
            shown.add(new Correction(
                    text,
                    Times.dayAndTime(reading.recordedAt(), zone),
                    reading.signed(),
                    reason == null ? "" : reason.label().toLowerCase(Locale.ROOT),
                    i == all.size() - 1));
        }
        return shown;
    }
}
