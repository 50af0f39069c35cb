package elsom.web.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import elsom.core.practice.Call;
import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.trial.TrialId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The levels, how each went, and how well one knows what one knows. */
class PracticePageTest {
    private static final Level FIRST = Levels.find("one-pot-each").orElseThrow();

    private static Practice bench(long trial, boolean right, double sure) {
        long seed = trial;
        Call truth = FIRST.truth(FIRST.setting(), seed).right();
        Call other = truth == Call.BETTER ? Call.NO_DIFFERENCE : Call.BETTER;
        return new Practice(
                new TrialId(trial),
                FIRST,
                FIRST.setting(),
                seed,
                0,
                Optional.of(new Practice.Called(right ? truth : other, sure, 0.9)));
    }

    private static Practice open(long trial, double told) {
        return new Practice(
                new TrialId(trial),
                FIRST,
                FIRST.setting(),
                trial,
                0,
                Optional.of(new Practice.Called(Call.CANT_TELL, 0.5, told)));
    }

    @Test
    void beforeTheFirstBenchThereIsNothingToCount() {
        PracticePage page = PracticePage.of(List.of());
        assertThat(page.levels()).hasSize(10).allMatch(level -> level.went().isEmpty());
        assertThat(page.groups()).isEmpty();
        assertThat(page.tally()).isEmpty();
        assertThat(page.brier()).isEmpty();
    }

    @Test
    void honestOpenCallsCountAndAreNotScored() {
        PracticePage page = PracticePage.of(List.of(open(3, 0.1), open(2, 0.9), bench(1, true, 0.8)));
        assertThat(page.tally()).isEqualTo("2 of 3 benches judged rightly");
        assertThat(page.brier()).isEqualTo("0.04");
        assertThat(page.levels().get(0).went()).isEqualTo("rightly open");
        assertThat(page.levels().get(0).tries()).isEqualTo(3);
    }

    @Test
    void whatWasSaidStandsBesideWhatCame() {
        PracticePage page = PracticePage.of(
                List.of(bench(1, true, 0.8), bench(2, false, 0.8), bench(3, true, 0.95), bench(4, true, 1)));
        assertThat(page.groups())
                .extracting(
                        PracticePage.CalledLine::sure, PracticePage.CalledLine::calls, PracticePage.CalledLine::came)
                .containsExactly(tuple("70 to 90 % sure", 2, "50 %"), tuple("90 to 100 % sure", 2, "100 %"));
    }

    @Test
    void benchesThatWereNotCalledWaitOnTop() {
        Practice waiting = new Practice(new TrialId(9), FIRST, FIRST.setting(), 77, 0, Optional.empty());
        PracticePage page = PracticePage.of(List.of(waiting, bench(1, false, 0.6)));
        assertThat(page.open()).singleElement().satisfies(bench -> {
            assertThat(bench.href()).isEqualTo("/practice/bench/9");
            assertThat(bench.bench()).isEqualTo("bench 77");
        });
        assertThat(page.levels().get(0).css()).isEqualTo("miss");
    }
}
