package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Observations.Better;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One unit of each: an order is told, and that it is none that was judged. */
class InOrderTest {
    private static List<String> rows(Better better, double... values) {
        return InOrder.of(AQuestion.single(values).better(better).judged()).orElseThrow().rows().stream()
                .map(row -> row.place() + (row.shared() ? "= " : " ") + (char) ('A' + row.arm()) + " " + row.change())
                .toList();
    }

    @Test
    void treatmentsStandInOrderWithTiesAndWhatTheyAreBesideTheControl() {
        assertThat(rows(Better.HIGHER, 10, 13.4, 8, 13.4))
                .containsExactly("1= B +34 %", "1= D +34 %", "3 A ", "4 C −20 %");
        assertThat(rows(Better.LOWER, 10, 13.4, 8)).containsExactly("1 C −20 %", "2 A ", "3 B +34 %");
    }

    @Test
    void besideAControlOfNoughtThereIsNoPercentage() {
        assertThat(rows(Better.HIGHER, 0, 2))
                .first()
                .asString()
                .startsWith("1 B +2")
                .doesNotContain("%");
    }

    @Test
    void onlySingleUnitsAreToldInOrder() {
        assertThat(InOrder.fits(AQuestion.single(1, 2, 3).judged())).isTrue();
        assertThat(InOrder.fits(AQuestion.among(1, 2, 3).judged())).isFalse();
    }
}
