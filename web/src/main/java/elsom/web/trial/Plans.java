package elsom.web.trial;

import elsom.core.mix.Quarantine;
import elsom.core.plan.Amendment;
import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanChanges;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlanRecovery;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.plan.Rules;
import elsom.core.plan.Stated;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.lots.Lots;
import elsom.web.platform.Acting;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Plans: freely changed until a trial starts, then only with a reason that is kept. */
@Repository
public class Plans {
    private static final int MOST_IN_CHAIN = 40;

    private final PlanMapper plans;
    private final TrialMapper mapper;
    private final Trials trials;
    private final TrialWriter writer;
    private final Quarantines quarantines;
    private final Lots lots;
    private final Clock clock;

    Plans(
            PlanMapper plans,
            TrialMapper mapper,
            Trials trials,
            TrialWriter writer,
            Quarantines quarantines,
            Lots lots,
            Clock clock) {
        this.plans = plans;
        this.mapper = mapper;
        this.trials = trials;
        this.writer = writer;
        this.quarantines = quarantines;
        this.lots = lots;
        this.clock = clock;
    }

    /** Begins a trial as a draft, once for its token. */
    @Transactional
    public TrialId begin(Plan plan, UUID token) {
        Plan known = knownAgain(plan);
        return trials.create(new WholeTrial(known.sketch(new TrialId(0)), known, List.of()), token);
    }

    /** A plan that says by its seed, too, which trial it came from, so that another store finds it. */
    private Plan knownAgain(Plan plan) {
        PlanOrigin origin = plan.origin();
        return origin == null || origin.seed() != null
                ? plan
                : trials.find(new TrialId(origin.trial()))
                        .map(before -> plan.from(origin.seeded(before.trial().seed())))
                        .orElse(plan);
    }

    /** The plan of a trial; of one drawn before plans were kept, what its records tell. */
    @Transactional(readOnly = true)
    public Plan plan(TrialId id) {
        return plans.document(id).map(json -> readable(id, json)).orElseGet(() -> {
            TrialRecord record = trials.read(id);
            return PlanRecovery.of(
                    record,
                    Protocols.find(record.trial().protocol())
                            .map(Protocol::measures)
                            .orElse(List.of()),
                    plans.rules(id).map(PlanMapper.RulesRow::rules).orElse(Rules.USUAL));
        });
    }

    private static Plan readable(TrialId id, String json) {
        try {
            return PlanJson.read(json);
        } catch (IllegalArgumentException damaged) {
            throw new Unreadable(id, "its plan: " + damaged.getMessage());
        }
    }

    @Transactional(readOnly = true)
    public List<Amendment> amendments(TrialId id) {
        return plans.amendments(id).stream().map(Rows.AmendmentRow::amendment).toList();
    }

    /** The earlier trial a plan was made from; empty when it has none, or when that trial is in another store. */
    @Transactional(readOnly = true)
    public Optional<TrialRecord> earlier(TrialId id) {
        PlanOrigin origin = plan(id).origin();
        if (origin == null) {
            return Optional.empty();
        }
        // Numbers tell nothing in a store the plan was sent to: there the trial is known by its question and its seed.
        Long seed = origin.seed();
        if (seed != null) {
            return plans.asked(origin.question(), seed, id).flatMap(number -> trials.find(new TrialId(number)));
        }
        return origin.trial() >= id.value()
                ? Optional.empty()
                : trials.find(new TrialId(origin.trial()))
                        .filter(record -> record.trial().question().equals(origin.question()));
    }

    /**
     * The trials that came from each other, this one among them: from the first on, each with all that were made from it.
     * Trials that can't be read are left out.
     */
    @Transactional(readOnly = true)
    public List<TrialId> chain(TrialId id) {
        TrialId first = id;
        Set<TrialId> passed = new HashSet<>(Set.of(id));
        for (Optional<TrialRecord> before = earlier(first);
                before.isPresent() && passed.add(before.get().trial().id());
                before = earlier(first)) {
            first = before.get().trial().id();
        }
        List<TrialId> chain = new ArrayList<>(List.of(first));
        for (int i = 0; i < chain.size() && chain.size() < MOST_IN_CHAIN; i++) {
            TrialId one = chain.get(i);
            plans.madeFrom(one).stream()
                    .map(TrialId::new)
                    .filter(later -> !chain.contains(later))
                    .filter(later -> earlier(later)
                            .map(before -> before.trial().id().equals(one))
                            .orElse(false))
                    .forEach(chain::add);
        }
        return chain;
    }

    /** A trial with all that belongs to it. */
    @Transactional(readOnly = true)
    public WholeTrial whole(TrialId id) {
        Plan plan = plan(id);
        return new WholeTrial(
                trials.key(id),
                plan,
                amendments(id),
                quarantines.all().stream()
                        .filter(one -> plan.treatments().all().stream()
                                .anyMatch(treatment -> Quarantine.holds(treatment.mix(), one.lot())))
                        .toList(),
                lots.in(plan.treatments().all().stream()
                        .map(PlannedTreatment::mix)
                        .toList()));
    }

    /** A plan with the number of the change it came from. */
    public record Kept(Plan plan, long revision) {}

    /** What became of a change. */
    public sealed interface Revised {
        /** It is in the store. */
        record Saved() implements Revised {}

        /** The change itself found something wrong; nothing was written. */
        record Withheld() implements Revised {}

        /** The plan was changed since it was shown; nothing was written. */
        record Stale(Kept now) implements Revised {}
    }

    /** A plan as a page shows it: a form sent back with this revision is known to be stale when it is. */
    @Transactional(readOnly = true)
    public Kept kept(TrialId id) {
        long revision =
                mapper.revisions(id).orElseThrow(() -> Trials.unknown(id)).planRevision();
        return new Kept(plan(id), revision);
    }

    /** Holds the trial's row until the transaction ends, so that a plan is changed by one at a time. */
    private long held(TrialId id) {
        return mapper.hold(id).orElseThrow(() -> Trials.unknown(id)).planRevision();
    }

    private Trial trial(TrialId id) {
        return mapper.trial(id).orElseThrow(() -> Trials.unknown(id));
    }

    private long heldDraft(TrialId id) {
        long revision = held(id);
        if (trial(id).started()) {
            throw new Refusal("This trial has started, so its design is frozen. Changes of dates, measuring rules and"
                    + " later questions are kept with a reason: see “Change the running plan”.");
        }
        return revision;
    }

    /**
     * Changes a draft, in one step with reading it.
     *
     * @param seen the revision the change was made for; null for whichever stands
     * @param change makes the changed plan from the one that stands; empty to write nothing
     */
    @Transactional
    public Revised revise(TrialId id, @Nullable Long seen, Function<Plan, Optional<Plan>> change) {
        long revision = heldDraft(id);
        if (seen != null && seen != revision) {
            return new Revised.Stale(new Kept(plan(id), revision));
        }
        Optional<Plan> changed = change.apply(plan(id));
        changed.ifPresent(plan -> keep(id, plan));
        return changed.isPresent() ? new Revised.Saved() : new Revised.Withheld();
    }

    private void keep(TrialId id, Plan plan) {
        plans.keep(id, plan);
        plans.update(id, plan.sketch(id).trial());
        mapper.raisePlan(id);
    }

    /** Freezes the plan and draws the trial from it, with looks at their planned times. */
    @Transactional
    public void start(TrialId id) {
        heldDraft(id);
        start(id, plan(id));
    }

    /** Starts a trial whose treatments start together with its first look or its start due now. */
    @Transactional
    public void startNow(TrialId id) {
        heldDraft(id);
        Plan plan = plan(id);
        if (plan.schedule().endsTogether()) {
            throw new Refusal("This trial ends together, so its starts are settled. Change the end under “Dates”.");
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        Plan moved = plan.with(plan.schedule().beginningAt(now));
        plans.keep(id, moved);
        start(id, moved);
    }

    private void start(TrialId id, Plan plan) {
        plan.layoutProblem().ifPresent(problem -> {
            throw new Refusal(problem);
        });
        TrialRecord drawn = plan.draw(id);
        if (drawn.looks().isEmpty()) {
            throw new Refusal("The plan has no look yet: nothing would be measured.");
        }
        writer.drawn(id, drawn);
        plans.update(id, drawn.trial().begun(plan.rules().blind()));
        mapper.raisePlan(id);
    }

    /** Throws a draft away. */
    @Transactional
    public void discard(TrialId id) {
        heldDraft(id);
        trials.delete(id);
    }

    /**
     * Changes a started trial's plan, in one step with reading it, and keeps what changed with its reason.
     *
     * @param seen the revision the change was made for; null for whichever stands
     * @param change makes the changed plan from the one that stands; empty to write nothing
     * @throws Refusal if it would change what is frozen, or looks that have readings
     */
    @Transactional
    public Revised amend(
            TrialId id, @Nullable Long seen, Function<Plan, Optional<Plan>> change, String reason, String station) {
        long revision = held(id);
        Plan before = plan(id);
        if (seen != null && seen != revision) {
            return new Revised.Stale(new Kept(before, revision));
        }
        Optional<Plan> changed = change.apply(before);
        if (changed.isEmpty()) {
            return new Revised.Withheld();
        }
        TrialRecord record = trials.read(id);
        Plan marked = marked(before, changed.get(), record);
        PlanChanges changes = PlanChanges.between(before, marked);
        if (!changes.frozen().isEmpty()) {
            throw new Refusal(String.join(" ", changes.frozen()));
        }
        if (!changes.changes().isEmpty()) {
            amended(id, record, marked);
            keep(id, reason, station, changes.changes());
        }
        return new Revised.Saved();
    }

    private void amended(TrialId id, TrialRecord record, Plan marked) {
        TrialRecord sketch = marked.sketch(id);
        looks(id, record, sketch.looks());
        for (int i = record.endpoints().size(); i < sketch.endpoints().size(); i++) {
            mapper.insertEndpoint(id, i + 1, sketch.endpoints().get(i));
        }
        plans.keep(id, marked);
        plans.update(id, sketch.trial().begun(record.trial().blind()));
        mapper.raisePlan(id);
    }

    /** Questions that come after the start say so, and more so after readings. */
    private static Plan marked(Plan before, Plan changed, TrialRecord record) {
        int old = before.asked().questions().size();
        Stated when = record.readings().isEmpty() ? Stated.AFTER_START : Stated.AFTER_READINGS;
        List<Question> questions = new ArrayList<>();
        for (Question question : changed.asked().questions()) {
            questions.add(questions.size() < old ? question : question.as(when));
        }
        return changed.with(new Asked(
                changed.question(),
                changed.asked().crop(),
                questions,
                changed.asked().measures()));
    }

    /** Looks that were begun stay as they are; those after them are planned anew. */
    private void looks(TrialId id, TrialRecord record, List<Look> changed) {
        int begun = record.readings().stream()
                .mapToInt(reading -> reading.ref().look())
                .max()
                .orElse(0);
        List<Look> kept = record.looks().subList(0, begun);
        if (changed.size() < begun || !changed.subList(0, begun).equals(kept)) {
            Optional<Look> last = record.look(begun);
            throw new Refusal(
                    "Looks up to “" + last.map(Look::name).orElse("") + "” have readings: they can't be moved,"
                            + " dropped, or come after a new one. Plan new looks after it.");
        }
        plans.dropLooks(id, begun);
        changed.subList(begun, changed.size()).forEach(look -> mapper.insertLook(id, Rows.LookRow.of(look)));
    }

    private void keep(TrialId id, String reason, String station, List<String> changes) {
        int number = plans.amendments(id).size() + 1;
        plans.insert(id, Rows.AmendmentRow.of(new Amendment(number, clock.instant(), station, reason, changes)));
    }

    /** Shows what every unit got, from now on, and keeps who did so and why. */
    @Transactional
    public void unblind(TrialId id, String reason, String station) {
        held(id);
        Trial trial = trial(id);
        if (trial.blind() && trial.started()) {
            plans.update(id, trial.begun(false));
            mapper.raisePlan(id);
            keep(id, reason, station, List.of("Unblinded" + by() + ": treatments are shown from here on."));
        }
    }

    /** Keeps that the key of a blind trial left in a file; on pages it stays blind. */
    @Transactional
    public void keyTaken(TrialId id, String reason, String station) {
        held(id);
        Trial trial = trial(id);
        if (!trial.blind() || !trial.started()) {
            throw new Refusal("This trial keeps nothing secret: its zip is whole.");
        }
        mapper.raisePlan(id);
        keep(
                id,
                reason,
                station,
                List.of("The key was taken out in a file" + by() + ", while the trial stays blind here."));
    }

    private static String by() {
        return Acting.person().isEmpty() ? "" : " by " + Acting.person();
    }
}
