package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Observations.Better;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class RankingTest {
    private static JudgedQuestion question(Better better, OptionalDouble margin, double... means) {
        return AQuestion.among(means).better(better).margin(margin).judged();
    }

    private static List<String> places(Better better, OptionalDouble margin, double... means) {
        JudgedQuestion question = question(better, margin, means);
        return Ranking.of(question, Ranking.among(question), margin).places().stream()
                .map(placed -> placed.name() + ":" + placed.show())
                .toList();
    }

    @Test
    void whatIsPartedHasAPlaceOfItsOwnInTheBetterDirection() {
        assertThat(places(Better.HIGHER, OptionalDouble.empty(), 10, 30, 20)).containsExactly("B:1", "C:2", "A:3");
        assertThat(places(Better.LOWER, OptionalDouble.empty(), 10, 30, 20)).containsExactly("A:1", "C:2", "B:3");
    }

    @Test
    void whatCanNotBePartedSharesItsPlaces() {
        assertThat(places(Better.HIGHER, OptionalDouble.empty(), 10, 20.3, 20))
                .containsExactly("B:1–2", "C:1–2", "A:3");
    }

    @Test
    void asGoodAsIsSaidOnlyWhereWhatMattersIsRuledOut() {
        JudgedQuestion wide = question(Better.HIGHER, OptionalDouble.of(3), 20, 20.2);
        JudgedQuestion tight = question(Better.HIGHER, OptionalDouble.of(0.5), 20, 20.2);
        assertThat(Ranking.of(wide, List.of(0, 1), OptionalDouble.of(3))
                        .places()
                        .get(0)
                        .alike())
                .containsExactly("A");
        assertThat(Ranking.of(tight, List.of(0, 1), OptionalDouble.of(0.5))
                        .places()
                        .get(0)
                        .alike())
                .isEmpty();
    }

    @Test
    void weightsThatAreTurnedShowWhoWouldLead() {
        JudgedQuestion mass = question(Better.HIGHER, OptionalDouble.empty(), 10, 20, 12);
        JudgedQuestion injury = question(Better.LOWER, OptionalDouble.empty(), 1, 9, 2);
        Weighted even = Weighted.of(List.of(mass, injury), List.of(1.0, 1.0));
        assertThat(even.order().get(0).name()).isEqualTo("C");
        assertThat(even.steady()).isFalse();
        assertThat(even.turned().get(0).higher()).isEqualTo("B");
        assertThat(Weighted.of(List.of(mass, injury), List.of(9.0, 1.0)).steady())
                .isTrue();
    }
}
