package elsom.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ServingOrderTest {
    /** In full sets every sample stands in every place, and follows every other, as often as any. */
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8})
    void fullSetsAreBalanced(int samples) {
        int tasters = 2 * ServingOrder.fullSet(samples);
        ServingOrder order = ServingOrder.of(samples, tasters, 5);
        Map<String, Integer> places = new HashMap<>();
        Map<String, Integer> follows = new HashMap<>();
        for (List<Integer> row : order.rows()) {
            assertThat(row).doesNotHaveDuplicates().hasSize(samples);
            for (int place = 0; place < samples; place++) {
                places.merge(row.get(place) + " at " + place, 1, Integer::sum);
                if (place > 0) {
                    follows.merge(row.get(place - 1) + " then " + row.get(place), 1, Integer::sum);
                }
            }
        }
        assertThat(places.values()).hasSize(samples * samples).containsOnly(tasters / samples);
        assertThat(follows.values()).hasSize(samples * (samples - 1)).containsOnly(tasters / samples);
    }

    @Test
    void theSameSeedServesTheSame() {
        assertThat(ServingOrder.of(4, 10, 3)).isEqualTo(ServingOrder.of(4, 10, 3));
        assertThat(ServingOrder.of(4, 10, 3)).isNotEqualTo(ServingOrder.of(4, 10, 4));
        assertThat(ServingOrder.of(4, 10, 3).rows()).hasSize(10);
        assertThatThrownBy(() -> ServingOrder.of(1, 10, 3)).isInstanceOf(IllegalArgumentException.class);
    }
}
