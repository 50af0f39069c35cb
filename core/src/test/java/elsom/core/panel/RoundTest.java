package elsom.core.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The phone goes round: who is next, and what an answer comes to. */
class RoundTest {
    private static Round round(Tasting.Kind kind, int tasters, Map<Integer, Map<Integer, Double>> answers) {
        List<String> samples = kind.ofTwo() ? List.of("old", "new") : List.of("tap", "tea", "kelp");
        return new Round(new Tasting(kind, samples, tasters, 7), answers);
    }

    @Test
    void theFirstWhoIsNotDoneIsNextAlsoWhenALaterOneHasAnswered() {
        Round round = round(Tasting.Kind.TRIANGLE, 3, Map.of(1, Map.of(0, 1.0), 3, Map.of(2, 1.0)));
        assertThat(round.next()).isEqualTo(2);
        assertThat(round.allDone()).isFalse();
        assertThat(round.tasted().done()).isEqualTo(2);
        assertThat(round(Tasting.Kind.TRIANGLE, 1, Map.of(1, Map.of(0, 1.0))).allDone())
                .isTrue();
    }

    @Test
    void thePhoneGoesRoundPastWhoRatherWontTaste() {
        Round round = round(Tasting.Kind.TRIANGLE, 4, Map.of(2, Map.of(0, 1.0)));
        assertThat(round.after(1)).isEqualTo(3);
        assertThat(round.after(3)).isEqualTo(4);
        assertThat(round.after(4)).isEqualTo(1);
        assertThat(round(Tasting.Kind.TRIANGLE, 1, Map.of()).after(1)).isEqualTo(1);
        assertThat(round(Tasting.Kind.TRIANGLE, 1, Map.of(1, Map.of(0, 1.0))).after(1))
                .isZero();
    }

    @Test
    void aTasterIsDoneOnlyAfterTheLastPlateOfALiking() {
        Round round = round(Tasting.Kind.LIKING, 2, Map.of(1, Map.of(0, 6.0, 1, 5.0)));
        assertThat(round.done(1)).isFalse();
        assertThat(round.tasted().done()).isZero();
        assertThat(round.answering(1, 2, 8)).containsExactly(Map.entry(2, 8.0));
    }

    @Test
    void aPickIsAPickWhateverElseIsSent() {
        assertThat(round(Tasting.Kind.TRIANGLE, 2, Map.of()).answering(2, 2, 55))
                .containsExactly(Map.entry(2, 1.0));
        assertThat(round(Tasting.Kind.PAIR, 2, Map.of()).answering(1, 1, 1)).containsExactly(Map.entry(1, 1.0));
    }

    @Test
    void ranksAreGivenFromTheBestAndTheLastPlateFallsIntoPlace() {
        assertThat(round(Tasting.Kind.RANKING, 1, Map.of()).answering(1, 2, 1)).containsExactly(Map.entry(2, 1.0));
        Round one = round(Tasting.Kind.RANKING, 1, Map.of(1, Map.of(2, 1.0)));
        assertThat(one.answering(1, 0, 1)).containsExactly(Map.entry(0, 2.0), Map.entry(1, 3.0));
        assertThatThrownBy(() -> one.answering(1, 2, 1)).hasMessageContaining("has its place already");
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 5", "4, 0, 5", "1, -1, 5", "1, 3, 5", "1, 0, 0", "1, 0, 9.5"})
    void whatIsNotOnTheTrayOrOnTheScaleIsRefused(int taster, int place, double points) {
        Round round = round(Tasting.Kind.LIKING, 3, Map.of());
        assertThatThrownBy(() -> round.answering(taster, place, points))
                .hasMessageContaining("no such plate or taster");
    }

    @Test
    void answersThatNobodyCanHaveGivenAreNone() {
        assertThatThrownBy(() -> round(Tasting.Kind.PAIR, 2, Map.of(3, Map.of(0, 1.0))))
                .hasMessageContaining("taster 3 can't have answered");
        assertThatThrownBy(() -> round(Tasting.Kind.PAIR, 2, Map.of(1, Map.of(0, 1.0, 1, 1.0))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> round(Tasting.Kind.TRIANGLE, 2, Map.of(1, Map.of(3, 1.0))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> round(Tasting.Kind.LIKING, 2, Map.of(1, Map.of(0, 10.0))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> round(Tasting.Kind.RANKING, 2, Map.of(1, Map.of(0, 1.0, 1, 1.0))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whoIsDoneCannotVoteAgain() {
        Round round = round(Tasting.Kind.PAIR, 2, Map.of(1, Map.of(1, 1.0)));
        assertThatThrownBy(() -> round.answering(1, 0, 1)).hasMessage("Taster 1 is done already. Hand the phone on.");
    }

    @Test
    void aTriangleHasThreePlatesOfTwoSamples() {
        assertThat(round(Tasting.Kind.TRIANGLE, 1, Map.of()).tasting().plates()).isEqualTo(3);
        assertThat(round(Tasting.Kind.PAIR, 1, Map.of()).tasting().plates()).isEqualTo(2);
        assertThat(round(Tasting.Kind.LIKING, 1, Map.of()).tasting().plates()).isEqualTo(3);
    }
}
