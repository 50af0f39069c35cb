package elsom.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How often the judge is wrong, over trials whose truth is known. */
class JudgeErrorsTest {
    private static final int TRIALS = 2000;
    private static final int FEWER_TRIALS = 300;
    private static final int UNITS = 6;

    /** Shares, of trials, of what may go wrong in any of a question's comparisons. */
    private record Errors(double better, double worse, double covered, double none, double cantTell) {
        static Errors of(SimulatedTrials kind, int trials, int units, double effect) {
            SplittableRandom random = new SplittableRandom(20260611L + kind.ordinal());
            Judgement[] judged = new Judgement[trials];
            for (int i = 0; i < trials; i++) {
                judged[i] = Judge.unlettered(kind.drawn(random, units, effect), kind.ask());
            }
            return new Errors(
                    any(judged, c -> c.answer() == Answer.BETTER),
                    any(judged, c -> c.answer() == Answer.WORSE),
                    1 - any(judged, c -> !covers(c, effect)),
                    any(judged, c -> c.answer() == Answer.NO_DIFFERENCE),
                    any(judged, c -> c.answer() == Answer.CANT_TELL));
        }

        private static boolean covers(Comparison comparison, double truth) {
            return comparison.interval().orElseThrow().low() <= truth
                    && comparison.interval().orElseThrow().high() >= truth;
        }

        private static double any(Judgement[] judged, Predicate<Comparison> what) {
            return Arrays.stream(judged)
                            .filter(one -> one.comparisons().stream().anyMatch(what))
                            .count()
                    / (double) judged.length;
        }
    }

    @ParameterizedTest
    @EnumSource
    void withoutATrueDifferenceFewAreFound(SimulatedTrials kind) {
        Errors errors = Errors.of(kind, Simulations.of(TRIALS), UNITS, 0);
        assertThat(errors.better()).isLessThanOrEqualTo(Simulations.most(0.03, TRIALS));
        assertThat(errors.worse()).isLessThanOrEqualTo(Simulations.most(0.03, TRIALS));
        assertThat(errors.covered()).isGreaterThanOrEqualTo(Simulations.least(0.93, TRIALS));
        if (kind != SimulatedTrials.TRAYS && kind != SimulatedTrials.SCORES) {
            assertThat(errors.covered()).isLessThanOrEqualTo(Simulations.most(0.98, TRIALS));
        }
    }

    @ParameterizedTest
    @EnumSource
    void aDifferenceThatMattersIsSeldomCalledNone(SimulatedTrials kind) {
        Errors errors = Errors.of(kind, Simulations.of(TRIALS), UNITS, kind.margin());
        assertThat(errors.none()).isLessThanOrEqualTo(Simulations.most(0.05, TRIALS));
        assertThat(errors.covered()).isGreaterThanOrEqualTo(Simulations.least(0.93, TRIALS));
    }

    @ParameterizedTest
    @EnumSource
    void moreUnitsTellMore(SimulatedTrials kind) {
        double few =
                Errors.of(kind, Simulations.of(FEWER_TRIALS), 4, kind.margin()).cantTell();
        double more =
                Errors.of(kind, Simulations.of(FEWER_TRIALS), 16, kind.margin()).cantTell();
        assertThat(more).isLessThan(few);
    }
}
