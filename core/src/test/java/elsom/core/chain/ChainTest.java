package elsom.core.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.analysis.Answer;
import elsom.core.audit.Grade;
import elsom.core.plan.APlan;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Verdict;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class ChainTest {
    private static final double[] SCATTER = {-1, 0, 0, 1};

    /** A trial of fresh mass, none beside kelp, begun so many days after the first. */
    private static Stage stage(int number, double none, double kelp, int days, FollowUp why, Grade grade) {
        return stage(number, scattered(none), scattered(kelp), days, why, grade);
    }

    private static Stage stage(int number, double[] none, double[] kelp, int days, FollowUp why, Grade grade) {
        Plan plan = APlan.ofGrowth()
                .list("none", "kelp")
                .replicates(4)
                .asking(APlan.question("fresh-mass"))
                .plan();
        plan = plan.with(plan.schedule().startingTogether(APlan.START.plus(Duration.ofDays(days))));
        if (number > 1) {
            plan = plan.from(new PlanOrigin(number - 1, plan.question(), "again", List.of(), why, null));
        }
        TrialRecord record = Measured.started(plan)
                .read("fresh-mass", 1, none)
                .read("fresh-mass", 2, kelp)
                .record();
        Trial t = record.trial();
        record = record.with(new Trial(
                new TrialId(number), t.question(), t.protocol(), t.zone(), t.start(), t.seed(), t.stage(), t.blind()));
        return new Stage(
                plan,
                record,
                Optional.of(Protocols.find(plan.protocol())
                        .orElseThrow()
                        .findings(Evidence.of(plan, record, OptionalInt.empty()))),
                grade);
    }

    private static double[] scattered(double mean) {
        double[] values = SCATTER.clone();
        for (int i = 0; i < values.length; i++) {
            values[i] += mean;
        }
        return values;
    }

    private static List<Stage> threeLots(Grade last) {
        return List.of(
                stage(1, 10, 14, 0, FollowUp.AGAIN, Grade.SOUND),
                stage(2, 10, 14, 40, FollowUp.OTHER_LOT, Grade.SOUND),
                stage(3, 10, 14, 120, FollowUp.OTHER_LOT, last));
    }

    /** sd² of the scatter is 2/3: each log ratio has variance (2/3)/4 · (1/14² + 1/10²), and three weigh alike. */
    @Test
    void poolsWhatWasCompared() {
        List<Pooled> pooled = new Chain(threeLots(Grade.SOUND)).pooled();
        assertThat(pooled).hasSize(1);
        Pooled kelp = pooled.get(0);
        assertThat(kelp.percent()).isTrue();
        assertThat(kelp.effects().estimate()).isCloseTo(Math.log(1.4), within(1e-9));
        double error = Math.sqrt(2.0 / 3 / 4 * (1 / 196.0 + 1 / 100.0) / 3);
        assertThat(kelp.effects().interval95().high()).isCloseTo(Math.log(1.4) + 4.30265 * error, within(1e-5));
        assertThat(kelp.answer()).isEqualTo(Answer.BETTER);
        assertThat(kelp.verdict().sentence()).contains("Fresh mass of kelp beside none: +40 % over 3 trials");
    }

    @Test
    void holdsOverThreeLotsAndTwoSeasons() {
        assertThat(new Chain(threeLots(Grade.SOUND)).pooled().get(0).verdict().firmness())
                .isEqualTo(Verdict.Firmness.HOLDS);
    }

    @Test
    void anUnfairTrialOrTheSameLotDoesNotHold() {
        assertThat(new Chain(threeLots(Grade.UNFAIR)).pooled().get(0).holds()).isFalse();
        Pooled sameLot = new Chain(List.of(
                        stage(1, 10, 14, 0, FollowUp.AGAIN, Grade.SOUND),
                        stage(2, 10, 14, 40, FollowUp.AGAIN, Grade.SOUND),
                        stage(3, 10, 14, 120, FollowUp.OTHER_LOT, Grade.SOUND)))
                .pooled()
                .get(0);
        assertThat(sameLot.lots()).isEqualTo(2);
        assertThat(sameLot.seasons()).isEqualTo(2);
        assertThat(sameLot.holds()).isFalse();
        assertThat(sameLot.verdict().wouldChange()).contains("1 lot to go");
    }

    @Test
    void trialsThatPointApartAreSaidToDiffer() {
        Pooled apart = new Chain(List.of(
                        stage(1, 10, 14, 0, FollowUp.AGAIN, Grade.SOUND),
                        stage(2, 10, 7, 40, FollowUp.OTHER_LOT, Grade.SOUND),
                        stage(3, 10, 12, 120, FollowUp.OTHER_LOT, Grade.SOUND)))
                .pooled()
                .get(0);
        assertThat(apart.answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(apart.heterogeneity())
                .startsWith("Trials differ clearly more")
                .contains("The next one likely lies");
    }

    /** Four pots that all read 10 g scatter by the last digit of the scale, and their trial is not left out. */
    @Test
    void unitsThatReadAlikeAreUnitsOfLittleScatter() {
        Chain chain = new Chain(List.of(
                stage(1, new double[] {10, 10, 10, 10}, scattered(14), 0, FollowUp.AGAIN, Grade.SOUND),
                stage(2, 10, 14, 40, FollowUp.OTHER_LOT, Grade.SOUND)));
        Pooled both = chain.pooled().get(0);
        assertThat(both.repeats()).hasSize(2);
        assertThat(both.repeats().get(0).comparator().variance()).isPositive().isLessThan(0.001);
        assertThat(both.effects().estimate()).isCloseTo(Math.log(1.4), within(1e-9));
        assertThat(chain.pooledWith(1)).hasSize(1);
        assertThat(chain.pooledWith(3)).isEmpty();
    }

    @Test
    void oneTrialIsNoSeries() {
        assertThat(new Chain(List.of(stage(1, 10, 14, 0, FollowUp.AGAIN, Grade.SOUND))).pooled())
                .isEmpty();
    }

    /** Two trials say nothing of others like them, but what each of them tells is not lost. */
    @Test
    void twoTrialsThatEachTellAreNotSilentTogether() {
        Pooled two = new Chain(List.of(
                        stage(1, 10, 14, 0, FollowUp.AGAIN, Grade.SOUND),
                        stage(2, 10, 14, 40, FollowUp.OTHER_LOT, Grade.SOUND)))
                .pooled()
                .get(0);
        assertThat(two.answer(two.interval(two.repeats().get(0)))).isEqualTo(Answer.BETTER);
        assertThat(two.answer()).isEqualTo(Answer.BETTER);
        assertThat(two.holds()).isFalse();
        assertThat(two.verdict().sentence()).contains("of these very trials +40 %");
        assertThat(two.ofThese().orElseThrow().low()).isPositive();
    }
}
