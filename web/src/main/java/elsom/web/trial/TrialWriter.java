package elsom.web.trial;

import elsom.core.trial.Given;
import elsom.core.trial.Mishap;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Writes what a trial holds under its number, within the caller's transaction; readings in batches. */
@Repository
class TrialWriter {
    private static final int BATCH = 1000;
    private static final String INSERT = """
            insert into reading (trial_id, unit_code, look, endpoint, sub_reading, stored_value, typed_text, typed_unit,
                taken_at, recorded_at, station, instrument, supersedes, reason, entry_token, person)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""";

    private final TrialMapper trials;
    private final PlanMapper plans;
    private final LogbookMapper log;
    private final JdbcTemplate jdbc;

    TrialWriter(TrialMapper trials, PlanMapper plans, LogbookMapper log, JdbcTemplate jdbc) {
        this.trials = trials;
        this.plans = plans;
        this.log = log;
        this.jdbc = jdbc;
    }

    /** Everything but the trial's own row and its plan. */
    void write(TrialId id, WholeTrial whole) {
        TrialRecord record = whole.record();
        if (record.trial().started()) {
            drawn(id, record);
            jdbc.execute((Connection connection) -> {
                readings(connection, id, record.readings());
                return id;
            });
            record.mishaps().forEach(mishap -> mishap(id, mishap, UUID.randomUUID()));
            record.given().forEach(given -> given(id, given, UUID.randomUUID()));
            record.turns().forEach(turn -> log.turn(id, turn));
            record.scoredAgain().forEach(score -> log.scoreAgain(id, score));
            record.beside().skips().forEach(skip -> log.skip(id, skip));
        }
        whole.amendments().forEach(amendment -> plans.insert(id, Rows.AmendmentRow.of(amendment)));
    }

    /** Writes what was drawn from a plan. */
    void drawn(TrialId id, TrialRecord record) {
        record.containers().forEach(container -> trials.insertContainer(id, container));
        record.treatments().forEach(treatment -> treatment(id, treatment));
        record.benches().forEach(bench -> trials.insertBench(id, Rows.BenchRow.of(bench)));
        record.units().forEach(unit -> trials.insertUnit(id, Rows.UnitRow.of(unit)));
        for (int i = 0; i < record.endpoints().size(); i++) {
            trials.insertEndpoint(id, i + 1, record.endpoints().get(i));
        }
        record.looks().forEach(look -> trials.insertLook(id, Rows.LookRow.of(look)));
    }

    private void treatment(TrialId id, Treatment treatment) {
        trials.insertTreatment(id, treatment);
        treatment
                .properties()
                .forEach((property, value) ->
                        trials.insertProperty(id, new Rows.PropertyRow(treatment.number(), property, value)));
    }

    /** Writes a mishap with its units. */
    void mishap(TrialId trial, Mishap mishap, UUID token) {
        log.insertMishap(trial, mishap, token);
        mishap.units().forEach(unit -> log.insertMishapUnit(trial, mishap.number(), unit));
    }

    /** Writes an entry of water or feed with its units. */
    void given(TrialId trial, Given given, UUID token) {
        log.insertGiven(trial, given, token);
        given.millilitres().forEach((unit, ml) -> log.insertGivenUnit(trial, given.number(), unit, ml));
    }

    /** In order of entry under new numbers; a correction waits until what it supersedes has its own. */
    private static void readings(Connection connection, TrialId id, List<Reading> readings) throws SQLException {
        Map<ReadingId, Long> renumbered = new HashMap<>();
        List<ReadingId> waiting = new ArrayList<>();
        // Tokens that follow each other go to one place of their index.
        long file = UUID.randomUUID().getMostSignificantBits();
        long row = 0;
        try (PreparedStatement insert = connection.prepareStatement(INSERT, Statement.RETURN_GENERATED_KEYS)) {
            for (Reading reading : readings) {
                ReadingId supersedes = reading.supersedes();
                if (waiting.size() == BATCH || (supersedes != null && !renumbered.containsKey(supersedes))) {
                    flush(insert, waiting, renumbered);
                }
                fill(
                        insert,
                        id,
                        reading,
                        supersedes == null ? null : renumbered.get(supersedes),
                        new UUID(file, row++));
                insert.addBatch();
                waiting.add(reading.id());
            }
            flush(insert, waiting, renumbered);
        }
    }

    private static void flush(PreparedStatement insert, List<ReadingId> waiting, Map<ReadingId, Long> renumbered)
            throws SQLException {
        if (waiting.isEmpty()) {
            return;
        }
        insert.executeBatch();
        try (ResultSet keys = insert.getGeneratedKeys()) {
            for (ReadingId old : waiting) {
                keys.next();
                renumbered.put(old, keys.getLong("id"));
            }
        }
        waiting.clear();
    }

    private static void fill(PreparedStatement insert, TrialId id, Reading r, @Nullable Long supersedes, UUID token)
            throws SQLException {
        insert.setLong(1, id.value());
        insert.setString(2, r.ref().unit().value());
        insert.setInt(3, r.ref().look());
        insert.setString(4, r.ref().endpoint().value());
        insert.setInt(5, r.ref().subReading());
        insert.setObject(6, r.value());
        insert.setString(7, r.typedText());
        insert.setString(8, r.typedUnit().name());
        insert.setObject(9, r.takenAt().atOffset(ZoneOffset.UTC));
        insert.setObject(10, r.recordedAt().atOffset(ZoneOffset.UTC));
        insert.setString(11, r.station());
        insert.setString(12, r.instrument().name());
        insert.setObject(13, supersedes);
        var reason = r.reason();
        insert.setString(14, reason == null ? null : reason.name());
        insert.setObject(15, token);
        insert.setString(16, r.person());
    }
}
