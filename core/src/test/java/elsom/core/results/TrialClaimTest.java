package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.claim.Checked;
import elsom.core.claim.Checked.Outcome;
import elsom.core.claim.ClaimCase;
import elsom.core.plan.APlan;
import elsom.core.plan.Direction;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.protocol.Protocols;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Claims on a trial of three treatments, the last of which stood in tubs. */
class TrialClaimTest {
    private final Plan plan = APlan.ofGrowth()
            .treatments(List.of(
                    PlannedTreatment.of("none", "none", ControlKind.CONTROL),
                    PlannedTreatment.of("kelp", "kelp", ControlKind.NONE),
                    PlannedTreatment.of("tub", "tub", ControlKind.NONE).in(APlan.TUB, 0)))
            .replicates(4)
            .plan();
    private final TrialRecord record = Measured.started(plan)
            .read("fresh-mass", 1, 10, 11, 9, 10)
            .read("fresh-mass", 2, 15, 16, 14, 15)
            .read("fresh-mass", 3, 30, 31, 29, 30)
            .record();
    private final Findings findings =
            Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, OptionalInt.empty()));

    private Checked checked(String words, int treatment, int comparator, boolean sameArea) {
        return TrialClaim.of(
                record,
                findings,
                new TrialClaim.Claimed(
                        new TrialClaim.Of(findings.kind("fresh-mass").orElseThrow(), Direction.HIGHER),
                        words,
                        treatment,
                        comparator,
                        sameArea));
    }

    @Test
    void allUnitsOfBothAreHeldAgainstEachOther() {
        assertThat(checked("30 % more", 2, 1, false).outcome()).isEqualTo(Outcome.SUPPORTED);
        assertThat(checked("50 % more", 2, 1, false).outcome()).isEqualTo(Outcome.CANT_TELL);
        assertThat(checked("50 % more", 2, 1, false).percent().orElseThrow()).isCloseTo(50, within(1e-9));
        assertThat(checked("twice as much", 2, 1, false).outcome()).isEqualTo(Outcome.NOT_SUPPORTED);
        assertThat(checked("kelp is no better than none", 2, 1, false).outcome())
                .isEqualTo(Outcome.NOT_SUPPORTED);
        assertThat(checked("kelp gives more than tubs", 2, 1, false).outcome()).isEqualTo(Outcome.CANT_BE_READ);
        assertThat(checked("at least 3 g more", 2, 1, false).outcome()).isEqualTo(Outcome.SUPPORTED);
    }

    /** Names that are numbers, as doses are, and numbers that are claimed. */
    @Test
    void treatmentsThatAreDosesAreNamedByTheirNumbers() {
        ClaimCase doses = ClaimCase.of(
                "0.25 % gives at least 10 % more than 0 %",
                "Fresh mass, more is better", "g", List.of("0.25 %", "0 %"), 0);
        assertThat(doses.meant())
                .isEqualTo(ClaimCase.of(
                                "kelp gives at least 10 % more than none",
                                "Fresh mass, more is better", "g", List.of("kelp", "none"), 0)
                        .meant());
        assertThat(ClaimCase.of(
                                "0.25 % gives at least 10 % more",
                                "Fresh mass, more is better", "g", List.of("0.25 %", "0 %"), 0)
                        .meant())
                .isEqualTo(doses.meant());
    }

    /** A tub's opening is (20 ÷ 9)² as large: three times a pot's mass is three fifths of it on the same area. */
    @Test
    void aTubIsHeldAgainstAPotForTheSameArea() {
        assertThat(checked("2.5 times as much", 3, 1, false).outcome()).isEqualTo(Outcome.SUPPORTED);
        Checked alike = checked("three times as much", 3, 1, true);
        assertThat(alike.outcome()).isEqualTo(Outcome.NOT_SUPPORTED);
        assertThat(alike.percent().orElseThrow()).isCloseTo(100 * (3 * 81 / 400.0 - 1), within(1e-6));
    }

    @Test
    void anOrderIsReadByNamesAndByLetters() {
        assertThat(checked("tub > kelp > none", 0, 0, false).outcome()).isEqualTo(Outcome.SUPPORTED);
        assertThat(checked("C > B > A", 0, 0, false).outcome()).isEqualTo(Outcome.SUPPORTED);
        assertThat(checked("A > B", 0, 0, false).remarks()).anyMatch(words -> words.contains("A place has slipped"));
        assertThat(checked("kelp > nettle", 0, 0, false).outcome()).isEqualTo(Outcome.CANT_BE_READ);
    }

    @Test
    void whatWasNotReadIsNotTestable() {
        TrialRecord unread =
                Measured.started(plan).read("fresh-mass", 1, 10, 11, 9, 10).record();
        Findings some =
                Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, unread, OptionalInt.empty()));
        assertThat(TrialClaim.of(
                                unread,
                                some,
                                new TrialClaim.Claimed(
                                        new TrialClaim.Of(
                                                some.kind("fresh-mass").orElseThrow(), Direction.HIGHER),
                                        "more",
                                        2,
                                        1,
                                        false))
                        .outcome())
                .isEqualTo(Outcome.NOT_TESTABLE);
    }

    /** Two of none's pots read "<10 g": with 10 each kelp is 1.5 times as much and never twice, with nothing it may be. */
    @Test
    void whatHangsOnWhatLiesBelowALimitIsNotTold() {
        Measured measured = Measured.started(plan)
                .read("fresh-mass", 1, 10, 10.5)
                .read("fresh-mass", 2, 15, 15.2, 14.8, 15)
                .read("fresh-mass", 3, 30, 31, 29, 30);
        for (int replicate = 3; replicate <= 4; replicate++) {
            measured = measured.typed(
                    measured.unit(1, replicate), measured.lookFor("fresh-mass"), "fresh-mass", 1, 5, "<10 g");
        }
        TrialRecord some = measured.record();
        Function<TrialRecord, Findings> found = any ->
                Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, any, OptionalInt.empty()));
        TrialClaim.Of mass =
                new TrialClaim.Of(found.apply(some).kind("fresh-mass").orElseThrow(), Direction.HIGHER);
        Checked twice = TrialClaim.eitherWay(some, found, new TrialClaim.Claimed(mass, "twice as much", 2, 1, false));
        assertThat(twice.outcome()).isEqualTo(Outcome.CANT_TELL);
        assertThat(twice.remarks())
                .contains("With the whole limit: not supported.")
                .hasSize(3);
        assertThat(TrialClaim.eitherWay(some, found, new TrialClaim.Claimed(mass, "ten times as much", 3, 2, false))
                        .outcome())
                .isEqualTo(Outcome.NOT_SUPPORTED);
    }
}
