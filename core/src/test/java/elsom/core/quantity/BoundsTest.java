package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.trial.Bench;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BoundsTest {
    private static final EndpointCode HEIGHT = new EndpointCode("height");

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.NEGATIVE_INFINITY, -0.1, 5.0001, 1e308})
    void aNumberOutsideItsRangeIsRefusedWithTheRange(double value) {
        assertThatThrownBy(() -> Bounds.number("depth", value, 0, 5)).hasMessage("depth must be 0 to 5, got " + value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1969-12-31T23:59:59Z", "2200-01-01T00:00:00Z", "+999999-01-01T00:00:00Z"})
    void anInstantNoTrialIsRunAtIsRefused(String at) {
        assertThatThrownBy(() -> Bounds.instant("the start", Instant.parse(at))).hasMessageContaining("1970 to 2199");
    }

    @ParameterizedTest
    @ValueSource(strings = {"two\nlines", "a\0zero", "bell\u0007"})
    void aNameIsOneLine(String text) {
        assertThatThrownBy(() -> Bounds.name("a name", text, 60)).hasMessageContaining("one line");
    }

    @Test
    void aNoteMayHaveLinesAndNothingElseThatControls() {
        assertThat(Bounds.note("a note", "one\r\n\ttwo", 60)).isEqualTo("one\r\n\ttwo");
        assertThatThrownBy(() -> Bounds.note("a note", "a\u001bb", 60)).hasMessageContaining("control");
        assertThatThrownBy(() -> Bounds.note("a note", null, 60)).hasMessage("a note is missing");
    }

    @Test
    void whatOnceBrokeEveryPageIsRefusedByTheRecords() {
        assertThatThrownBy(() -> new Look(1, "day 1", Duration.ofSeconds(9_000_000_000_000_000_000L), List.of(HEIGHT)))
                .hasMessageContaining("ten years");
        assertThatThrownBy(() -> Bench.plain(1, "Hall", 999_999_999, 999_999_999))
                .hasMessageContaining("1 to 202");
        assertThatThrownBy(() -> new Endpoint(
                        HEIGHT, "Height", UnitOfMeasure.MILLIMETRE, Counting.SINGLE, 1, 0, 10, 999_999_999, null))
                .hasMessageContaining("decimals");
        assertThatThrownBy(() -> Endpoint.single(HEIGHT, "Height", UnitOfMeasure.MILLIMETRE, 0, 1e308, 0))
                .hasMessageContaining("highest value");
    }

    /** It took 45 s before: the text is read in time that grows with its length, not its cube. */
    @Test
    @Timeout(30)
    void levelsFullOfSpacesAreReadAtOnce() {
        String spaces = " ".repeat(Bounds.LEVELS_TEXT - 10);
        assertThatThrownBy(() -> LevelsText.parse("Dose", FactorKind.DOSE, "1 to 2" + spaces + "x", "", null, null))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() ->
                        LevelsText.parse("Dose", FactorKind.DOSE, "1 to 2" + " ".repeat(2000) + "x", "", null, null))
                .hasMessageContaining("at most 500");
    }

    @Test
    void everyCheckGivesBackWhatItTakes() {
        assertThat(Bounds.name("a name", "Wood fibre", 60)).isEqualTo("Wood fibre");
        assertThat(Bounds.number("depth", 5, 0, 5)).isEqualTo(5);
        assertThat(Bounds.count("rows", 1, 1, 202)).isEqualTo(1);
        assertThat(Bounds.span("a look", Bounds.AFTER)).isEqualTo(Bounds.AFTER);
        assertThat(Bounds.instant("the start", Bounds.EARLIEST)).isEqualTo(Bounds.EARLIEST);
        assertThat(Bounds.list("looks", List.of(1, 2), 1, 2)).containsExactly(1, 2);
        assertThat(Bounds.present("a part", HEIGHT)).isSameAs(HEIGHT);
    }

    @Test
    void everyCheckSaysWhatItWasGiven() {
        assertThatThrownBy(() -> Bounds.name("a name", " ", 60)).hasMessage("a name has 1 to 60 characters, got none");
        assertThatThrownBy(() -> Bounds.line("a name", "x".repeat(61), 60))
                .hasMessage("a name has at most 60 characters, got 61");
        assertThatThrownBy(() -> Bounds.count("rows", 0, 1, 202)).hasMessage("rows must be 1 to 202, got 0");
        assertThatThrownBy(() -> Bounds.list("looks", List.of(), 1, 2)).hasMessage("there are 1 to 2 looks, got 0");
        assertThatThrownBy(() -> Bounds.list("looks", null, 1, 2)).hasMessage("looks are missing");
        assertThatThrownBy(() -> Bounds.present("a part", null)).hasMessage("a part is missing");
        assertThatThrownBy(() -> Bounds.span("a look", Duration.ofDays(-366))).hasMessageContaining("a year before");
        assertThatThrownBy(() -> Bounds.span("a look", null)).hasMessage("a look is missing");
        assertThatThrownBy(() -> Bounds.instant("the start", null)).isInstanceOf(Bounds.OutOfBounds.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"ä", "🌱🌱", "100 % <b>“quoted”</b>", "=1+1", "a\u00a0b"})
    void lettersOfEveryKindAreTaken(String text) {
        assertThat(Bounds.line("a text", text, 60)).isEqualTo(text);
        assertThat(Bounds.name("a text", text, 60)).isEqualTo(text);
        assertThat(Bounds.note("a text", text, 60)).isEqualTo(text);
    }
}
