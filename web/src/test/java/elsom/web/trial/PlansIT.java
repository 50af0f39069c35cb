package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.plan.Amendment;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.Texture;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.AppTest;
import elsom.web.GrowthPlan;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** From draft to amended trial, on a real database file. */
@AppTest
class PlansIT {
    private static final EndpointCode HEIGHT = new EndpointCode("height");

    @Autowired
    private Plans plans;

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    private TrialId draft(Plan plan) {
        return plans.begin(plan, UUID.randomUUID());
    }

    private void revise(TrialId id, Plan plan) {
        plans.revise(id, null, before -> Optional.of(plan));
    }

    private void amend(TrialId id, Plan plan, String reason, String station) {
        plans.amend(id, null, before -> Optional.of(plan), reason, station);
    }

    private TrialId started(Plan plan) {
        TrialId id = draft(plan);
        plans.start(id);
        return id;
    }

    private void measure(TrialId id, int look) {
        TrialRecord record = trials.key(id);
        EndpointCode endpoint = record.look(look).orElseThrow().endpoints().get(0);
        UnitCode unit = record.units().get(0).code();
        Entered entered = logbook.enter(
                id,
                new NewReading(
                        new ReadingRef(unit, look, endpoint),
                        3.0,
                        "3",
                        UnitOfMeasure.COUNT,
                        GrowthPlan.START,
                        GrowthPlan.START,
                        "Bench A",
                        Instrument.HAND,
                        null,
                        null,
                        UUID.randomUUID()));
        assertThat(entered).isInstanceOf(Entered.Saved.class);
    }

    private static Plan withLook(Plan plan, String name, Duration after) {
        List<PlannedLook> looks = new ArrayList<>(plan.schedule().looks());
        looks.add(new PlannedLook(name, after, List.of(HEIGHT)));
        return plan.with(plan.schedule()
                .with(looks, plan.schedule().steps(), plan.schedule().hours()));
    }

    private static Plan withQuestion(Plan plan) {
        List<Question> questions = new ArrayList<>(plan.asked().questions());
        questions.add(new Question(List.of(2), 1, HEIGHT, Direction.EITHER, 2, false, Stated.BEFORE_START));
        return plan.with(new Asked(
                plan.question(), plan.asked().crop(), questions, plan.asked().measures()));
    }

    @Test
    void aDraftIsKeptAsPlannedAndDrawnWhenItStarts() {
        TrialId id = draft(GrowthPlan.plan());
        assertThat(plans.plan(id)).isEqualTo(GrowthPlan.plan());
        TrialRecord draft = trials.snapshot(id);
        assertThat(draft.trial().started()).isFalse();
        plans.start(id);
        TrialRecord started = trials.snapshot(id);
        assertThat(started.trial().started()).isTrue();
        assertThat(started.units()).isEqualTo(draft.units());
        assertThat(started.benches()).isEqualTo(draft.benches());
        assertThat(started.looks()).isEqualTo(draft.looks());
        assertThat(started.treatments()).isEqualTo(draft.treatments());
    }

    @Test
    void aMoveByHandStaysUntilItIsDrawnAgain() {
        TrialId id = draft(GrowthPlan.plan());
        TrialRecord before = trials.snapshot(id);
        ExperimentalUnit unit = before.units().get(0);
        BenchPosition to = before.units().get(1).position();
        Plan moved =
                GrowthPlan.plan().with(GrowthPlan.plan().arrangement().moved(new Arrangement.Move(unit.code(), to)));
        revise(id, moved);
        assertThat(trials.snapshot(id).unit(unit.code()).orElseThrow().position())
                .isEqualTo(to);
        revise(id, moved.with(moved.arrangement().drawnFrom(77)));
        assertThat(trials.snapshot(id).units()).isEqualTo(before.units());
    }

    @Test
    void aDraftTakesNoReadingsAndCanBeThrownAway() {
        TrialId id = draft(GrowthPlan.plan());
        assertThatThrownBy(() -> measure(id, 1)).isInstanceOf(Refusal.class);
        plans.discard(id);
        assertThatThrownBy(() -> trials.snapshot(id)).isInstanceOf(NotFound.class);
        assertThat(trials.find(id)).isEmpty();
    }

    @Test
    void theStartFreezesTheDesign() {
        TrialId id = started(GrowthPlan.plan());
        Plan more = GrowthPlan.plan().with(GrowthPlan.plan().arrangement().withReplicates(5));
        assertThatThrownBy(() -> revise(id, more)).isInstanceOf(Refusal.class).hasMessageContaining("has started");
        assertThatThrownBy(() -> amend(id, more, "too few", "Bench A")).hasMessageContaining("layout is frozen");
        assertThatThrownBy(() -> plans.start(id)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> plans.discard(id)).isInstanceOf(Refusal.class);
        assertThat(plans.amendments(id)).isEmpty();
    }

    @Test
    void aChangeIsKeptWithItsReason() {
        TrialId id = started(GrowthPlan.plan());
        amend(id, withLook(GrowthPlan.plan(), "late", Duration.ofDays(60)), "slow this year", "Tunnel");
        List<Amendment> kept = plans.amendments(id);
        assertThat(kept).singleElement().satisfies(amendment -> {
            assertThat(amendment.reason()).isEqualTo("slow this year");
            assertThat(amendment.station()).isEqualTo("Tunnel");
            assertThat(amendment.changes()).singleElement().asString().contains("late");
        });
        assertThat(trials.snapshot(id).looks()).extracting(Look::name).endsWith("late");
        amend(id, plans.plan(id), "nothing changed", "Tunnel");
        assertThat(plans.amendments(id)).hasSize(1);
    }

    @Test
    void aLookWithReadingsStaysWhereItIs() {
        TrialId id = started(GrowthPlan.plan());
        measure(id, 2);
        Plan earlier = withLook(GrowthPlan.plan(), "early", Duration.ofHours(1));
        assertThatThrownBy(() -> amend(id, earlier, "forgot it", "Bench A"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("have readings");
        assertThat(trials.snapshot(id).readings()).hasSize(1);
        assertThat(plans.plan(id)).isEqualTo(GrowthPlan.plan());
    }

    @Test
    void aLaterComparisonSaysSo() {
        TrialId id = started(GrowthPlan.plan());
        amend(id, withQuestion(GrowthPlan.plan()), "came up", "Bench A");
        assertThat(plans.plan(id).asked().questions())
                .extracting(Question::stated)
                .containsExactly(Stated.BEFORE_START, Stated.AFTER_START);
        measure(id, 1);
        amend(id, withQuestion(plans.plan(id)), "saw something", "Bench A");
        assertThat(plans.plan(id).asked().questions())
                .extracting(Question::stated)
                .containsExactly(Stated.BEFORE_START, Stated.AFTER_START, Stated.AFTER_READINGS);
    }

    @Test
    void aBlindTrialShowsCodesOnlyUntilItIsUnblinded() {
        TrialId id = draft(GrowthPlan.blind());
        assertThat(trials.snapshot(id).treatments()).hasSize(4);
        plans.start(id);
        TrialRecord shown = trials.snapshot(id);
        assertThat(shown.treatments()).singleElement().satisfies(treatment -> {
            assertThat(treatment.name()).isEqualTo(TrialRecord.HIDDEN);
            assertThat(treatment.texture()).isEqualTo(Texture.PLAIN);
        });
        assertThat(shown.units()).extracting(ExperimentalUnit::treatment).containsOnly(1);
        measure(id, 1);
        plans.unblind(id, "all looks are done", "Bench A");
        assertThat(trials.snapshot(id).treatments()).hasSize(4);
        assertThat(trials.snapshot(id).readings()).hasSize(1);
        assertThat(plans.amendments(id)).singleElement().satisfies(act -> {
            assertThat(act.reason()).isEqualTo("all looks are done");
            assertThat(act.changes()).singleElement().asString().startsWith("Unblinded");
        });
        plans.unblind(id, "twice", "Bench A");
        assertThat(plans.amendments(id)).hasSize(1);
    }

    @Test
    void unitsGoOnIntoASecondStage() {
        TrialId first = started(GrowthPlan.plan());
        TrialRecord before = trials.snapshot(first);
        Set<UnitCode> kept = Set.of(
                before.units().get(0).code(),
                before.units().get(3).code(),
                before.units().get(7).code());
        TrialId second =
                started(PlanCopy.secondStage(plans.plan(first), before, kept, GrowthPlan.START.plusSeconds(86400), 3));
        TrialRecord after = trials.snapshot(second);
        assertThat(after.units()).extracting(ExperimentalUnit::code).containsExactlyInAnyOrderElementsOf(kept);
        assertThat(plans.plan(second).origin()).satisfies(origin -> {
            assertThat(origin.trial()).isEqualTo(first.value());
            assertThat(origin.kept()).hasSize(3);
        });
    }

    private static Plan withReplicates(Plan plan, int replicates) {
        return plan.with(plan.arrangement().withReplicates(replicates));
    }

    @Test
    void aChangeMadeForAnOlderPlanIsRefusedWithTheOneThatStands() {
        TrialId id = draft(GrowthPlan.plan());
        long seen = plans.kept(id).revision();
        assertThat(plans.revise(id, seen, plan -> Optional.of(withReplicates(plan, 5))))
                .isInstanceOf(Plans.Revised.Saved.class);
        assertThat(plans.revise(id, seen, plan -> Optional.of(withReplicates(plan, 6))))
                .isInstanceOfSatisfying(Plans.Revised.Stale.class, stale -> {
                    assertThat(stale.now().plan().arrangement().replicates()).isEqualTo(5);
                    assertThat(stale.now().revision()).isGreaterThan(seen);
                });
        assertThat(plans.plan(id).arrangement().replicates()).isEqualTo(5);
    }

    @Test
    void noChangeOfManyAtOnceIsLost() throws Exception {
        TrialId id = draft(GrowthPlan.plan());
        List<BenchPosition> places =
                trials.key(id).units().stream().map(ExperimentalUnit::position).toList();
        UnitCode unit = trials.key(id).units().get(0).code();
        ExecutorService clients = Executors.newFixedThreadPool(8);
        List<Future<?>> moves = new ArrayList<>();
        for (int i = 0; i < 48; i++) {
            BenchPosition to = places.get(i % places.size());
            moves.add(clients.submit(() -> plans.revise(
                    id,
                    null,
                    plan -> Optional.of(plan.with(plan.arrangement().moved(new Arrangement.Move(unit, to)))))));
        }
        for (Future<?> move : moves) {
            move.get(30, TimeUnit.SECONDS);
        }
        clients.shutdown();
        assertThat(plans.plan(id).arrangement().moves()).hasSize(48);
    }

    @Test
    void eightAlikePostsMakeOneTrial() throws Exception {
        UUID token = UUID.randomUUID();
        ExecutorService clients = Executors.newFixedThreadPool(8);
        List<Future<TrialId>> begun = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            begun.add(clients.submit(() -> plans.begin(GrowthPlan.plan(), token)));
        }
        Set<TrialId> ids = new HashSet<>();
        for (Future<TrialId> one : begun) {
            ids.add(one.get(30, TimeUnit.SECONDS));
        }
        clients.shutdown();
        assertThat(ids).hasSize(1);
    }

    @Test
    void aDeletedTrialIsGoneWithAllItHeld() {
        TrialId id = started(GrowthPlan.plan());
        measure(id, 1);
        plans.unblind(id, "not blind", "Bench A");
        trials.delete(id);
        assertThatThrownBy(() -> trials.snapshot(id)).isInstanceOf(NotFound.class);
        for (String table : TrialTables.ALL) {
            assertThat(trials.stored(table, id)).as(table).isEmpty();
        }
    }
}
