package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.ControlKind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A question can name its treatments before they have letters, and by either afterwards. */
class NamedTreatmentsTest {
    private final Plan planned =
            APlan.ofGrowth().list("none", "seaweed", "wood vinegar").plan();
    private final NamedTreatments named = new NamedTreatments(planned.treatments());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"B|2", "b, c|2 3", "b c|2 3", "Seaweed|2", "WOOD  vinegar, A|3 1", "none, none|1", "''|''"})
    void lettersAndNamesAreTheSame(String typed, String numbers) {
        assertThat(named.numbers(typed, ControlKind.NONE))
                .extracting(String::valueOf)
                .isEqualTo(split(numbers));
        assertThat(named.in(planned)).isEqualTo(planned);
    }

    private static List<String> split(String numbers) {
        return numbers.isEmpty() ? List.of() : List.of(numbers.split(" "));
    }

    @ParameterizedTest
    @CsvSource({"D", "kelp", "7", "A x"})
    void whatIsNoTreatmentIsNamedWithWhatIs(String typed) {
        assertThatThrownBy(() -> named.numbers(typed, ControlKind.NONE))
                .hasMessageContaining("“" + typed + "” is not a treatment. Accepted: letters from A to C, their names");
    }

    @Test
    void namesMakeTreatmentsOfAPlanThatHasNone() {
        Plan bare = APlan.ofGrowth().plan();
        NamedTreatments first = new NamedTreatments(bare.treatments());
        assertThat(first.numbers("tap water", ControlKind.CONTROL)).containsExactly(1);
        assertThat(first.numbers("kelp, wood vinegar", ControlKind.NONE)).containsExactly(2, 3);
        assertThat(first.numbers("Kelp", ControlKind.NONE)).as("asked again").containsExactly(2);
        assertThat(first.in(bare).treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("tap water", "kelp", "wood vinegar");
        assertThat(first.in(bare).treatments().all())
                .extracting(PlannedTreatment::isControl)
                .containsExactly(true, false, false);
    }

    @Test
    void lettersOfAPlanThatHasNoneMakeNothing() {
        Plan bare = APlan.ofGrowth().plan();
        NamedTreatments first = new NamedTreatments(bare.treatments());
        assertThat(first.numbers("B, D", ControlKind.NONE)).containsExactly(2, 4);
        assertThat(first.in(bare)).isEqualTo(bare);
    }
}
