package elsom.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.panel.ForcedChoice.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ForcedChoiceTest {
    /** The tables of Roessler, Pangborn, Sidel and Stone (1978), J. Food Sci. 43:940–943, at 5 %. */
    @ParameterizedTest
    @CsvSource({
        "TRIANGLE,5,4",
        "TRIANGLE,6,5",
        "TRIANGLE,10,7",
        "TRIANGLE,12,8",
        "TRIANGLE,18,10",
        "TRIANGLE,20,11",
        "TRIANGLE,30,15",
        "TRIANGLE,50,23",
        "PAIR,6,6",
        "PAIR,10,9",
        "PAIR,12,10",
        "PAIR,20,15",
        "PAIR,30,21",
        "PAIR,50,33"
    })
    void asManyAsTheTablesSay(Kind kind, int tasters, int least) {
        assertThat(ForcedChoice.leastOf(kind, tasters)).hasValue(least);
        assertThat(new ForcedChoice(kind, tasters, least).shown()).isTrue();
        assertThat(new ForcedChoice(kind, tasters, least - 1).shown()).isFalse();
    }

    /** Summed in fractions elsewhere: P(X ≥ 8) of 12 at 1/3, and twice P(X ≥ 15) of 20 at 1/2. */
    @Test
    void theTailIsExact() {
        assertThat(new ForcedChoice(Kind.TRIANGLE, 12, 8).p()).isCloseTo(0.01875843226, within(1e-10));
        assertThat(new ForcedChoice(Kind.PAIR, 20, 15).p()).isCloseTo(0.04138946533, within(1e-10));
        assertThat(new ForcedChoice(Kind.TRIANGLE, 12, 0).p()).isEqualTo(1);
    }

    /** Found by search in fractions elsewhere, at 4 of 5 panels. */
    @ParameterizedTest
    @CsvSource({"TRIANGLE,0.5,16", "TRIANGLE,0.3,40", "PAIR,0.4,49"})
    void soManyTastersWouldTell(Kind kind, double canTell, int tasters) {
        assertThat(ForcedChoice.tastersFor(kind, canTell)).hasValue(tasters);
    }

    @Test
    void guessesAreTakenOffTheRightAnswers() {
        ForcedChoice all = new ForcedChoice(Kind.TRIANGLE, 12, 12);
        assertThat(all.discriminating()).isEqualTo(1);
        ForcedChoice third = new ForcedChoice(Kind.TRIANGLE, 12, 4);
        assertThat(third.discriminating()).isZero();
        assertThat(third.discriminators().low()).isZero();
        assertThat(new ForcedChoice(Kind.TRIANGLE, 3, 3).shown()).isTrue();
        assertThat(ForcedChoice.leastOf(Kind.PAIR, 5)).isEmpty();
        assertThatThrownBy(() -> new ForcedChoice(Kind.PAIR, 5, 6)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Whichever of the two it is that all like better: 2 · (1/2)¹⁰. */
    @Test
    void aPairIsTheSameFromEitherSide() {
        ForcedChoice second = new ForcedChoice(ForcedChoice.Kind.PAIR, 10, 10);
        ForcedChoice first = new ForcedChoice(ForcedChoice.Kind.PAIR, 10, 0);
        assertThat(second.p()).isCloseTo(2 / 1024.0, within(1e-12));
        assertThat(first.p()).isEqualTo(second.p());
        assertThat(first.shown()).isTrue();
        assertThat(first.otherWay()).isTrue();
        assertThat(second.otherWay()).isFalse();
        assertThat(first.discriminators()).isEqualTo(second.discriminators());
        assertThat(new ForcedChoice(ForcedChoice.Kind.PAIR, 10, 5).p()).isEqualTo(1);
        assertThat(new ForcedChoice(ForcedChoice.Kind.TRIANGLE, 10, 0).p()).isEqualTo(1);
    }
}
