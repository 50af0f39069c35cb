package elsom.core.plan;

import static elsom.core.plan.APlan.doses;
import static elsom.core.plan.APlan.factor;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.design.LayoutKind;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.LightMap;
import elsom.core.trial.Look;
import elsom.core.trial.Side;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.TrialStage;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlanTest {
    private static Stream<Protocol> protocols() {
        return Protocols.all().stream();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void everyProtocolIsAStartingPointThatCanBeDrawn(Protocol protocol) {
        TrialRecord drawn = APlan.of(protocol.code().value())
                .list("leaf mould", "wood fibre")
                .drawn();
        assertThat(drawn.units()).hasSize(2 * protocol.habit().replicates());
        assertThat(drawn.looks()).isNotEmpty();
        assertThat(drawn.trial().stage()).isEqualTo(TrialStage.DRAFT);
        assertThat(drawn.looks())
                .allSatisfy(look ->
                        assertThat(protocol.stepBefore(drawn, look).orders()).isNotEmpty());
        assertThat(protocol.measures())
                .allSatisfy(measure -> assertThat(measure.rule()).isNotBlank());
        assertThat(protocol.preparation()).isNotEmpty();
        assertThat(protocol.validity()).isNotEmpty();
        Set<EndpointCode> looked = drawn.looks().stream()
                .flatMap(look -> look.endpoints().stream())
                .collect(Collectors.toCollection(HashSet::new));
        assertThat(protocol.measures().stream().map(m -> m.endpoint().code())).containsAll(looked);
    }

    @Test
    void aGridOfFactorsNamesItsCells() {
        Plan plan = APlan.ofGrowth()
                .factors(
                        factor("Dip", FactorKind.HANDLING, "none", "seaweed"),
                        factor("Medium", FactorKind.MATERIAL, "leaf mould", "wood fibre", "rice hulls"))
                .plan();
        assertThat(plan.treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly(
                        "none · leaf mould",
                        "none · wood fibre",
                        "none · rice hulls",
                        "seaweed · leaf mould",
                        "seaweed · wood fibre",
                        "seaweed · rice hulls");
        assertThat(plan.treatments().all().get(4).mix()).isEqualTo("wood fibre");
        assertThat(plan.control().map(PlannedTreatment::name)).contains("none · leaf mould");
        assertThat(plan.treatments().all())
                .filteredOn(PlannedTreatment::isControl)
                .hasSize(1);
    }

    @Test
    void aStruckCellIsNotATreatment() {
        Plan plan = APlan.ofGrowth()
                .factors(
                        factor("Dip", FactorKind.HANDLING, "none", "seaweed"),
                        factor("Medium", FactorKind.MATERIAL, "leaf mould", "wood fibre"))
                .striking(1, 1)
                .plan();
        assertThat(plan.treatments().size()).isEqualTo(3);
        assertThat(plan.units()).isEqualTo(12);
    }

    @Test
    void dosesGoToTheTreatments() {
        TrialRecord drawn =
                APlan.of("dose-series").factors(doses(null, null, 0, 0.5, 1, 2)).drawn();
        assertThat(drawn.treatments())
                .extracting(t -> t.property(TreatmentProperty.DOSE).orElseThrow())
                .containsExactly(0.0, 0.5, 1.0, 2.0);
        assertThat(drawn.treatments())
                .filteredOn(Treatment::isControl)
                .extracting(Treatment::name)
                .containsExactly("0.0 %");
        assertThat(drawn.treatments()).allSatisfy(t -> assertThat(t.material()).isEqualTo("leaf mould"));
    }

    @Test
    void eachTreatmentMayHaveItsOwnContainer() {
        Plan plan = APlan.ofGrowth()
                .treatments(List.of(
                        PlannedTreatment.of("pot", "wood fibre", ControlKind.CONTROL),
                        PlannedTreatment.of("tub", "wood fibre", ControlKind.NONE)
                                .in(APlan.TUB, 0)))
                .plan();
        assertThat(plan.containers()).containsExactly(APlan.POT, APlan.TUB);
        assertThat(plan.volumeMl(plan.treatments().all().get(1))).isEqualTo(APlan.TUB.volumeMl());
    }

    @Test
    void looksAreNumberedInTimeWhateverTheOrderTyped() {
        Plan plan = APlan.ofGrowth().list("a", "b").plan();
        List<PlannedLook> turned = plan.schedule().looks().stream()
                .sorted((one, other) -> other.after().compareTo(one.after()))
                .toList();
        Plan reversed = plan.with(plan.schedule().with(turned, List.of(), Hours.ANY));
        assertThat(reversed.draw(new TrialId(1)).looks().stream().map(Look::name))
                .containsExactly("up", "day 14", "day 21", "end, day 28");
    }

    @Test
    void aMoveIsKeptUntilTheNextDraw() {
        Plan plan = APlan.ofGrowth().list("a", "b", "c").plan();
        TrialRecord before = plan.draw(new TrialId(1));
        ExperimentalUnit first = before.units().get(0);
        ExperimentalUnit last = before.units().get(11);
        Plan moved = plan.with(plan.arrangement().moved(new Arrangement.Move(first.code(), last.position())));
        TrialRecord after = moved.draw(new TrialId(1));
        assertThat(after.unit(first.code()).orElseThrow().position()).isEqualTo(last.position());
        assertThat(moved.with(moved.arrangement().drawnFrom(plan.arrangement().seed()))
                        .draw(new TrialId(1))
                        .units())
                .isEqualTo(before.units());
    }

    @Test
    void aMeasuredBenchHasTheRoomItHas() {
        Site sill = new Site("Sill", 100, 40, Side.TOP, Side.RIGHT, LightMap.NONE, List.of());
        Plan plan = APlan.ofGrowth()
                .list("a", "b", "c")
                .laidOut(LayoutKind.BLOCKS, sill)
                .plan();
        // Pots of 9 cm and gaps of 2.5 cm: 8 along, 3 across.
        assertThat(plan.benches().get(0))
                .extracting(b -> b.rows() + "×" + b.columns())
                .isEqualTo("3×8");
        assertThat(plan.layoutProblem()).isEmpty();
        assertThat(plan.with(plan.arrangement().withReplicates(9)).layoutProblem())
                .hasValueSatisfying(why -> assertThat(why).contains("room for 24 of its 27"));
    }

    @Test
    void aSplitPlotNeedsAFactorForWholeGroups() {
        assertThat(APlan.ofGrowth()
                        .list("a", "b")
                        .laidOut(LayoutKind.SPLIT_PLOT)
                        .plan()
                        .layoutProblem())
                .hasValueSatisfying(why -> assertThat(why).contains("two factors"));
        assertThatThrownBy(() -> APlan.ofGrowth().drawn()).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aQuestionReadsAsASentence() {
        Plan plan = APlan.ofGrowth()
                .list("leaf mould", "wood fibre")
                .asking(APlan.question("fresh-mass"))
                .plan();
        assertThat(plan.asked().questions().get(0).sentence(plan))
                .isEqualTo("Fresh mass: higher in any other treatment than in leaf mould, by 15 % or more?");
        Question either = new Question(
                List.of(2), 1, new EndpointCode("height"), Direction.EITHER, 2, false, Stated.BEFORE_START);
        assertThat(either.sentence(plan))
                .isEqualTo("Height: different in wood fibre from leaf mould, by 2 cm or more?");
    }

    @Test
    void codesOnlyHidesWhatEachUnitGot() {
        TrialRecord hidden =
                APlan.ofGrowth().list("leaf mould", "wood fibre").drawn().codesOnly();
        assertThat(hidden.treatments()).extracting(Treatment::name).containsExactly(TrialRecord.HIDDEN);
        assertThat(hidden.units())
                .allSatisfy(unit -> assertThat(unit.treatment()).isEqualTo(1));
        assertThat(hidden.toString()).doesNotContain("fibre");
    }

    @Test
    void aMixJoinsAListButNoGrid() {
        Treatments list =
                Treatments.listed(List.of(PlannedTreatment.of("leaf mould", "leaf mould", ControlKind.CONTROL)));
        assertThat(list.and("Plug mix", "3 wood fibre + 2 leaf mould").all())
                .extracting(PlannedTreatment::mix)
                .containsExactly("leaf mould", "3 wood fibre + 2 leaf mould");
        assertThatThrownBy(() -> list.and("Leaf mould ", "leaf mould")).hasMessageContaining("already");
        Treatments grid = Treatments.crossed(
                List.of(APlan.factor("dip", FactorKind.HANDLING, "none", "seaweed")), "leaf mould", List.of());
        assertThatThrownBy(() -> grid.and("Plug mix", "leaf mould")).hasMessageContaining("a level of a factor");
    }
}
