package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.design.LayoutKind;
import org.junit.jupiter.api.Test;

class PlanSentenceTest {
    @Test
    void saysWhatHowManyWhereHowLongAndHowWatered() {
        Plan plan = APlan.ofGrowth().list("none", "kelp").replicates(4).plan();
        assertThat(PlanSentence.of(plan))
                .isEqualTo(
                        "2 treatments (none, kelp) in 4 units of each at Bench, with marigold, drawn at random: blocks;"
                                + " looked at 4 times over 28 days; watered the same for all.");
    }

    @Test
    void manyTreatmentsAreNotNamedAndBlindIsSaid() {
        Plan plan = APlan.ofGrowth().list("a", "b", "c", "d", "e", "f", "g").plan();
        Plan blind = plan.with(new Rules(WateringSchool.EACH_TO_REFILL_WEIGHT, 0.5, true));
        assertThat(PlanSentence.of(blind))
                .startsWith("7 treatments in ")
                .endsWith("watered each to its own refill weight; read blind.");
    }

    @Test
    void severalPlacesAreNamed() {
        Plan plan = APlan.ofGrowth()
                .list("none", "kelp")
                .laidOut(LayoutKind.BLOCKS, Site.named("Sill"), Site.named("Shelf"))
                .plan();
        assertThat(PlanSentence.of(plan)).contains("of each on Sill and Shelf");
    }
}
