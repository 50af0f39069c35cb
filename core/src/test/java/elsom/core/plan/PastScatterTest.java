package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.protocol.water.WaterHolding;
import elsom.core.protocol.water.WaterTrial;
import java.util.List;
import org.junit.jupiter.api.Test;

class PastScatterTest {
    /** Weights 90, 100, 110 in one group and 190, 200, 210 in the other: CVs 10 % and 5 %, 2 degrees of freedom each. */
    @Test
    void poolsTheScatterOfGroupsByDegreesOfFreedom() {
        WaterTrial trial = WaterTrial.aTrial().medium("a").medium("b").replicates(3);
        trial.weigh("empty", WaterHolding.TARE, (unit, look) -> 100 * unit.treatment() + 10 * (unit.replicate() - 2));
        assertThat(PastScatter.of(List.of(trial.drawn()), WaterHolding.TARE)).hasValueSatisfying(past -> {
            assertThat(past.cv()).isCloseTo(Math.sqrt((0.01 + 0.0025) / 2), within(1e-12));
            assertThat(past.sd()).isCloseTo(10, within(1e-12));
            assertThat(past.mean()).isCloseTo(150, within(1e-12));
            assertThat(past.degreesOfFreedom()).isEqualTo(4);
            assertThat(past.trials()).isEqualTo(1);
        });
        assertThat(PastScatter.of(List.of(trial.drawn()), WaterHolding.WET)).isEmpty();
    }
}
