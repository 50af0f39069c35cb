package elsom.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.WaterKinds;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RankingTest {
    private static List<String> rank(double... means) {
        Map<GroupKey, Double> groups = new LinkedHashMap<>();
        for (int i = 0; i < means.length; i++) {
            groups.put(new GroupKey(1, i + 1), means[i]);
        }
        return Ranking.of("all", WaterKinds.STILL_HELD, groups).places().stream()
                .map(placed -> placed.group().treatment() + ":" + placed.show())
                .toList();
    }

    @Test
    void theMostComesFirst() {
        assertThat(rank(0.2, 0.4, 0.3)).containsExactly("2:1", "3:2", "1:3");
    }

    @Test
    void withinTwoPercentIsATieAndTheNextPlaceIsSkipped() {
        assertThat(rank(0.400, 0.393, 0.3)).containsExactly("1:1=", "2:1=", "3:3");
        assertThat(rank(0.400, 0.391, 0.3)).containsExactly("1:1", "2:2", "3:3");
    }

    @Test
    void tiesDoNotCreepDownAChain() {
        assertThat(rank(1.00, 0.985, 0.97)).containsExactly("1:1=", "2:1=", "3:3");
    }

    @Test
    void zerosTieWithEachOther() {
        assertThat(rank(0, 0)).containsExactly("1:1=", "2:1=");
    }
}
