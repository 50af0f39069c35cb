package elsom.core.plan;

import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Fills a drawn trial with readings for tests. */
public final class Measured {
    private TrialRecord record;

    private Measured(TrialRecord record) {
        this.record = record;
    }

    /** A plan's trial, started. */
    public static Measured started(Plan plan) {
        TrialRecord draft = plan.draw(new TrialId(1));
        return new Measured(draft.with(draft.trial().begun(false)));
    }

    /** A trial as it stands. */
    public static Measured of(TrialRecord record) {
        return new Measured(record);
    }

    public TrialRecord record() {
        return record;
    }

    public ExperimentalUnit unit(int treatment, int replicate) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment && unit.replicate() == replicate)
                .findFirst()
                .orElseThrow();
    }

    public Look lookFor(String endpoint) {
        return record.looks().stream()
                .filter(look -> look.endpoints().contains(new EndpointCode(endpoint)))
                .findFirst()
                .orElseThrow();
    }

    /** One value for each unit of a treatment, every sub-reading the same. */
    public Measured read(String endpoint, int treatment, double... values) {
        for (int i = 0; i < values.length; i++) {
            Endpoint code = record.endpoint(new EndpointCode(endpoint));
            int subs = code.readingsEach();
            double value = values[i];
            ExperimentalUnit unit = unit(treatment, i + 1);
            IntStream.rangeClosed(1, subs).forEach(sub -> add(unit, lookFor(endpoint), endpoint, sub, value));
        }
        return this;
    }

    public Measured add(ExperimentalUnit unit, Look look, String endpoint, int sub, double value) {
        return typed(unit, look, endpoint, sub, value, Double.toString(value));
    }

    /** A value as somebody wrote it. */
    public Measured typed(ExperimentalUnit unit, Look look, String endpoint, int sub, double value, String text) {
        ReadingRef ref = new ReadingRef(unit.code(), look.number(), new EndpointCode(endpoint), sub);
        ReadingId before = record.latest(ref).map(Reading::id).orElse(null);
        Instant at = look.plannedAt(record.trial().start());
        List<Reading> readings = new ArrayList<>(record.readings());
        readings.add(new Reading(
                new ReadingId(readings.size() + 1),
                ref,
                value,
                text,
                record.endpoint(ref.endpoint()).unit(),
                at,
                at,
                "Bench A",
                Instrument.HAND,
                before,
                before == null ? null : CorrectionReason.MISTYPED));
        return holding(readings, record.mishaps());
    }

    /** Loses a unit before a look. */
    public Measured lose(ExperimentalUnit unit, Look look) {
        return end(MishapKind.LOST, unit, look);
    }

    /** Ends a unit before a look. */
    public Measured end(MishapKind kind, ExperimentalUnit unit, Look look) {
        List<Mishap> mishaps = new ArrayList<>(record.mishaps());
        mishaps.add(new Mishap(
                mishaps.size() + 1,
                kind,
                "slug",
                List.of(unit.code()),
                look.number(),
                look.plannedAt(record.trial().start()),
                "Bench A",
                null));
        return holding(record.readings(), mishaps);
    }

    Measured holding(List<Reading> readings, List<Mishap> mishaps) {
        record = TrialRecord.of(
                record.trial(),
                record.treatments(),
                record.containers(),
                record.benches(),
                record.units(),
                record.endpoints(),
                record.looks(),
                readings,
                mishaps);
        return this;
    }
}
