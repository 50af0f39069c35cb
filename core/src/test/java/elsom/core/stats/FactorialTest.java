package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Factorial.Factor;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Values worked out by hand: a balanced 2 × 2 with two units a cell, cell means 11, 15, 13, 25. */
class FactorialTest {
    private static final Factor DIP = new Factor("dip", List.of("no", "no", "no", "no", "yes", "yes", "yes", "yes"));
    private static final Factor MIX = new Factor("mix", List.of("a", "a", "b", "b", "a", "a", "b", "b"));
    private static final double[] Y = {10, 12, 14, 16, 12, 14, 24, 26};

    private final Factorial factorial = Factorial.of(Y, List.of(DIP, MIX), List.of());

    private static Factorial.Line line(List<Factorial.Line> lines, String term) {
        return lines.stream()
                .filter(line -> line.term().contains(term))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void squaresOfABalancedDesignAddUp() {
        // Means: no 13, yes 19, a 12, b 20, all 16. Effects ±3, ±4, ±2 on 8 units; within cells 8 × 1.
        List<Factorial.Line> lines = factorial.sequential();
        assertThat(line(lines, "dip").squares()).isCloseTo(72, within(1e-9));
        assertThat(line(lines, "mix").squares()).isCloseTo(128, within(1e-9));
        assertThat(lines.get(2).squares()).isCloseTo(18 * 16 / 9.0, within(1e-9));
        assertThat(factorial.residualSquares()).isCloseTo(8, within(1e-9));
        assertThat(factorial.residualDf()).isEqualTo(4);
        assertThat(line(lines, "dip").f().orElseThrow()).isCloseTo(36, within(1e-9));
    }

    @Test
    void theThreeTypesAgreeWhenCellsAreEqual() {
        List<Factorial.Line> partial = factorial.partial().asOptional().orElseThrow();
        for (int i = 0; i < 2; i++) {
            assertThat(factorial.marginal().get(i).squares())
                    .isCloseTo(factorial.sequential().get(i).squares(), within(1e-9));
            assertThat(partial.get(i).squares())
                    .isCloseTo(factorial.sequential().get(i).squares(), within(1e-9));
        }
    }

    @Test
    void aFactorIsLookedAtWithinEachLevelOfTheOther() {
        assertThat(factorial.cells())
                .filteredOn(cell -> cell.mean() == 25)
                .singleElement()
                .satisfies(cell -> assertThat(cell.n()).isEqualTo(2));
        assertThat(factorial.simpleEffects().asOptional().orElseThrow()).isNotEmpty();
    }

    @Test
    void aLostCellLeavesTheInteractionWithoutADegreeOfFreedom() {
        Factor dip = new Factor("dip", DIP.values().subList(0, 6));
        Factor mix = new Factor("mix", MIX.values().subList(0, 6));
        Factorial lost = Factorial.of(new double[] {10, 12, 14, 16, 12, 14}, List.of(dip, mix), List.of());
        assertThat(lost.sequential().get(2).df()).isZero();
        assertThat(lost.partial().whyNot()).isPresent();
    }

    @Test
    void orderOfUnitsDoesNotMatter() {
        List<Integer> order = List.of(5, 2, 7, 0, 3, 6, 1, 4);
        Factorial turned = Factorial.of(
                order.stream().mapToDouble(i -> Y[i]).toArray(),
                List.of(
                        new Factor("dip", order.stream().map(DIP.values()::get).toList()),
                        new Factor("mix", order.stream().map(MIX.values()::get).toList())),
                Collections.emptyList());
        assertThat(turned.residualSquares()).isCloseTo(factorial.residualSquares(), within(1e-9));
        assertThat(line(turned.sequential(), "dip").squares()).isCloseTo(72, within(1e-9));
    }
}
