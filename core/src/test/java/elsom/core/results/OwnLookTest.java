package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Each question is answered at its own look: the newest at which its endpoint was read. */
class OwnLookTest {
    private final Plan plan = APlan.ofGrowth()
            .list("none", "kelp", "nettle")
            .replicates(6)
            .asking(APlan.question("height"), APlan.question("leaves"))
            .plan();
    private final Measured made = Measured.started(plan);

    private Findings findings(OptionalInt at) {
        TrialRecord record = made.record();
        return Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, at));
    }

    private JudgedQuestion question(Findings findings, String endpoint) {
        return findings.sections(JudgedQuestion.class).stream()
                .filter(one -> one.kind().code().equals(endpoint))
                .findFirst()
                .orElseThrow();
    }

    private void heights(Look look, int without) {
        for (int treatment = 1; treatment <= 3; treatment++) {
            for (int i = 1; i <= 6; i++) {
                for (int sub = 1; sub <= 3 && (treatment < 3 || i <= 6 - without); sub++) {
                    made.add(made.unit(treatment, i), look, "height", sub, 10 + treatment + 0.1 * i + look.number());
                }
            }
        }
    }

    private Look look(int number) {
        return made.record().look(number).orElseThrow();
    }

    @Test
    void onePotUnreadDoesNotSendTheAnswerBackToAnEarlierLook() {
        heights(look(2), 0);
        heights(look(4), 1);
        JudgedQuestion height = question(findings(OptionalInt.empty()), "height");
        assertThat(height.look()).isEqualTo(look(4));
        assertThat(height.coverage().sentences())
                .containsExactly("17 of 18 read; " + made.unit(3, 6).code() + " is missing.");
    }

    @Test
    void anEndpointThatNobodyReadDoesNotHoldTheOthersBack() {
        heights(look(2), 0);
        heights(look(4), 0);
        Findings findings = findings(OptionalInt.empty());
        assertThat(question(findings, "height").look()).isEqualTo(look(4));
        assertThat(findings.sections(JudgedQuestion.class)).hasSize(1);
    }

    @Test
    void aLookThatIsBegunIsToldAndCountsOnceHalfOfItIsRead() {
        heights(look(2), 0);
        made.add(made.unit(1, 1), look(3), "height", 1, 14);
        JudgedQuestion height = question(findings(OptionalInt.empty()), "height");
        assertThat(height.look()).isEqualTo(look(2));
        assertThat(height.coverage().sentences())
                .containsExactly("At day 21, 1 of 18 are read so far; it counts once half of them are.");
        assertThat(question(findings(OptionalInt.of(3)), "height").look()).isEqualTo(look(3));
    }

    @Test
    void beforeItsLastLookAnAnswerIsSoFar() {
        heights(look(2), 0);
        assertThat(findings(OptionalInt.empty()).answers().get(0).verdict().firmness())
                .isEqualTo(Verdict.Firmness.SO_FAR);
        heights(look(3), 0);
        heights(look(4), 0);
        Verdict last = findings(OptionalInt.empty()).answers().get(0).verdict();
        assertThat(last.firmness()).isNotEqualTo(Verdict.Firmness.SO_FAR);
        assertThat(last.sentence()).startsWith("Height at the end, day 28 beside none: no difference that matters");
        assertThat(findings(OptionalInt.of(3)).answers().get(0).verdict().sentence())
                .startsWith("So far, ");
    }
}
