package elsom.web.trial;

import elsom.core.plan.Plan;
import elsom.core.trial.Mishap;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.platform.NotFound;
import java.time.Clock;
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
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** All trials. A snapshot is read once for each change and kept, as pages are looked at far oftener than written to. */
@Repository
public class Trials {
    private static final int KEPT_SNAPSHOTS = 40;

    private final TrialMapper trials;
    private final PlanMapper plans;
    private final LogbookMapper log;
    private final Logbook logbook;
    private final Clock clock;
    private final Map<TrialId, Snapshot> snapshots = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<TrialId, Snapshot> eldest) {
            return size() > KEPT_SNAPSHOTS;
        }
    });

    /** Of blind trials, what is shown of each snapshot, so that what is worked out from it can be kept too. */
    private final Map<TrialRecord, TrialRecord> hidden = Collections.synchronizedMap(new WeakHashMap<>());

    private record Snapshot(long revision, TrialRecord record) {}

    Trials(TrialMapper trials, PlanMapper plans, LogbookMapper log, Logbook logbook, Clock clock) {
        this.trials = trials;
        this.plans = plans;
        this.log = log;
        this.logbook = logbook;
        this.clock = clock;
    }

    static NotFound unknown(TrialId id) {
        return new NotFound("There is no trial " + id + " here.", "/trials", "All trials");
    }

    /**
     * The trial as it may be shown: while it is blind, codes only.
     *
     * @throws NotFound if there is none
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
     */
    @Transactional(readOnly = true)
    public TrialRecord key(TrialId id) {
        long revision = trials.revision(id).orElseThrow(() -> unknown(id));
        Snapshot kept = snapshots.get(id);
        if (kept != null && kept.revision() == revision) {
            return kept.record();
        }
        TrialRecord record = read(id);
        snapshots.put(id, new Snapshot(revision, record));
        return record;
    }

    /** The trial as it may be shown; empty if there is none. */
    @Transactional(readOnly = true)
    public Optional<TrialRecord> find(TrialId id) {
        return trials.revision(id).isPresent() ? Optional.of(snapshot(id)) : Optional.empty();
    }

    /** All trials, the latest start first. */
    @Transactional(readOnly = true)
    public List<TrialRecord> all() {
        return trials.ids().stream().map(this::snapshot).toList();
    }

    /** The trial with its key as this transaction sees it, past the kept snapshots: for what is about to change it. */
    TrialRecord read(TrialId id) {
        Trial trial = trials.trial(id).orElseThrow(() -> unknown(id));
        if (!trial.started()) {
            return plans.document(id)
                    .map(PlanJson::read)
                    .orElseThrow(() -> unknown(id))
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
        Map<Integer, List<UnitCode>> touched = log.mishapUnits(id).stream()
                .collect(Collectors.groupingBy(
                        Rows.MishapUnitRow::mishap,
                        Collectors.mapping(Rows.MishapUnitRow::unitCode, Collectors.toList())));
        List<Mishap> mishaps = log.mishaps(id).stream()
                .map(row -> row.of(touched.getOrDefault(row.number(), List.of())))
                .toList();
        return TrialRecord.of(
                        trial,
                        treatments,
                        trials.containers(id),
                        trials.benches(id).stream().map(Rows.BenchRow::bench).toList(),
                        trials.units(id).stream().map(Rows.UnitRow::unit).toList(),
                        trials.endpoints(id),
                        trials.looks(id).stream().map(Rows.LookRow::look).toList(),
                        log.readings(id).stream().map(Rows.ReadingRow::reading).toList(),
                        mishaps)
                .with(plans.document(id).map(PlanJson::read).map(Plan::chores).orElse(List.of()));
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
        TrialRecord record = whole.record();
        Optional<TrialId> before = trials.byToken(token);
        if (before.isPresent()) {
            return before.get();
        }
        TrialMapper.NewKey key = new TrialMapper.NewKey();
        trials.insertTrial(record.trial(), token, clock.instant(), key);
        TrialId id = key.id();
        plans.keep(id, PlanJson.write(whole.plan()));
        if (record.trial().started()) {
            insertDrawn(id, record);
            insertReadings(id, record.readings());
            record.mishaps().forEach(mishap -> logbook.insertMishap(id, mishap, UUID.randomUUID()));
        }
        whole.amendments().forEach(amendment -> plans.insert(id, Rows.AmendmentRow.of(amendment)));
        return id;
    }

    /** Writes what was drawn from a plan. */
    void insertDrawn(TrialId id, TrialRecord record) {
        record.containers().forEach(container -> trials.insertContainer(id, container));
        record.treatments().forEach(treatment -> insert(id, treatment));
        record.benches().forEach(bench -> trials.insertBench(id, Rows.BenchRow.of(bench)));
        record.units().forEach(unit -> trials.insertUnit(id, Rows.UnitRow.of(unit)));
        for (int i = 0; i < record.endpoints().size(); i++) {
            trials.insertEndpoint(id, i + 1, record.endpoints().get(i));
        }
        record.looks().forEach(look -> trials.insertLook(id, Rows.LookRow.of(look)));
    }

    private void insert(TrialId id, Treatment treatment) {
        trials.insertTreatment(id, treatment);
        treatment
                .properties()
                .forEach((property, value) ->
                        trials.insertProperty(id, new Rows.PropertyRow(treatment.number(), property, value)));
    }

    private void insertReadings(TrialId id, List<Reading> readings) {
        Map<ReadingId, ReadingId> renumbered = new HashMap<>();
        for (Reading reading : readings) {
            @Nullable ReadingId supersedes = reading.supersedes() == null ? null : renumbered.get(reading.supersedes());
            renumbered.put(reading.id(), logbook.copy(id, reading, supersedes));
        }
    }
}
