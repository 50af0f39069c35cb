package elsom.core.chemistry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.chemistry.Titration.Jar;
import elsom.core.chemistry.Titration.Status;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TitrationTest {
    private final Titration limed = Titration.of(List.of(
                    new Jar(0, 4.0),
                    new Jar(0, 4.2),
                    new Jar(2, 5.1),
                    new Jar(2, 5.1),
                    new Jar(4, 6.1),
                    new Jar(6, 6.7)))
            .asOptional()
            .orElseThrow();

    @Test
    void jarsOfAnAmountAreAveraged() {
        assertThat(limed.amounts()).containsExactly(0.0, 2.0, 4.0, 6.0);
        assertThat(limed.meanPh().get(0)).isCloseTo(4.1, within(1e-12));
        assertThat(limed.monotone()).isTrue();
    }

    /** The curve goes through every mean, and back from the pH to the lime. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 0.7, 2, 3.3, 4, 5.9, 6})
    void lookingUpAndBackAreInverse(double amount) {
        double ph = limed.curve().at(amount).asOptional().orElseThrow();
        assertThat(limed.dose(ph).asOptional().orElseThrow()).isCloseTo(amount, within(1e-9));
    }

    @Test
    void straightBetweenMeansIsAnotherAnswer() {
        assertThat(limed.linearDose(5.6).asOptional().orElseThrow()).isCloseTo(3, within(1e-9));
    }

    @Test
    void nothingIsSaidOutsideTheTestedRange() {
        assertThat(limed.status(7)).isEqualTo(Status.ABOVE_RANGE);
        assertThat(limed.status(3)).isEqualTo(Status.BELOW_RANGE);
        assertThat(limed.status(5)).isEqualTo(Status.OK);
        assertThat(limed.dose(7).whyNot()).isPresent();
        assertThat(limed.dose(3).whyNot()).isPresent();
    }

    @Test
    void oneAmountIsNoTitration() {
        assertThat(Titration.of(List.of(new Jar(1, 5), new Jar(1, 5.2))).whyNot())
                .isPresent();
        assertThatThrownBy(() -> new Jar(-1, 5)).hasMessageContaining("0 or more");
        assertThatThrownBy(() -> new Jar(1, 14.5)).hasMessageContaining("between 0 and 14");
    }

    @Test
    void aDipIsSaidToBeOne() {
        Titration dips = Titration.of(List.of(new Jar(0, 5), new Jar(1, 4.8), new Jar(2, 5.6)))
                .asOptional()
                .orElseThrow();
        assertThat(dips.monotone()).isFalse();
    }
}
