package elsom.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.check.PlanCheck;
import elsom.core.trial.TrialId;
import elsom.web.trial.PlanJson;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** The demo's plans are such as one would be proud of. */
class DemoPlansTest {
    private final DemoPlans demo = new DemoPlans(Instant.parse("2026-06-03T09:00:00Z"), ZoneId.of("Europe/London"));
    private final Map<String, Plan> plans =
            Map.of("brews", demo.brews(demo.residue().sketch(new TrialId(1)).trial()), "residue", demo.residue());

    private Plan plan(String name) {
        return Objects.requireNonNull(plans.get(name));
    }

    @Test
    void allCanBeDrawnAndWrittenDown() {
        plans.forEach((name, plan) -> {
            assertThat(plan.layoutProblem()).as(name).isEmpty();
            assertThat(plan.draw(new TrialId(1)).units()).as(name).hasSize(plan.units());
            assertThat(PlanJson.read(PlanJson.write(plan))).as(name).isEqualTo(plan);
            // Injury scatters so much that few yards have the units for what they would like to see.
            assertThat(PlanCheck.of(plan))
                    .as(name)
                    .noneMatch(flag -> flag.severity() != Flag.Severity.NOTE
                            && !flag.seen().contains("would be missed"));
        });
    }

    @Test
    void theResidueTrialIsBlindAndHasPeaAndBarleyInEveryMedium() {
        Plan residue = plan("residue");
        assertThat(residue.rules().blind()).isTrue();
        assertThat(residue.treatments().size()).isEqualTo(14);
        assertThat(residue.units()).isEqualTo(56);
    }

    @Test
    void brewsEndTogether() {
        Plan brews = plan("brews");
        assertThat(brews.schedule().endsTogether()).isTrue();
        assertThat(PlanEvents.of(brews))
                .filteredOn(event -> event.kind() == PlanEvent.Kind.START)
                .hasSizeGreaterThan(1);
    }
}
