package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.analysis.Answer;
import elsom.core.analysis.Ask;
import elsom.core.analysis.Judge;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.analysis.SimulatedTrials;
import elsom.core.analysis.Value;
import elsom.core.plan.Direction;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How often anything is called better or worse where nothing differs, over several questions and several looks. */
class SharedErrorsTest {
    private static final int TRIALS = 2000;
    private static final int FEWER = 500;
    private static final int UNITS = 6;
    private static final double MOST = 0.06;
    private static final EndpointCode HEIGHT = new EndpointCode("height");

    private static boolean told(Observations seen, double alpha) {
        Ask ask = Ask.againstControl(OptionalDouble.empty()).at(alpha);
        return Judge.unlettered(seen, ask).comparisons().stream()
                .anyMatch(c -> c.answer() == Answer.BETTER || c.answer() == Answer.WORSE);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 4, 8})
    void primaryQuestionsTogetherAreSeldomWrong(int questions) {
        SplittableRandom random = new SplittableRandom(2027L + questions);
        Question asked = new Question(List.of(), 0, HEIGHT, Direction.EITHER, 0, false, Stated.BEFORE_START);
        int wrong = 0;
        for (int trial = 0; trial < Simulations.of(TRIALS); trial++) {
            boolean any = false;
            for (int i = 1; i <= questions; i++) {
                any |= told(
                        SimulatedTrials.ONE_WAY.drawn(random, UNITS, 0),
                        Posed.of(i, "", asked, questions).alpha());
            }
            wrong += any ? 1 : 0;
        }
        assertThat(wrong / (double) Simulations.of(TRIALS)).isLessThanOrEqualTo(Simulations.most(MOST, TRIALS));
    }

    /** @param kept how much of a pot's value at a look it keeps to the next: nothing, or nearly all */
    @ParameterizedTest
    @CsvSource({"3, 0", "5, 0", "10, 0", "3, 0.9", "5, 0.9", "10, 0.9"})
    void whereItMayEndAtAnyLookItIsSeldomWrong(int count, double kept) {
        // What looks have in common makes it seldomer: fewer trials show that.
        int trials = kept == 0 ? TRIALS : FEWER;
        List<Look> looks = IntStream.rangeClosed(1, count)
                .mapToObj(number -> new Look(number, "day " + number, Duration.ofDays(number), List.of(HEIGHT)))
                .toList();
        SplittableRandom random = new SplittableRandom(2028L + count);
        int wrong = 0;
        for (int trial = 0; trial < Simulations.of(trials); trial++) {
            Observations before = SimulatedTrials.ONE_WAY.drawn(random, UNITS, 0);
            boolean any = false;
            for (Look look : looks) {
                before = next(before, SimulatedTrials.ONE_WAY.drawn(random, UNITS, 0), kept);
                any |= told(before, Spending.at(looks, looks.subList(0, look.number()), look, 0.05));
            }
            wrong += any ? 1 : 0;
        }
        assertThat(wrong / (double) Simulations.of(trials)).isLessThanOrEqualTo(Simulations.most(MOST, trials));
    }

    private static Observations next(Observations before, Observations drawn, double kept) {
        List<Observed> units = new ArrayList<>();
        for (int i = 0; i < drawn.units().size(); i++) {
            double value = kept * before.units().get(i).value().inSums()
                    + Math.sqrt(1 - kept * kept) * drawn.units().get(i).value().inSums();
            units.add(drawn.units().get(i).with(new Value.Measured(value)));
        }
        return new Observations(
                drawn.design(), drawn.factors(), drawn.arms(), drawn.kind(), drawn.better(), drawn.resolution(), units);
    }
}
