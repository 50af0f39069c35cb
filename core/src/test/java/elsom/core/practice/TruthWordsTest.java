package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Direction;
import elsom.core.practice.Decisions.Decision;
import elsom.core.practice.Decisions.What;
import elsom.core.practice.Trialled.Placing;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a learner reads when the truth is known. */
class TruthWordsTest {
    private static final Brief.Measured PERCENT =
            new Brief.Measured(new EndpointCode("fresh-mass"), Direction.HIGHER, 20, true, 2);
    private static final Brief.Measured POINTS =
            new Brief.Measured(new EndpointCode("injury"), Direction.LOWER, 1, false, 0);
    private static final Trialled OWN = Trialled.of(2, Placing.SIDE_BY_SIDE, 10, "tap water", "kelp");

    private static Rerun.Tally tally(int right, double bias, double scatter) {
        return new Rerun.Tally(right, 10, 90 - right, OptionalDouble.of(bias), OptionalDouble.of(scatter));
    }

    private static String said(What what, Trialled instead, double gained) {
        return TruthWords.decision(new Decision(what, instead, gained), OWN, tally(30, 0, 1));
    }

    @Test
    void aPlanIsSaidInShort() {
        assertThat(TruthWords.plan(OWN)).startsWith("2 of each, a side each, up to day 10: ");
        assertThat(TruthWords.plan(OWN.units(4).best(2))).endsWith("; only the best 2 measured");
    }

    @Test
    void everyDecisionSaysWhatWasDoneWhatInsteadAndWhatThatWouldHaveTold() {
        assertThat(said(What.UNITS, OWN.units(8), 0.42))
                .isEqualTo("2 of each. With 8 of each, and nothing else changed, it would have told in 72 of 100"
                        + " reruns instead of 30.");
        assertThat(said(What.PLACING, OWN.placed(Placing.BLOCKS), 0.1))
                .startsWith("Placed a side each. Placed in blocks, and nothing else changed");
        assertThat(said(What.LAST_DAY, new Trialled(OWN.treatments(), 2, OWN.placing(), 21.5, 0), 0.1))
                .startsWith("Looked up to day 10. Up to day 21.5, and");
        assertThat(said(What.TREATMENTS, Trialled.of(2, OWN.placing(), 10, "tap water", "kelp", "urea"), 0.1))
                .startsWith("Without “Urea”. With it, and");
        assertThat(TruthWords.decision(
                        new Decision(What.PICKING, OWN, 0.1), OWN.units(5).best(3), tally(30, 0, 1)))
                .startsWith("Only the best 3 measured. With all of them, and");
    }

    @Test
    void noDecisionTellsMoreThanAllOrLessThanNone() {
        assertThat(said(What.UNITS, OWN.units(8), 0.9)).contains("told in 100 of 100");
        assertThat(said(What.UNITS, OWN.units(8), -0.9)).contains("told in 0 of 100");
    }

    @Test
    void biasIsToldFromChance() {
        assertThat(TruthWords.bias(PERCENT, tally(30, 24.04, 10)))
                .isEqualTo("Over many reruns your plan is off by +24.0 % on average: that is bias, and more units don’t"
                        + " mend it.");
        assertThat(TruthWords.bias(POINTS, tally(30, -2.5, 1))).contains("off by −2.5 on average");
        assertThat(TruthWords.bias(PERCENT, tally(30, 1, 10))).contains("right on average");
        assertThat(TruthWords.bias(PERCENT, new Rerun.Tally(1, 1, 1, OptionalDouble.empty(), OptionalDouble.empty())))
                .isEmpty();
    }

    @Test
    void whatWasSpentSaysWhenItWasMoreThanThereWas() {
        Brief.Budget budget = new Brief.Budget(24, 6, 30);
        assertThat(TruthWords.spent(budget, new Planned.Costs(12, 3.25, 10.8)))
                .isEqualTo("It took 12 of 24 places, 3.3 of 6 hours and 10.80 of 30 in money.");
        assertThat(TruthWords.spent(budget, new Planned.Costs(30, 3, 10))).endsWith("in money: more than there was.");
    }

    @Test
    void aCallScoresByHowSureItWas() {
        assertThat(TruthWords.score(new Judged(Call.BETTER, Call.BETTER, 0.9)))
                .isEqualTo("Brier score 0.01: 0 is best, 0.25 is what a coin gets.");
        assertThat(TruthWords.score(new Judged(Call.BETTER, Call.WORSE, 0.9))).startsWith("Brier score 0.81");
        assertThat(TruthWords.score(new Judged(Call.CANT_TELL, Call.WORSE, 0.9)))
                .contains("has no score");
    }

    @Test
    void nothingIsSaidOfADifferenceThatNobodyHasReadYet() {
        assertThat(TruthWords.difference(PERCENT, new PracticeOutcome(List.of(), Optional.empty())))
                .isEmpty();
    }
}
