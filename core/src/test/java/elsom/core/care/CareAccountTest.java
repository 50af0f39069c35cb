package elsom.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Recurring;
import elsom.core.trial.Chore;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Which entries of the log answer which planned steps, for how many units, how late. */
class CareAccountTest {
    private static final Duration DAY = Duration.ofDays(1);

    private static TrialRecord watered(Duration first, Duration every, Duration until) {
        return Measured.started(APlan.ofGrowth()
                        .list("none", "kelp")
                        .replicates(2)
                        .steps(new Recurring(Recurring.Kind.WATER, "", first, every, until))
                        .plan())
                .record();
    }

    private static TrialRecord given(TrialRecord record, int units, Instant... at) {
        List<Given> entries = new ArrayList<>(record.given());
        for (Instant when : at) {
            Map<UnitCode, Double> millilitres = new LinkedHashMap<>();
            record.units().stream().limit(units).forEach(unit -> millilitres.put(unit.code(), 5.0));
            entries.add(new Given(entries.size() + 1, GivenKind.WATER, "", millilitres, when, "Bench A", null));
        }
        return record.with(record.beside().given(entries));
    }

    private static List<CareStep> steps(TrialRecord record) {
        return CareAccount.of(record).steps(Chore.Kind.WATER);
    }

    private static Instant at(TrialRecord record, double hours) {
        return record.trial().start().plus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    @Test
    void wateredOnceInTheMorningTheAfternoonIsStillToBeDone() {
        TrialRecord record = watered(Duration.ofHours(0), Duration.ofHours(8), DAY);
        TrialRecord once = given(record, 99, at(record, 8));
        Instant evening = at(record, 17);
        assertThat(steps(once))
                .extracting(step -> step.state(evening))
                .containsExactly(
                        CareStep.State.MISSED, CareStep.State.DONE, CareStep.State.LATE, CareStep.State.COMING);
        assertThat(steps(once).get(2).late(evening)).isEqualTo(Duration.ofHours(1));
    }

    @Test
    void oneOfFourUnitsIsOneOfFour() {
        TrialRecord record = watered(DAY, DAY, DAY.multipliedBy(3));
        CareStep step = steps(given(record, 1, at(record, 24))).get(0);
        assertThat(step.progress()).isEqualTo("1 of " + record.units().size() + " watered");
        assertThat(step.state(at(record, 25))).isEqualTo(CareStep.State.LATE);
        assertThat(step.state(at(record, 40))).isEqualTo(CareStep.State.PARTLY);
        TrialRecord rest = given(given(record, 1, at(record, 24)), 99, at(record, 26));
        assertThat(steps(rest).get(0).state(at(record, 40))).isEqualTo(CareStep.State.DONE);
    }

    @Test
    void anEntryBeforeMidnightAnswersTheStepAfterIt() {
        TrialRecord record = watered(Duration.ofHours(17), DAY, DAY.multipliedBy(4));
        TrialRecord early = given(record, 99, at(record, 17 + 24 - 1.2));
        assertThat(steps(early)).extracting(step -> step.done() > 0).containsExactly(false, true, false, false);
        assertThat(steps(early).get(1).late(at(record, 60))).isEqualTo(Duration.ZERO);
    }

    @Test
    void anEntryAnswersOneStepAndNoneThatIsFar() {
        TrialRecord record = watered(DAY, Duration.ofDays(3), Duration.ofDays(7));
        TrialRecord late = given(record, 99, at(record, 24 + 30), at(record, 24 * 20));
        assertThat(steps(late)).extracting(step -> step.done() > 0).containsExactly(true, false, false);
        assertThat(steps(late).get(0).late(at(record, 200))).isEqualTo(Duration.ofHours(30));
    }

    @Test
    void theSameEntryTwiceIsDoneOnce() {
        TrialRecord record = watered(DAY, DAY, DAY.multipliedBy(2));
        CareStep step = steps(given(record, 2, at(record, 24), at(record, 24))).get(0);
        assertThat(step.done()).isEqualTo(2);
    }

    @Test
    void whatIsTakenBackWasNotDone() {
        TrialRecord record = given(watered(DAY, DAY, DAY.multipliedBy(2)), 99, Instant.EPOCH.plusSeconds(1));
        Given first = record.given().get(0);
        Given back = new Given(1, first.kind(), "", first.millilitres(), at(record, 24), "Bench A", at(record, 25));
        assertThat(steps(record.with(record.beside().given(List.of(back))))
                        .get(0)
                        .done())
                .isZero();
    }

    @Test
    void movingOnMovesAllAndLightsKeepNoLog() {
        TrialRecord record = Measured.started(APlan.ofGrowth()
                        .list("none", "kelp")
                        .replicates(2)
                        .steps(
                                new Recurring(Recurring.Kind.TURN, "", DAY, DAY, DAY),
                                new Recurring(Recurring.Kind.LIGHTS, "", DAY, DAY, DAY))
                        .plan())
                .record();
        TrialRecord turned = record.with(record.beside().turns(List.of(new Turn(1, at(record, 25), "Bench A"))));
        CareAccount account = CareAccount.of(turned);
        assertThat(account.steps(Chore.Kind.TURN))
                .singleElement()
                .satisfies(step -> assertThat(step.state(at(record, 26))).isEqualTo(CareStep.State.DONE));
        assertThat(account.steps(Chore.Kind.OTHER))
                .singleElement()
                .satisfies(step -> assertThat(step.state(at(record, 26))).isEqualTo(CareStep.State.UNKNOWN));
    }

    @Test
    void whoWritesNothingDownKeepsNoLogAndMissedNothing() {
        TrialRecord record = watered(DAY, DAY, DAY.multipliedBy(3));
        assertThat(steps(record))
                .extracting(step -> step.state(at(record, 24 * 9)))
                .containsOnly(CareStep.State.UNKNOWN);
        assertThat(steps(record).get(2).state(at(record, 73))).isEqualTo(CareStep.State.LATE);
    }
}
