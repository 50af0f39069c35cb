package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Few words, and no other meaning: intervals go, names stay, and what is left out shows. */
class HeadlineTest {
    private static Headline of(String sentence) {
        return Headline.of(new Verdict(Verdict.Firmness.SETTLED, sentence, ""));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Wood fibre holds 27 % (95 %: 24–29) of its volume.|Wood fibre holds 27 % of its volume.",
                "It holds up to 4.57 mS/cm (95 % interval 3.13 to 5.41), then falls.|It holds up to 4.57 mS/cm, then falls.",
                "It has come back (0.05 left, 95 % interval 0.05 to 0.06).|It has come back.",
                "Heavier: +3.1 g, +24 % (+1 to +47 %).|Heavier: +3.1 g, +24 %.",
                "Lighter: −3.1 g (−5.0 to −1.2 g), for certain.|Lighter: −3.1 g, for certain.",
            })
    void intervalsAreLeftToThePicture(String sentence, String headline) {
        assertThat(of(sentence)).isEqualTo(new Headline(headline, true));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Pumice (2 to 4 mm) differs from bark.",
                "Bark (95 % of it) and none show no difference.",
                "Harm from 1 % (0.5 to 1 mL/L) on.",
                "Worse: 1 % (+0.8 points), 2 % (−3.3 points).",
            })
    void bracketsThatAreNoIntervalStay(String sentence) {
        assertThat(of(sentence).words()).isEqualTo(sentence);
    }

    @Test
    void whatIsLongIsCutAtItsClausesAndSaysSo() {
        String first = "Injury at day 7 beside none: worse: one, two, three, four, five, six (+1.3 points);";
        String second = " no difference that matters: seven, eight, nine, ten, eleven;";
        String third = " can't tell yet: twelve, thirteen, fourteen, fifteen.";
        assertThat(of(first + second + third))
                .isEqualTo(new Headline((first + second).replaceAll(";$", "") + " …", false));
        assertThat(of("One. " + first + second + third).words())
                .startsWith("One. Injury at day 7")
                .endsWith(" …");
        String unbroken = "word ".repeat(40).strip();
        assertThat(of(unbroken).words().split(" ")).hasSize(Headline.MOST_WORDS + 1);
    }

    @Test
    void itsOwnFewWordsComeFirst() {
        Verdict verdict = new Verdict(Verdict.Firmness.SETTLED, "A long story.", "").briefly("Short.");
        assertThat(Headline.of(verdict).words()).isEqualTo("Short.");
        assertThat(of("").words()).isEmpty();
    }
}
