package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BlindOrderTest {
    private final List<ExperimentalUnit> units = APlan.of("seedling-injury")
            .list("leaf mould", "GW-31", "GW-32")
            .replicates(4)
            .plan()
            .draw(new TrialId(1))
            .units();

    private List<ExperimentalUnit> ordered(List<ExperimentalUnit> from, long seed, String occasion) {
        List<ExperimentalUnit> order = new ArrayList<>(from);
        BlindOrder.shuffle(order, seed, occasion);
        return order;
    }

    @Test
    void theSameEachTimeWhereverUnitsStand() {
        List<ExperimentalUnit> other = new ArrayList<>(units);
        Collections.shuffle(other, new Random(7));
        assertThat(ordered(other, 4711, "look 2")).isEqualTo(ordered(units, 4711, "look 2"));
    }

    @Test
    void anotherForAnotherSeedOrOccasion() {
        List<ExperimentalUnit> order = ordered(units, 4711, "look 2");
        assertThat(order).containsExactlyInAnyOrderElementsOf(units).isNotEqualTo(units);
        assertThat(ordered(units, 4712, "look 2")).isNotEqualTo(order);
        assertThat(ordered(units, 4711, "look 3")).isNotEqualTo(order);
    }
}
