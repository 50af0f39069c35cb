package elsom.core.next;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.audit.Audit;
import elsom.core.audit.AuditCase;
import elsom.core.design.LayoutKind;
import elsom.core.plan.APlan;
import elsom.core.plan.Arrangement;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class WhatNextTest {
    private static Ended ended(Plan plan, TrialRecord record) {
        Findings findings =
                Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, OptionalInt.empty()));
        Audit audit = Audit.of(new AuditCase(
                plan, record, findings, List.of(), record.trial().start().plus(Duration.ofDays(40))));
        return new Ended(plan, record, findings, audit, APlan.START.plus(Duration.ofDays(60)), 99);
    }

    private static Plan growth(int replicates) {
        return APlan.ofGrowth()
                .list("none", "kelp", "nettle")
                .replicates(replicates)
                .asking(APlan.question("fresh-mass"))
                .plan();
    }

    private static Optional<Proposal> proposed(Ended trial, FollowUp kind) {
        return WhatNext.after(trial, kind.code());
    }

    /** Kelp is much worse, nettle can't be told: kelp's room goes to more units of the others. */
    @Test
    void whatIsSettledLeavesItsRoom() {
        Plan plan = growth(4);
        Proposal sharper = proposed(
                        ended(
                                plan,
                                Measured.started(plan)
                                        .read("fresh-mass", 1, 20, 22, 18, 21)
                                        .read("fresh-mass", 2, 8, 9, 8, 9)
                                        .read("fresh-mass", 3, 23, 26, 18, 24)
                                        .record()),
                        FollowUp.SHARPER)
                .orElseThrow();
        assertThat(sharper.plan().treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("none", "nettle");
        assertThat(sharper.plan().arrangement().replicates()).isGreaterThanOrEqualTo(6);
        assertThat(sharper.narrowing())
                .isEqualTo(1 - Math.sqrt(4.0 / sharper.plan().arrangement().replicates()));
        assertThat(sharper.plan().origin().why()).isEqualTo(FollowUp.SHARPER);
        assertThat(sharper.plan().asked().questions()).allMatch(question -> question.stated() == Stated.BEFORE_START);
    }

    /** Kelp is better for certain: it needs no more units either. What scattered here is reckoned with in the next plan. */
    @Test
    void whatIsToldForCertainIsLeftOutTooAndThePlanReckonsWithWhatWasSeen() {
        Plan plan = growth(4);
        Plan sharper = proposed(
                        ended(
                                plan,
                                Measured.started(plan)
                                        .read("fresh-mass", 1, 20, 22, 18, 21)
                                        .read("fresh-mass", 2, 40, 42, 39, 41)
                                        .read("fresh-mass", 3, 23, 26, 18, 24)
                                        .record()),
                        FollowUp.SHARPER)
                .orElseThrow()
                .plan();
        assertThat(sharper.treatments().all())
                .extracting(PlannedTreatment::name)
                .containsExactly("none", "nettle");
        // √ of the mean of cv²: 1.7078/20.25, 1.2910/40.5, 3.4034/22.75.
        assertThat(sharper.asked()
                        .measure(new EndpointCode("fresh-mass"))
                        .orElseThrow()
                        .typicalCv())
                .isCloseTo(0.1006, within(0.0005));
    }

    @Test
    void whatWasShownIsTriedWithAnotherLot() {
        Plan plan = growth(6);
        Ended trial = ended(
                plan,
                Measured.started(plan)
                        .read("fresh-mass", 1, 20, 22, 18, 21, 20, 19)
                        .read("fresh-mass", 2, 30, 31, 29, 30, 32, 30)
                        .read("fresh-mass", 3, 12, 11, 13, 12, 12, 11)
                        .record());
        assertThat(proposed(trial, FollowUp.OTHER_LOT)
                        .orElseThrow()
                        .plan()
                        .treatments()
                        .all())
                .extracting(PlannedTreatment::name)
                .containsExactly("none", "kelp");
        assertThat(proposed(trial, FollowUp.SHARPER)).isEmpty();
        assertThat(WhatNext.after(trial)).hasSizeLessThanOrEqualTo(WhatNext.MOST);
    }

    @Test
    void oneUnitOfEachIsDrawnAgainInBlocksFirst() {
        Plan one = growth(1);
        Plan plan = one.with(new Arrangement(
                LayoutKind.COMPLETELY_RANDOM, 1, one.arrangement().sites(), true, 1, false, 0, 7, List.of()));
        List<Proposal> next = WhatNext.after(ended(
                plan,
                Measured.started(plan)
                        .read("fresh-mass", 1, 20)
                        .read("fresh-mass", 2, 25)
                        .read("fresh-mass", 3, 22)
                        .record()));
        Proposal drawn = next.stream()
                .filter(one1 -> one1.kind() == FollowUp.DRAWN)
                .findFirst()
                .orElseThrow();
        assertThat(drawn.plan().arrangement().kind()).isEqualTo(LayoutKind.BLOCKS);
        assertThat(drawn.plan().arrangement().replicates()).isEqualTo(4);
        assertThat(drawn.narrowing()).isEqualTo(1);
    }

    @Test
    void potsThatDifferedAreMadeAlike() {
        PlannedTreatment big = PlannedTreatment.of("kelp", "kelp", elsom.core.trial.ControlKind.NONE)
                .in(APlan.TUB, 0);
        Plan plan = growth(4)
                .with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("none", "none", elsom.core.trial.ControlKind.CONTROL), big)),
                        growth(4).pots());
        Proposal split = proposed(
                        ended(
                                plan,
                                Measured.started(plan)
                                        .read("fresh-mass", 1, 20, 22, 18, 21)
                                        .read("fresh-mass", 2, 30, 31, 29, 30)
                                        .record()),
                        FollowUp.SPLIT)
                .orElseThrow();
        assertThat(split.plan().containers()).hasSize(1);
    }

    @Test
    void dosesGoWhereTheAnswerLies() {
        Plan plan = APlan.of("dose-series")
                .factors(APlan.doses(1.0, 2.0, 0, 0.25, 0.5, 1, 2, 4))
                .replicates(5)
                .asking(new Question(
                        List.of(),
                        0,
                        new EndpointCode("injury"),
                        elsom.core.plan.Direction.LOWER,
                        1,
                        false,
                        Stated.BEFORE_START))
                .plan();
        Measured made = Measured.started(plan);
        double[] harm = {0, 0, 0, 1, 6, 9};
        var last = made.record().looks().get(made.record().looks().size() - 1);
        for (int t = 1; t <= 6; t++) {
            for (int r = 1; r <= 5; r++) {
                made.add(made.unit(t, r), last, "injury", 1, Math.max(0, Math.min(10, harm[t - 1] + (r == 2 ? 1 : 0))));
            }
        }
        Proposal bracket =
                proposed(ended(plan, made.record()), FollowUp.BRACKET).orElseThrow();
        List<Double> amounts = bracket.plan().treatments().factors().get(0).levels().stream()
                .map(level -> level.amount())
                .toList();
        assertThat(amounts).hasSize(6).startsWith(0.0, 0.5).isSorted();
        assertThat(bracket.plan().treatments().all().get(0).isControl()).isTrue();
    }

    @Test
    void anAnswerThatStillMovesIsLookedAtLonger() {
        Plan plan = APlan.ofGrowth()
                .list("none", "kelp")
                .replicates(4)
                .asking(APlan.question("leaves"))
                .plan();
        Measured made = Measured.started(plan);
        for (int look = 2; look <= 4; look++) {
            for (int r = 1; r <= 4; r++) {
                made.add(made.unit(1, r), made.record().looks().get(look - 1), "leaves", 1, 10 + r % 2);
                made.add(
                        made.unit(2, r),
                        made.record().looks().get(look - 1),
                        "leaves",
                        1,
                        (look == 4 ? 20 : 10) + r % 2);
            }
        }
        Proposal longer = proposed(ended(plan, made.record()), FollowUp.LONGER).orElseThrow();
        assertThat(longer.plan().schedule().length()).isEqualTo(Duration.ofDays(56));
        assertThat(longer.plan().schedule().looks()).hasSize(6);
    }

    @Test
    void nothingIsProposedWhereNothingWasRead() {
        Plan plan = growth(4);
        assertThat(WhatNext.after(ended(plan, Measured.started(plan).record()))).isEmpty();
    }
}
