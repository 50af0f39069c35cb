package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.NextTest;
import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.plan.check.PlanCheck;
import elsom.core.trial.TrialId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The trial that would part two causes comes filled in, and can be drawn as it is. */
class NextTrialTest {
    private static final long SEED = 12;

    private final ABioassay trial =
            ABioassay.of(ABioassay.SEEDLINGS, ABioassay.SHARES).scored(ABioassay::auxin);

    private BioassayResult asking(NextTest test) {
        BioassayResult found = trial.lots().get(0);
        return new BioassayResult(
                found.lot(),
                found.clean(),
                found.look(),
                found.species(),
                found.symptoms(),
                found.stillToCome(),
                found.refused(),
                found.learnt(),
                found.diagnosis(),
                Optional.of(test));
    }

    private Optional<Plan> next(NextTest test) {
        return NextTrial.of(trial.plan(), trial.record(), asking(test), APlan.START, SEED);
    }

    private static List<String> names(Plan plan) {
        return plan.treatments().all().stream().map(PlannedTreatment::name).toList();
    }

    @Test
    void aPairCrossesTheLotWithItsRemedy() {
        Plan plan = next(NextTest.CHARCOAL).orElseThrow();
        assertThat(names(plan))
                .containsExactly(
                        "leaf mould · as it is",
                        "leaf mould · with charcoal",
                        "GW-32 · as it is",
                        "GW-32 · with charcoal");
        assertThat(plan.asked().crop()).isEqualTo("pea");
        assertThat(plan.question()).startsWith("What hurts pea in GW-32: ").endsWith("?");
        Question asked = plan.asked().questions().get(0);
        assertThat(asked.sentence(plan)).contains("lower in GW-32 · with charcoal than in GW-32 · as it is");
        assertThat(Objects.requireNonNull(plan.origin()).change())
                .startsWith("a pair with and without activated charcoal")
                .contains("10 g of activated charcoal");
    }

    @Test
    void aGrassOrALegumeIsSownBeside() {
        assertThat(names(next(NextTest.GRASS).orElseThrow())).contains("pea · GW-32", "barley · GW-32");
        assertThat(names(next(NextTest.LEGUME).orElseThrow())).hasSize(4);
    }

    @Test
    void theLotIsThinned() {
        Plan plan = next(NextTest.DILUTION).orElseThrow();
        assertThat(plan.treatments().all())
                .extracting(PlannedTreatment::mix)
                .containsExactly("leaf mould", "1 GW-32 + 3 leaf mould", "1 GW-32 + 1 leaf mould", "GW-32");
        assertThat(plan.treatments().all().get(0).isControl()).isTrue();
    }

    @Test
    void aMeterNeedsNoTrial() {
        assertThat(next(NextTest.EC)).isEmpty();
        assertThat(next(NextTest.PH)).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(NextTest.class)
    void whateverIsPlannedCanBeDrawnAndHasNothingWrong(NextTest test) {
        next(test).ifPresent(plan -> {
            assertThat(plan.draw(new TrialId(1)).units()).hasSizeGreaterThanOrEqualTo(16);
            assertThat(PlanCheck.of(plan)).noneMatch(flag -> flag.severity() == Flag.Severity.WRONG);
        });
    }
}
