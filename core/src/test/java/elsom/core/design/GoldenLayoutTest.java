package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/**
 * What a seed draws, for ever: labels are printed before a trial starts, and a plan is drawn anew on each visit. The order
 * was computed from the published algorithm (SplitMix64) in another language.
 */
class GoldenLayoutTest {
    @Test
    void aSeedDrawsTheSameOrderOnEveryMachine() {
        List<Integer> numbers = IntStream.range(0, 12).boxed().toList();
        assertThat(new RandomDraw(4711).shuffled(numbers)).containsExactly(3, 8, 1, 5, 6, 10, 0, 7, 4, 9, 11, 2);
        assertThat(new RandomDraw(-5).shuffled(numbers)).containsExactly(8, 0, 11, 10, 6, 9, 3, 4, 2, 1, 7, 5);
    }

    @Test
    void aSeedDrawsTheSameCodesOnEveryMachine() {
        assertThat(UnitCodes.draw(6, 77).stream().map(Object::toString).collect(Collectors.joining(" ")))
                .isEqualTo("R87 X63 M86 R92 W89 W28");
    }

    @Test
    void everyPlaceIsAsLikelyForEveryItem() {
        int[] first = new int[5];
        for (long seed = 0; seed < 20_000; seed++) {
            List<Integer> order = new RandomDraw(seed * 31).shuffled(List.of(0, 1, 2, 3, 4));
            assertThat(order).containsExactlyInAnyOrder(0, 1, 2, 3, 4);
            first[order.get(0)]++;
        }
        for (int times : first) {
            assertThat(times).isBetween(3800, 4200);
        }
    }
}
