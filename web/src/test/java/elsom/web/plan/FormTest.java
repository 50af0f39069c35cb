package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Side;
import elsom.web.platform.TooLarge;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FormTest {
    private final Problems problems = new Problems();

    @Test
    void linesOfAListAreCountedToTheLastThatWasSent() {
        Form form = Form.sent(Map.of(
                "looks[0].after", new String[] {" 6 h "},
                "looks[4].name", new String[] {"late"},
                "looks[999].name", new String[] {"far too many"},
                "other[2].x", new String[] {""}));
        assertThat(form.lines("looks")).isEqualTo(60);
        assertThat(form.lines("other")).isEqualTo(3);
        assertThat(form.lines("none")).isZero();
        assertThat(form.text("looks", 0, "after")).isEqualTo("6 h");
        assertThat(form.text("looks", 1, "after")).isEmpty();
    }

    @Test
    void aFieldSentForEachTickKeepsAllValues() {
        Form form = Form.sent(Map.of("days", new String[] {"MONDAY", "FRIDAY"}, "guards", new String[] {"true"}));
        assertThat(form.values("days")).containsExactly("MONDAY", "FRIDAY");
        assertThat(form.ticked("guards")).isTrue();
        assertThat(form.ticked("blind")).isFalse();
        assertThat(form.values("nothing")).isEmpty();
    }

    @Test
    void whatNobodyTypesIsRefused() {
        assertThatThrownBy(() -> Form.sent(Map.of("x", new String[] {"y".repeat(30_000)})))
                .isInstanceOf(TooLarge.class)
                .hasMessageContaining("at most 20000 characters");
    }

    @ParameterizedTest
    @CsvSource({"6 h,PT6H", "7 d,P7D", "7,P7D", "90 min,PT1H30M", "-3 h,PT-3H", "'1,5 d',PT36H", "−1,P-1D"})
    void spansAreDaysWithoutAUnit(String text, Duration span) {
        assertThat(problems.span("after", text, Duration.ZERO, "Accepted: 6 h."))
                .isEqualTo(span);
        assertThat(problems.none()).isTrue();
    }

    @Test
    void aRefusedFieldSaysWhatWouldDoAndKeepsItsFirstReason() {
        assertThat(problems.span("after", "soon", Duration.ofHours(1), "Accepted: 6 h."))
                .isEqualTo(Duration.ofHours(1));
        assertThat(problems.of("after")).isEqualTo("No number in “soon”. Accepted: 6 h.");
        problems.add("after", "another");
        assertThat(problems.of("after")).startsWith("No number");
        assertThat(problems.all()).hasSize(1);
    }

    @Test
    void amountsAreReadInAnyUnitOfTheirKind() {
        assertThat(problems.amount("volume", "1,5 L", UnitOfMeasure.MILLILITRE, 0, 2000, 0, "ask"))
                .isEqualTo(1500);
        assertThat(problems.amount("volume", "", UnitOfMeasure.MILLILITRE, 0, 2000, 7, "ask"))
                .isEqualTo(7);
        assertThat(problems.none()).isTrue();
        assertThat(problems.amount("volume", "3 L", UnitOfMeasure.MILLILITRE, 0, 2000, 7, "ask"))
                .isEqualTo(7);
        assertThat(problems.of("volume")).isEqualTo("ask");
    }

    @Test
    void textsAreRequiredAndLimited() {
        assertThat(problems.required("question", "", 10, "Write it.")).isEmpty();
        assertThat(problems.of("question")).isEqualTo("Write it.");
        assertThat(problems.limited("crop", "marigold and more", 8)).isEqualTo("marigold");
        assertThat(problems.of("crop")).isEqualTo("At most 8 characters; this has 17.");
    }

    @Test
    void whatIsRefusedElsewhereIsSaidAsASentence() {
        assertThat(problems.tried("x", () -> {
                    throw new IllegalArgumentException("it is not so");
                }))
                .isEmpty();
        assertThat(problems.of("x")).isEqualTo("It is not so.");
        assertThat(problems.tried("y", () -> 3)).contains(3);
    }

    @Test
    void aForgedChoiceFallsBack() {
        assertThat(Problems.choice(Side.class, "LEFT", Side.TOP)).isEqualTo(Side.LEFT);
        assertThat(Problems.choice(Side.class, "UPWARDS", Side.TOP)).isEqualTo(Side.TOP);
    }
}
