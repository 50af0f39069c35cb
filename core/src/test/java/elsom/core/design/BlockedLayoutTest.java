package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.ExperimentalUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class BlockedLayoutTest {
    @Test
    void everyBlockHoldsEveryTreatmentOnce() {
        BlockedLayout.Drawn drawn =
                BlockedLayout.draw(BlockedLayout.alike(5, "pot", 400), List.of("Sill", "Floor"), 4, 11);
        assertThat(drawn.units()).hasSize(40);
        Map<Integer, List<Integer>> blocks = drawn.units().stream()
                .collect(Collectors.groupingBy(
                        ExperimentalUnit::block, Collectors.mapping(ExperimentalUnit::treatment, Collectors.toList())));
        assertThat(blocks).hasSize(8);
        assertThat(blocks.values()).allSatisfy(block -> assertThat(block).containsExactlyInAnyOrder(1, 2, 3, 4, 5));
    }

    @Test
    void everyTreatmentIsAsLikelyOnEveryPlace() {
        Map<Integer, Integer> first = new HashMap<>();
        int draws = 3000;
        for (int seed = 0; seed < draws; seed++) {
            ExperimentalUnit corner = BlockedLayout.draw(
                            BlockedLayout.alike(3, "pot", 400), List.of("Sill"), 1, seed * 7919L)
                    .units()
                    .get(0);
            first.merge(corner.treatment(), 1, Integer::sum);
        }
        assertThat(first.values()).allSatisfy(count -> assertThat(count).isBetween(draws / 3 - 130, draws / 3 + 130));
    }

    @Test
    void theSeedRepeatsTheDraw() {
        List<BlockedLayout.Filling> fillings = BlockedLayout.alike(4, "pot", 400);
        assertThat(BlockedLayout.draw(fillings, List.of("Sill"), 3, 9))
                .isEqualTo(BlockedLayout.draw(fillings, List.of("Sill"), 3, 9))
                .isNotEqualTo(BlockedLayout.draw(fillings, List.of("Sill"), 3, 10));
    }

    @Test
    void replicatesGrowWithScatterAndShrinkWithTheDifference() {
        // Two-sample t test, sd 1, difference 1, 80 % power: 17 a group in any table.
        assertThat(Replicates.toTellApart(1, 1)).isEqualTo(17);
        assertThat(Replicates.toTellApart(2, 1)).isGreaterThan(Replicates.toTellApart(1, 1));
        assertThat(Replicates.toTellApart(1, -2)).isLessThan(Replicates.toTellApart(1, 1));
        assertThat(Replicates.toTellApart(1e-6, 1)).isEqualTo(2);
    }
}
