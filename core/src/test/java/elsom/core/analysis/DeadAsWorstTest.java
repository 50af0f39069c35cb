package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Observations.Better;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Means of the living beside means of all with the dead at the bottom, done by hand. */
class DeadAsWorstTest {
    private static final double DEAD = Double.NaN;

    private static Observations of(EndpointKind kind, Better better, double[] control, double... treated) {
        List<Observed> units = new ArrayList<>();
        add(units, 0, control);
        add(units, 1, treated);
        return new Observations(
                Design.COMPLETELY_RANDOM,
                List.of(),
                List.of(new Arm("A", "none", List.of(), true), new Arm("B", "drench", List.of(), false)),
                kind,
                better,
                0.1,
                units);
    }

    private static void add(List<Observed> units, int arm, double... values) {
        for (double value : values) {
            units.add(new Observed(
                    "U" + units.size(),
                    arm,
                    0,
                    0,
                    0,
                    0,
                    Double.isNaN(value) ? new Value.Missing("died", true) : new Value.Measured(value)));
        }
    }

    private static OptionalDouble worst(Observations all, OptionalDouble end) {
        return DeadAsWorst.difference(all, 1, 0, end);
    }

    /** Of those that live +2 g; of all (12 + 14 + 0 + 0)/4 = 6.5 beside 11. */
    @Test
    void ofAMassTheDeadWeighNothing() {
        Observations all = of(EndpointKind.MEASURED, Better.HIGHER, new double[] {10, 12, 11, 11}, 12, 14, DEAD, DEAD);
        assertThat(worst(all, OptionalDouble.empty()).orElseThrow()).isCloseTo(-4.5, within(1e-12));
    }

    /** Of an injury of ten at most: (2 + 3 + 10)/3 = 5 beside (1 + 1 + 10)/3 = 4. */
    @Test
    void ofAScoreTheDeadStandAtItsEnd() {
        Observations all = of(EndpointKind.SCORE, Better.LOWER, new double[] {1, 1, DEAD}, 2, 3, DEAD);
        assertThat(worst(all, OptionalDouble.of(10)).orElseThrow()).isCloseTo(1, within(1e-12));
        assertThat(worst(all, OptionalDouble.empty()).orElseThrow())
                .as("the worst that was read, 3")
                .isCloseTo(8 / 3.0 - 5 / 3.0, within(1e-12));
    }

    /** Where values lie below 0 nothing is not the worst. */
    @Test
    void nothingIsNotTheWorstWhereLessWasRead() {
        Observations all = of(EndpointKind.MEASURED, Better.HIGHER, new double[] {-4, 2}, 3, DEAD);
        assertThat(worst(all, OptionalDouble.empty()).orElseThrow()).isCloseTo(-0.5 + 1, within(1e-12));
    }

    @Test
    void whereAllOfATreatmentDiedItStandsAtTheWorst() {
        Observations all = of(EndpointKind.MEASURED, Better.HIGHER, new double[] {10, 12}, DEAD, DEAD);
        assertThat(worst(all, OptionalDouble.empty()).orElseThrow()).isCloseTo(-11, within(1e-12));
    }

    @Test
    void withoutDeathsThereIsNothingToAdd() {
        assertThat(worst(
                        of(EndpointKind.MEASURED, Better.HIGHER, new double[] {10, 12}, 11, 13),
                        OptionalDouble.empty()))
                .isEmpty();
    }
}
