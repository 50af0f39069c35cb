package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names inside a sentence begin small, unless they are codes or signs. */
class SentenceTest {
    @ParameterizedTest
    @CsvSource({
        "Fresh mass, fresh mass",
        "Mean EC at 15 cm, mean EC at 15 cm",
        "EC of the drain water, EC of the drain water",
        "pH, pH",
        "GW-32, GW-32",
        "A shelf, a shelf",
        "T50, T50"
    })
    void namesKeepTheirSigns(String name, String inside) {
        assertThat(Sentence.inside(name)).isEqualTo(inside);
    }

    @Test
    void nothingStaysNothing() {
        assertThat(Sentence.inside("")).isEmpty();
        assertThat(Sentence.inside("E")).isEqualTo("e");
    }
}
