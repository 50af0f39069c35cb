package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.seedling.HalfLives;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A range of half-lives as typed; what can't be is said at its field, and the usual range stands in. */
class ResidueFormTest {
    @Test
    void daysAreUnderstoodAlsoAsHours() {
        ResidueForm form = ResidueForm.read("48 h", "30,5 days");
        assertThat(form.problems()).isEmpty();
        assertThat(form.halfLives()).isEqualTo(new HalfLives(2, 30.5));
        assertThat(ResidueForm.usual().halfLives()).isEqualTo(HalfLives.USUAL);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 14, shortest, above 0",
        "-3, 14, shortest, above 0",
        "a while, 14, shortest, Accepted: 21",
        "2, 5000, longest, up to 3650",
        "20, 14, longest, No less than the shortest"
    })
    void whatCantBeIsSaidAndStands(String shortest, String longest, String field, String says) {
        ResidueForm form = ResidueForm.read(shortest, longest);
        assertThat(form.problems()).containsOnlyKeys(field);
        assertThat(form.problem(field)).contains(says);
        assertThat(form.halfLives()).isEqualTo(HalfLives.USUAL);
        assertThat(form.shortest()).isEqualTo(shortest);
    }
}
