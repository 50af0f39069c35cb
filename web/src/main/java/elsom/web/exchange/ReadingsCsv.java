package elsom.web.exchange;

import elsom.core.read.Typed;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.LookTiming;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SymptomCheck;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.trial.NewReading;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** The readings that stand, as CSV out and in; docs/files.md describes the columns. */
final class ReadingsCsv {
    private static final List<String> COLUMNS = List.of(
            "unit",
            "treatment",
            "look",
            "look_name",
            "endpoint",
            "sub_reading",
            "value",
            "value_unit",
            "typed",
            "taken_at",
            "station",
            "instrument",
            "person");
    private static final List<String> REQUIRED = List.of("unit", "look", "endpoint", "value");
    private static final int LONGEST_STATION = 30;

    /** A change smaller than this is none: files lose the last binary digits. */
    private static final double SAME = 1e-9;

    /** Clocks of two machines differ by a little. */
    private static final Duration CLOCKS = Duration.ofMinutes(30);

    private ReadingsCsv() {}

    static void write(TrialRecord record, OutputStream out) {
        CsvText.write(
                out,
                COLUMNS,
                record.readings().stream()
                        .filter(reading -> record.current(reading.ref())
                                .map(reading::equals)
                                .orElse(false))
                        .map(reading -> row(record, reading)));
    }

    private static List<?> row(TrialRecord record, Reading reading) {
        ReadingRef ref = reading.ref();
        return List.of(
                ref.unit(),
                record.treatment(record.unit(ref.unit()).orElseThrow()).name(),
                ref.look(),
                record.look(ref.look()).orElseThrow().name(),
                ref.endpoint(),
                ref.subReading(),
                Objects.requireNonNull(reading.value()),
                record.endpoint(ref.endpoint()).unit().symbol(),
                reading.typedText(),
                reading.takenAt(),
                reading.station(),
                reading.instrument(),
                reading.person());
    }

    /**
     * What a file asks for.
     *
     * @param entries readings that are new or differ from what stands
     * @param added how many of them are new
     * @param unchanged rows that say what stands already
     */
    record Incoming(List<NewReading> entries, int added, int unchanged) {
        int corrected() {
            return entries.size() - added;
        }
    }

    /** Reads a file against a trial; problems are added to the list. */
    static Incoming read(TrialRecord record, InputStream bytes, String station, Instant now, List<BadRow> problems) {
        CsvTable table = CsvTable.of("", bytes, REQUIRED, problems);
        Set<ReadingRef> seen = new HashSet<>();
        List<Optional<NewReading>> rows = table.map(row -> entry(record, row, station, now, seen));
        if (problems.isEmpty() && rows.isEmpty()) {
            problems.add(new BadRow("", 0, "The file has no rows below its header."));
        }
        List<NewReading> entries = new ArrayList<>();
        rows.forEach(row -> row.ifPresent(entries::add));
        int added =
                (int) entries.stream().filter(entry -> entry.replaces() == null).count();
        return new Incoming(entries, added, rows.size() - entries.size());
    }

    /** Empty when the row says what stands already. */
    private static Optional<NewReading> entry(
            TrialRecord record, CsvTable.Row row, String station, Instant now, Set<ReadingRef> seen) {
        ReadingRef ref = ref(record, row);
        if (!seen.add(ref)) {
            throw row.refuse(ref.unit() + " is there twice for look " + ref.look());
        }
        Endpoint endpoint = record.endpoint(ref.endpoint());
        Typed.Understood value = value(row, endpoint);
        Optional<Reading> standing = record.current(ref);
        if (standing.map(reading -> same(reading, value)
                        && (!endpoint.keepsText()
                                || typed(row, endpoint)
                                        .map(reading.typedText()::equals)
                                        .orElse(true)))
                .orElse(false)) {
            return Optional.empty();
        }
        SymptomCheck.problem(record, ref, typed(row, endpoint).orElse(value.text()), () -> true)
                .ifPresent(problem -> {
                    throw row.refuse("typed: " + problem);
                });
        Look look = record.look(ref.look()).orElseThrow();
        Instant planned = standing.map(Reading::takenAt).orElseGet(() -> LookTiming.AS_PLANNED.at(record, look, now));
        Instant taken = row.optional("taken_at").isPresent() ? row.instant("taken_at") : planned;
        if (row.optional("taken_at").isPresent() && taken.isAfter(now.plus(CLOCKS))) {
            throw row.refuse("taken_at: " + row.text("taken_at")
                    + " is still to come, and no reading is. Accepted: a time up" + " to now, or nothing");
        }
        return Optional.of(new NewReading(
                ref,
                value.stored().value(),
                typed(row, endpoint).orElse(value.text()),
                value.typed().unit(),
                taken,
                now,
                row.optional("station")
                        .filter(name -> name.length() <= LONGEST_STATION)
                        .orElse(station),
                Instrument.FILE,
                standing.map(Reading::id).orElse(null),
                standing.isPresent() ? CorrectionReason.FILE : null,
                UUID.randomUUID()));
    }

    /** What was typed, where it says more than the value: a score's symptoms must be ones that are known. */
    private static Optional<String> typed(CsvTable.Row row, Endpoint endpoint) {
        Optional<String> typed = row.optional("typed").filter(text -> text.length() <= Reading.LONGEST_TEXT);
        if (endpoint.takesSymptoms()
                && typed.isPresent()
                && endpoint.typed(typed.get()) instanceof Typed.Refused refused) {
            throw row.refuse("typed: " + refused.message());
        }
        return typed;
    }

    private static boolean same(Reading reading, Typed.Understood value) {
        double standing = Objects.requireNonNull(reading.value());
        return Math.abs(standing - value.stored().value()) <= SAME * Math.max(1, Math.abs(standing));
    }

    private static ReadingRef ref(TrialRecord record, CsvTable.Row row) {
        int sub = row.optional("sub_reading").isPresent() ? row.whole("sub_reading") : 1;
        ReadingRef ref = new ReadingRef(
                new UnitCode(row.text("unit").toUpperCase(Locale.ROOT)),
                row.whole("look"),
                new EndpointCode(row.text("endpoint")),
                sub);
        if (record.unit(ref.unit()).isEmpty()) {
            throw row.refuse("unit: this trial has no " + ref.unit());
        }
        if (record.look(ref.look()).isEmpty()) {
            throw row.refuse("look: must be 1 to " + record.looks().size() + ", got " + ref.look());
        }
        if (!record.has(ref)) {
            throw row.refuse("endpoint: “" + ref.endpoint() + "” is not measured at look " + ref.look()
                    + (sub == 1 ? "" : " as sub-reading " + sub) + "; accepted: "
                    + String.join(
                            ", ",
                            record.look(ref.look()).orElseThrow().endpoints().stream()
                                    .map(EndpointCode::value)
                                    .toList()));
        }
        return ref;
    }

    private static Typed.Understood value(CsvTable.Row row, Endpoint endpoint) {
        String unit = row.optional("value_unit").orElse("");
        boolean own = unit.isEmpty() || unit.equalsIgnoreCase(endpoint.unit().symbol());
        String text = own && endpoint.takesSymptoms() ? row.text("value") : (row.text("value") + " " + unit).strip();
        Typed typed = endpoint.typed(text);
        if (typed instanceof Typed.Refused refused) {
            throw row.refuse("value: " + refused.message());
        }
        return (Typed.Understood) typed;
    }
}
