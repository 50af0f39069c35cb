package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.check.PlanCheck;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PlanChangesTest {
    private final Plan plan = APlan.ofGrowth()
            .list("leaf mould", "wood fibre", "rice hulls")
            .asking(APlan.question("height"))
            .plan();

    @Test
    void theSamePlanHasNoChanges() {
        assertThat(PlanChanges.between(plan, plan)).isEqualTo(new PlanChanges(List.of(), List.of()));
    }

    @Test
    void designAndStatedQuestionsAreFrozen() {
        Plan other = APlan.ofGrowth()
                .list("leaf mould", "brick")
                .replicates(6)
                .asking(APlan.question("leaves"))
                .plan();
        assertThat(PlanChanges.between(plan, other).frozen())
                .contains(
                        "Treatments are frozen since the start.",
                        "The layout is frozen since the start.",
                        "Comparisons stated before can't be changed or taken back; later ones are added below them.");
    }

    @Test
    void laterQuestionsAndLooksAreChangesWithWords() {
        Plan asked = plan.with(new Asked(
                plan.question(),
                "marigold",
                List.of(APlan.question("height"), APlan.question("leaves").as(Stated.AFTER_READINGS)),
                plan.asked().measures()));
        Schedule schedule = plan.schedule();
        List<PlannedLook> looks = new ArrayList<>(schedule.looks());
        looks.add(new PlannedLook("day 35", Duration.ofDays(35), looks.get(0).endpoints()));
        Plan changed = asked.with(schedule.with(looks, schedule.steps(), schedule.hours()));
        PlanChanges changes = PlanChanges.between(plan, changed);
        assertThat(changes.frozen()).isEmpty();
        assertThat(changes.changes())
                .containsExactly(
                        "Comparison added: Leaves: higher in any other treatment than in leaf mould, by 15 % or more?",
                        "Look “day 35” at 35 days planned.");
    }

    @Test
    void aRuleThatChangesIsKeptInBothForms() {
        List<Measure> measures = plan.asked().measures().stream()
                .map(m -> m.with(m.rule() + "!", m.scorer(), m.weight(), m.better()))
                .limit(1)
                .toList();
        Schedule schedule = plan.schedule();
        List<PlannedLook> looks = List.of(new PlannedLook(
                "up", Duration.ofDays(3), List.of(measures.get(0).endpoint().code())));
        Plan before = plan.with(schedule.with(looks, schedule.steps(), schedule.hours()));
        Plan changed = before.measuring(
                new Asked(plan.question(), "marigold", plan.asked().questions(), measures));
        PlanChanges changes = PlanChanges.between(before, changed);
        assertThat(changes.changes())
                .singleElement()
                .asString()
                .contains("from “")
                .contains("to “");
        assertThat(changes.frozen()).hasSize(plan.asked().measures().size() - 1);
    }

    @Test
    void aCopyDropsWhatLostAndRenumbersItsQuestions() {
        Plan asked = APlan.ofGrowth()
                .list("leaf mould", "wood fibre", "rice hulls")
                .asking(
                        new Question(
                                List.of(3),
                                1,
                                APlan.question("height").endpoint(),
                                Direction.HIGHER,
                                10,
                                true,
                                Stated.AFTER_START),
                        new Question(
                                List.of(2),
                                0,
                                APlan.question("height").endpoint(),
                                Direction.HIGHER,
                                10,
                                true,
                                Stated.BEFORE_START))
                .plan();
        Plan copy = PlanCopy.anew(asked, asked.draw(new TrialId(3)), Set.of(2), 6, APlan.START.plusSeconds(60), 99);
        assertThat(copy.treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("leaf mould", "rice hulls");
        assertThat(copy.asked().questions()).singleElement().satisfies(question -> {
            assertThat(question.treatments()).containsExactly(2);
            assertThat(question.stated()).isEqualTo(Stated.BEFORE_START);
        });
        assertThat(copy.arrangement().replicates()).isEqualTo(6);
        assertThat(copy.origin()).satisfies(origin -> {
            assertThat(origin.trial()).isEqualTo(3);
            assertThat(origin.change()).isEqualTo("without wood fibre; 6 of each instead of 4");
        });
        assertThat(copy.schedule().start()).isEqualTo(APlan.START.plusSeconds(60));
    }

    @Test
    void aFactorialCopyStrikesTheDroppedCell() {
        Plan crossed = APlan.ofGrowth()
                .factors(
                        APlan.factor("Dip", FactorKind.HANDLING, "none", "seaweed"),
                        APlan.factor("Medium", FactorKind.MATERIAL, "leaf mould", "wood fibre"))
                .plan();
        Plan copy = PlanCopy.anew(crossed, crossed.draw(new TrialId(3)), Set.of(4), 4, APlan.START, 5);
        assertThat(copy.treatments().struck()).containsExactly(List.of(1, 1));
        assertThat(copy.units()).isEqualTo(12);
    }

    @Test
    void aSecondStageKeepsUnitsWithTheirCodesAndSaysTheyWereChosen() {
        TrialRecord before = plan.draw(new TrialId(3));
        Set<UnitCode> kept = before.units().stream()
                .filter(unit -> unit.treatment() != 2 && unit.replicate() <= 2)
                .map(ExperimentalUnit::code)
                .collect(Collectors.toSet());
        Plan second = PlanCopy.secondStage(plan, before, kept, APlan.START, 12);
        TrialRecord after = second.draw(new TrialId(4));
        assertThat(after.units().stream().map(ExperimentalUnit::code)).containsExactlyInAnyOrderElementsOf(kept);
        assertThat(after.units())
                .allSatisfy(unit -> assertThat(after.treatment(unit).name())
                        .isEqualTo(before.treatment(before.unit(unit.code()).orElseThrow())
                                .name()));
        assertThat(PlanCheck.of(second))
                .anySatisfy(flag -> assertThat(flag.seen()).contains("chosen, not drawn at random"));
        assertThat(Needs.of(second, after)).noneMatch(need -> need.kind() == Need.Kind.MEDIUM);
    }
}
