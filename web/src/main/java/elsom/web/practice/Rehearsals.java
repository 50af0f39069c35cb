package elsom.web.practice;

import elsom.core.plan.Plan;
import elsom.core.practice.Rehearsal;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Refusal;
import elsom.web.trial.Logbook;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Plans that are rehearsed: a copy of each as a practice bench, and what was supposed of it. */
@Component
class Rehearsals {
    /** Its last look lies so long back that nothing of it is still to come. */
    private static final Duration OVER = Duration.ofDays(2);

    private static final int SEEDS = 1_000_000;

    private final SecureRandom seeds = new SecureRandom();
    private final Rows rows;
    private final Plans plans;
    private final Trials trials;
    private final Logbook logbook;
    private final Clock clock;

    Rehearsals(Rows rows, Plans plans, Trials trials, Logbook logbook, Clock clock) {
        this.rows = rows;
        this.plans = plans;
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** A rehearsal as it is stored; {@code planned} is the trial whose plan it is of. */
    record Row(TrialId trialId, TrialId planned, String endpoint, double truth, double cv, long seed) {
        Rehearsal.Supposed supposed() {
            return new Rehearsal.Supposed(new EndpointCode(endpoint), truth, cv);
        }
    }

    /** The rehearsals as they are stored. */
    @Mapper
    interface Rows {
        @Insert("""
                insert into rehearsal (trial_id, planned, endpoint, truth, cv, seed)
                values (#{id}, #{planned}, #{s.endpoint}, #{s.truth}, #{s.cv}, #{seed})""")
        void keep(
                @Param("id") TrialId id,
                @Param("planned") TrialId planned,
                @Param("s") Rehearsal.Supposed supposed,
                @Param("seed") long seed);

        @Update("update trial set practice = true where id = #{id}")
        void mark(TrialId id);

        @Select("select trial_id, planned, endpoint, truth, cv, seed from rehearsal where trial_id = #{id}")
        Optional<Row> find(TrialId id);
    }

    Optional<Row> find(TrialId id) {
        return rows.find(id);
    }

    /**
     * Draws a plan as a practice bench and starts it, once for its token.
     *
     * @param replicates units of each treatment; empty for as many as the plan has
     * @throws Refusal if the plan can't be started, saying why
     */
    @Transactional
    TrialId begin(TrialId planned, OptionalInt replicates, Rehearsal.Supposed supposed, UUID token) {
        Plan plan = plans.plan(planned);
        if (plan.asked().measure(supposed.endpoint()).isEmpty()) {
            throw new Refusal("The plan does not measure “" + supposed.endpoint() + "”.");
        }
        if (plan.treatments().size() < 2) {
            throw new Refusal("A rehearsal needs two treatments or more. Name them first.");
        }
        Duration length = plan.schedule().length();
        Instant first = clock.instant().minus(OVER).minus(length);
        Plan copy = plan.with(plan.schedule().beginningAt(first))
                // Drawn anew: the codes of a blind trial are not to be read off its rehearsal.
                .with(plan.arrangement()
                        .drawnFrom(seeds.nextInt(SEEDS))
                        .withReplicates(replicates.orElse(plan.arrangement().replicates())))
                .from(null);
        TrialId id = plans.begin(copy, token);
        if (rows.find(id).isEmpty()) {
            rows.keep(id, planned, supposed, copy.arrangement().seed());
            rows.mark(id);
            plans.start(id);
        }
        return id;
    }

    /** The bench of a rehearsal as it stands. */
    Rehearsal bench(Row row, TrialRecord record) {
        return new Rehearsal(record, plans.plan(row.trialId()), row.supposed(), row.seed());
    }

    /** Runs up to the next look and reads it. */
    void runToNext(Row row) {
        TrialRecord record = trials.snapshot(row.trialId());
        Look look = BenchRun.next(record).orElseThrow(() -> new Refusal("Every look of this rehearsal has been read."));
        logbook.enterAll(
                row.trialId(),
                BenchRun.typed(
                        record,
                        look,
                        bench(row, record).read(look),
                        ref -> UUID.nameUUIDFromBytes(
                                ("rehearsal " + row.trialId() + "/" + ref).getBytes(StandardCharsets.UTF_8))));
    }
}
