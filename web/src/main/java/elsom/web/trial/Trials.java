package elsom.web.trial;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Beside;
import elsom.core.trial.Chore;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Given;
import elsom.core.trial.Mishap;
import elsom.core.trial.Reading;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Skip;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import elsom.web.lots.Lots;
import elsom.web.platform.Acting;
import elsom.web.platform.NotFound;
import java.time.Clock;
import java.time.DateTimeException;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.mybatis.spring.MyBatisSystemException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * All trials. A snapshot is kept, as pages are looked at far oftener than written to, and carried forward by what was
 * added: a reading costs the same in a trial of a hundred or of a hundred thousand.
 */
@Repository
public class Trials {
    /** About what a reading takes in a snapshot. */
    private static final int BYTES_A_READING = 500;

    private static final int TRIES = 3;

    private final TrialMapper trials;
    private final PlanMapper plans;
    private final LogbookMapper log;
    private final TrialWriter writer;
    private final Quarantines quarantines;
    private final Lots lots;
    private final Clock clock;
    private final Cache<TrialId, Snapshot> snapshots = Caffeine.newBuilder()
            .maximumWeight(Runtime.getRuntime().maxMemory() / 4 / BYTES_A_READING)
            .weigher((TrialId id, Snapshot kept) -> kept.weight())
            .build();

    /** Of blind trials, what is shown of each snapshot, so that what is worked out from it can be kept too. */
    private final Map<TrialRecord, TrialRecord> hidden = Collections.synchronizedMap(new WeakHashMap<>());

    private record Snapshot(TrialMapper.Revisions revisions, TrialRecord record) {
        private static final int LEAST = 40;

        /** In readings. */
        int weight() {
            return LEAST + record.units().size() + record.readings().size();
        }

        long lastReading() {
            List<Reading> readings = record.readings();
            return readings.isEmpty()
                    ? 0
                    : readings.get(readings.size() - 1).id().value();
        }
    }

    Trials(
            TrialMapper trials,
            PlanMapper plans,
            LogbookMapper log,
            TrialWriter writer,
            Quarantines quarantines,
            Lots lots,
            Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.log = log;
        this.writer = writer;
        this.quarantines = quarantines;
        this.lots = lots;
        this.clock = clock;
    }

    static NotFound unknown(TrialId id) {
        return new NotFound("There is no trial " + id + " here.", "/trials", "All trials");
    }

    /**
     * The trial as it may be shown: while it is blind, codes only.
     *
     * @throws NotFound if there is none
     * @throws Unreadable if something in it can't be
     */
    @Transactional(readOnly = true)
    public TrialRecord snapshot(TrialId id) {
        TrialRecord record = key(id);
        return record.trial().blind() && record.trial().started()
                ? hidden.computeIfAbsent(record, TrialRecord::codesOnly)
                : record;
    }

    /**
     * The trial with what every unit got, blind or not: for its own machinery, never for a page.
     *
     * @throws NotFound if there is none
     * @throws Unreadable if something in it can't be
     */
    @Transactional(readOnly = true)
    public TrialRecord key(TrialId id) {
        TrialMapper.Revisions now = trials.revisions(id).orElseThrow(() -> unknown(id));
        Snapshot kept = snapshots.getIfPresent(id);
        if (kept != null && kept.revisions().equals(now)) {
            return kept.record();
        }
        TrialRecord record =
                kept != null && kept.revisions().planRevision() == now.planRevision() ? carried(kept) : settled(id);
        // What a transaction sees that still writes may never come to be.
        if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            snapshots.put(id, new Snapshot(now, record));
        }
        return record;
    }

    /** A snapshot with what was entered since. */
    private TrialRecord carried(Snapshot kept) {
        TrialId id = kept.record().trial().id();
        List<Reading> entered = log.readingsAfter(id, kept.lastReading()).stream()
                .map(Rows.ReadingRow::reading)
                .toList();
        return kept.record()
                .plus(entered)
                .withMishaps(mishaps(id))
                .with(beside(id, kept.record().chores()));
    }

    /** Reads a trial while others may be writing it: what does not fit together is read again if it changed meanwhile. */
    private TrialRecord settled(TrialId id) {
        for (int attempt = 1; ; attempt++) {
            Optional<TrialMapper.Revisions> before = trials.revisions(id);
            try {
                return read(id);
            } catch (Unreadable unreadable) {
                if (attempt == TRIES || trials.revisions(id).equals(before)) {
                    throw unreadable;
                }
            }
        }
    }

    /** The trial as it may be shown; empty if there is none. */
    @Transactional(readOnly = true)
    public Optional<TrialRecord> find(TrialId id) {
        return trials.revisions(id).isPresent() ? Optional.of(snapshot(id)) : Optional.empty();
    }

    /** Whether there is no trial at all. */
    @Transactional(readOnly = true)
    public boolean none() {
        return trials.count() == 0;
    }

    /**
     * The trial with its key as this transaction sees it, past the kept snapshots: for what is about to change it.
     *
     * @throws Unreadable if something in it can't be
     */
    TrialRecord read(TrialId id) {
        try {
            TrialRecord record = assembled(id);
            if (Protocols.find(record.trial().protocol()).isEmpty()) {
                throw new IllegalArgumentException("this Elsom knows no trials of the kind "
                        + record.trial().protocol());
            }
            return record;
        } catch (IllegalArgumentException | DateTimeException | ArithmeticException damaged) {
            throw new Unreadable(id, String.valueOf(damaged.getMessage()));
        } catch (MyBatisSystemException | DataIntegrityViolationException damaged) {
            throw new Unreadable(
                    id, String.valueOf(damaged.getMostSpecificCause().getMessage()));
        }
    }

    private TrialRecord assembled(TrialId id) {
        Trial trial = trials.trial(id).orElseThrow(() -> unknown(id));
        Optional<Plan> plan = plans.document(id).map(PlanJson::read);
        if (!trial.started()) {
            return plan.orElseThrow(() -> new IllegalArgumentException("its plan is missing"))
                    .sketch(id);
        }
        Map<Integer, Map<TreatmentProperty, Double>> properties = new HashMap<>();
        trials.properties(id)
                .forEach(row -> properties
                        .computeIfAbsent(row.treatment(), number -> new EnumMap<>(TreatmentProperty.class))
                        .put(row.property(), row.value()));
        List<Treatment> treatments = trials.treatments(id).stream()
                .map(row -> row.with(properties.getOrDefault(row.number(), Map.of())))
                .toList();
        // One object for each code: a hundred thousand readings name few units and endpoints.
        Map<UnitCode, UnitCode> codes = new HashMap<>();
        Map<EndpointCode, EndpointCode> endpoints = new HashMap<>();
        List<Reading> readings = log.readings(id).stream()
                .map(row -> row.reading(
                        code -> codes.computeIfAbsent(code, same -> same),
                        code -> endpoints.computeIfAbsent(code, same -> same)))
                .toList();
        return TrialRecord.of(
                        trial,
                        treatments,
                        trials.containers(id),
                        trials.benches(id).stream().map(Rows.BenchRow::bench).toList(),
                        trials.units(id).stream().map(Rows.UnitRow::unit).toList(),
                        trials.endpoints(id),
                        trials.looks(id).stream().map(Rows.LookRow::look).toList(),
                        readings,
                        mishaps(id))
                .with(beside(id, plan.map(Plan::chores).orElse(List.of())));
    }

    private Beside beside(TrialId id, List<Chore> chores) {
        return new Beside(chores, given(id), again(id), turns(id), skips(id));
    }

    private List<Turn> turns(TrialId id) {
        return log.turns(id).stream().map(Rows.TurnRow::of).toList();
    }

    private List<Skip> skips(TrialId id) {
        return log.skips(id).stream().map(Rows.SkipRow::of).toList();
    }

    private List<SecondScore> again(TrialId id) {
        return log.scoredAgain(id).stream().map(Rows.SecondScoreRow::of).toList();
    }

    private List<Given> given(TrialId id) {
        List<Rows.GivenRow> rows = log.given(id);
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<Integer, Map<UnitCode, Double>> amounts = new HashMap<>();
        log.givenUnits(id)
                .forEach(row -> amounts.computeIfAbsent(row.given(), none -> new LinkedHashMap<>())
                        .put(row.unitCode(), row.millilitres()));
        return rows.stream()
                .map(row -> row.of(amounts.getOrDefault(row.number(), Map.of())))
                .toList();
    }

    private List<Mishap> mishaps(TrialId id) {
        List<Rows.MishapRow> rows = log.mishaps(id);
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<Integer, List<UnitCode>> touched = log.mishapUnits(id).stream()
                .collect(Collectors.groupingBy(
                        Rows.MishapUnitRow::mishap,
                        Collectors.mapping(Rows.MishapUnitRow::unitCode, Collectors.toList())));
        return rows.stream()
                .map(row -> row.of(touched.getOrDefault(row.number(), List.of())))
                .toList();
    }

    /**
     * Stores a trial with all it holds, under a new number.
     *
     * @param whole its id is not used
     * @param token made once for the form or file; a second call with it stores nothing
     * @return the trial's number, the first one's on a repeat
     */
    @Transactional
    public TrialId create(WholeTrial whole, UUID token) {
        Optional<TrialId> before = trials.byToken(token);
        if (before.isPresent()) {
            return before.get();
        }
        TrialMapper.NewKey key = new TrialMapper.NewKey();
        try {
            trials.insertTrial(whole.record().trial(), token, clock.instant(), key);
        } catch (DuplicateKeyException sentTwiceAtOnce) {
            return trials.byToken(token).orElseThrow(() -> sentTwiceAtOnce);
        }
        TrialId id = key.id();
        Acting.quietly(() -> {
            plans.keep(id, whole.plan());
            writer.write(id, whole);
            return id;
        });
        lots.learn(whole.lots());
        quarantines.learn(
                whole.quarantines().stream().map(one -> one.shownBy(id.value())).toList());
        return id;
    }

    /** Hides a trial from Today and the list, or shows it again. */
    @Transactional
    public void putAway(TrialId id, boolean away) {
        if (trials.putAway(id, away) == 0) {
            throw unknown(id);
        }
    }

    /** What a trial is called, even when it can't be read. */
    @Transactional(readOnly = true)
    public String question(TrialId id) {
        return trials.question(id).orElseThrow(() -> unknown(id));
    }

    /** Deletes a trial with all it holds, for good. */
    @Transactional
    public void delete(TrialId id) {
        if (trials.lock(id) == 0) {
            throw unknown(id);
        }
        Acting.quietly(() -> {
            trials.unlinkCorrections(id);
            TrialTables.ALL.forEach(table -> trials.deleteFrom(table, id));
            trials.deleteTrial(id);
            return id;
        });
        snapshots.invalidate(id);
    }

    /** Whether nobody is to know yet what every unit got, asked of the store: also of a trial that can't be read. */
    @Transactional(readOnly = true)
    public boolean sealed(TrialId id) {
        return trials.sealed(id);
    }

    /** The rows of one of a trial's tables as they are stored: column names to values. */
    @Transactional(readOnly = true)
    public List<Map<String, @Nullable Object>> stored(String table, TrialId id) {
        return trials.stored(TrialTables.named(table), id);
    }
}
