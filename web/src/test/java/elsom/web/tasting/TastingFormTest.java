package elsom.web.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.panel.Tasting;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A tasting as it is typed. */
class TastingFormTest {
    private static TastingForm form(Tasting.Kind kind, @Nullable String samples, @Nullable String tasters) {
        return new TastingForm(kind, samples, tasters, null);
    }

    @Test
    void emptyLinesAndSpacesAreNoSamples() {
        TastingForm form = form(Tasting.Kind.LIKING, "  plain \n\n weak\n", " 12 ");
        assertThat(form.problems()).isEmpty();
        assertThat(form.tasting(3).samples()).containsExactly("plain", "weak");
        assertThat(form.tasting(3).tasters()).isEqualTo(12);
    }

    @Test
    void everyThingThatIsWrongIsToldAtOnce() {
        assertThat(form(Tasting.Kind.PAIR, "one", "0").problems())
                .hasSize(2)
                .allMatch(problem -> problem.contains("Accepted: "));
        assertThat(form(Tasting.Kind.RANKING, null, null).problems()).hasSize(2);
        assertThat(form(Tasting.Kind.LIKING, "a".repeat(70) + "\nb", "6").problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem).contains("60 characters at most"));
    }

    @Test
    void whoChoosesNothingScoresLiking() {
        assertThat(new TastingForm(null, "a\nb", "6", null).chosen()).isEqualTo(Tasting.Kind.LIKING);
    }
}
