package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.TrialRecord;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Dying is a result: it is counted, told first, and means of survivors are not called better over it. */
class DeathsTest {
    private static Plan plan(String... treatments) {
        return APlan.ofGrowth()
                .list(treatments)
                .replicates(6)
                .asking(APlan.question("height"))
                .plan();
    }

    private static Findings findings(Plan plan, TrialRecord record) {
        return Protocols.find(plan.protocol()).orElseThrow().findings(Evidence.of(plan, record, OptionalInt.empty()));
    }

    private static Comparison first(Findings findings) {
        return findings.sections(JudgedQuestion.class)
                .get(0)
                .judgement()
                .comparisons()
                .get(0);
    }

    private static Measured grown(Plan plan, double[] control, double[] treated, int died) {
        Measured made = Measured.started(plan);
        Look end = made.record().looks().get(3);
        for (int treatment = 1; treatment <= 2; treatment++) {
            double[] heights = treatment == 1 ? control : treated;
            for (int i = 0; i < heights.length; i++) {
                for (int sub = 1; sub <= 3; sub++) {
                    made.add(made.unit(treatment, i + 1), end, "height", sub, heights[i]);
                }
            }
        }
        for (int i = 0; i < died; i++) {
            made.end(MishapKind.DIED, made.unit(2, 6 - i), made.record().looks().get(1));
        }
        return made;
    }

    @Test
    void fourOfSixThatDiedAreToldFirstAndTheTwoLeftAreNotBetter() {
        Plan plan = plan("none", "drench");
        Measured made = grown(plan, new double[] {10, 11, 12, 10, 11, 12}, new double[] {19, 20}, 4);
        Findings findings = findings(plan, made.record());
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("Died: none in none, 4 of 6 in drench")
                .contains("can't be told from chance");
        assertThat(first(findings).answer()).isEqualTo(Answer.CANT_TELL);
    }

    @Test
    void oneSurvivorTellsNothing() {
        Plan plan = plan("none", "drench");
        Measured made = grown(plan, new double[] {10, 11, 12, 10, 11, 12}, new double[] {25}, 5);
        Findings findings = findings(plan, made.record());
        assertThat(first(findings).answer()).isEqualTo(Answer.CANT_TELL);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.WORSE);
    }

    /** The one that died in the treatment ranks behind all, and still the treatment is ahead. */
    @Test
    void whatHoldsWithTheDeadBehindAllOthersStaysBetter() {
        Plan plan = plan("none", "kelp");
        Measured made = grown(plan, new double[] {10, 11, 12, 10, 11, 12}, new double[] {19, 20, 21, 22, 20}, 0);
        assertThat(first(findings(plan, made.record())).answer()).isEqualTo(Answer.BETTER);
        Measured two = grown(plan, new double[] {10, 11, 12, 10, 11, 12}, new double[] {19, 20, 21, 22}, 2);
        assertThat(first(findings(plan, two.record())).answer()).isEqualTo(Answer.CANT_TELL);
    }

    @Test
    void anAccidentIsNoDeath() {
        Plan plan = plan("none", "kelp");
        Measured made = grown(plan, new double[] {10, 11, 12, 10, 11, 12}, new double[] {19, 20, 21, 22}, 0);
        made.end(MishapKind.TAKEN, made.unit(2, 6), made.record().looks().get(1));
        Findings findings = findings(plan, made.record());
        assertThat(findings.answers()).noneMatch(one -> one.verdict().sentence().startsWith("Died"));
        assertThat(first(findings).answer()).isEqualTo(Answer.BETTER);
    }

    /** In a dose series the dead have the whole injury, and no dose above them is called the highest without harm. */
    @Test
    void aDoseThatKilledAllWasTestedAndDidHarm() {
        Plan plan = APlan.of("dose-series")
                .factors(APlan.doses(null, null, 0, 1, 5, 10))
                .replicates(4)
                .asking(APlan.question("fresh-mass"))
                .plan();
        Measured made = Measured.started(plan);
        for (int treatment = 1; treatment <= 3; treatment++) {
            made.read("fresh-mass", treatment, 10.1, 10.4, 9.8, 10.2);
        }
        for (int i = 1; i <= 4; i++) {
            made.end(MishapKind.DIED, made.unit(4, i), made.record().looks().get(2));
        }
        DoseResult result = (DoseResult) findings(plan, made.record()).sections().stream()
                .filter(DoseResult.class::isInstance)
                .findFirst()
                .orElseThrow();
        var effect = result.lines().get(0).effect();
        assertThat(effect.tested().loec()).hasValue(10);
        assertThat(effect.tested().noec()).hasValue(5);
    }

    /** Those alive grow as well as ever, and two of six dead may be chance: no all-clear either way. */
    @Test
    void aDoseThatKillsSomeIsNotCalledHarmless() {
        Plan plan = APlan.of("dose-series")
                .factors(APlan.doses(null, null, 0, 1, 5, 10))
                .replicates(6)
                .asking(APlan.question("fresh-mass"))
                .plan();
        Measured made = Measured.started(plan);
        for (int treatment = 1; treatment <= 4; treatment++) {
            made.read("fresh-mass", treatment, 10.1, 10.4, 9.8, 10.2);
        }
        for (int i = 5; i <= 6; i++) {
            made.end(MishapKind.DIED, made.unit(4, i), made.record().looks().get(2));
        }
        Findings findings = findings(plan, made.record());
        DoseResult result = (DoseResult) findings.sections().stream()
                .filter(DoseResult.class::isInstance)
                .findFirst()
                .orElseThrow();
        var tested = result.lines().get(0).effect().tested();
        assertThat(tested.loec()).isEmpty();
        assertThat(tested.noec()).hasValue(5);
        assertThat(tested.died()).hasValue(10);
        assertThat(findings.answers())
                .anyMatch(one -> one.verdict().sentence().contains("at 10 % more died than in the control"));
    }

    /** Three of each can't show much by ranks; dead on the side that did worse don't take the "worse" away. */
    @Test
    void deadOnTheWorseSideDoNotHideTheHarm() {
        Plan plan = plan("none", "drench");
        Measured made = grown(plan, new double[] {20, 21, 20, 21, 20, 21}, new double[] {10, 11, 10, 11, 10}, 1);
        assertThat(first(findings(plan, made.record())).answer()).isEqualTo(Answer.WORSE);
        Measured two = grown(plan, new double[] {20, 21, 20, 21, 20, 21}, new double[] {10, 11}, 4);
        assertThat(first(findings(plan, two.record())).answer()).isEqualTo(Answer.WORSE);
    }

    @Test
    void allThatDiedWhereNothingWasReadAfterwardsAreToldAll() {
        Plan plan = plan("none", "drench");
        Measured made = Measured.started(plan);
        Look second = made.record().looks().get(1);
        Look end = made.record().looks().get(3);
        made.read("height", 1, 10, 11, 12, 10, 11, 12).read("height", 2, 10, 11, 12, 10, 11, 12);
        for (int treatment = 1; treatment <= 2; treatment++) {
            for (int i = 1; i <= 6; i++) {
                made.end(MishapKind.DIED, made.unit(treatment, i), end);
            }
        }
        Findings findings = findings(plan, made.record());
        assertThat(findings.answers().get(0).verdict().sentence()).contains("6 of 6 in none", "6 of 6 in drench");
        Findings then = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, made.record(), OptionalInt.of(second.number())));
        assertThat(then.answers()).noneMatch(one -> one.verdict().sentence().startsWith("Died"));
    }

    /** The mean in the table is the mean that is judged. */
    @Test
    void theDeadHaveTheWholeInjuryInTablesToo() {
        Plan plan = APlan.of("dose-series")
                .factors(APlan.doses(null, null, 0, 1, 5, 10))
                .replicates(4)
                .asking(APlan.question("injury"))
                .plan();
        Measured made = Measured.started(plan);
        for (int treatment = 1; treatment <= 4; treatment++) {
            for (int i = 1; i <= (treatment == 4 ? 2 : 4); i++) {
                for (Look look : made.record().looks()) {
                    made.add(made.unit(treatment, i), look, "injury", 1, treatment);
                }
            }
        }
        Look last = made.record().looks().get(made.record().looks().size() - 1);
        made.end(MishapKind.DIED, made.unit(4, 3), last).end(MishapKind.DIED, made.unit(4, 4), last);
        Findings findings = findings(plan, made.record());
        JudgedQuestion question = findings.sections(JudgedQuestion.class).get(0);
        assertThat(question.judgement().means().get(3)).isEqualTo(7);
        assertThat(findings.groups()
                        .get(3)
                        .figure(findings.kind("injury").orElseThrow())
                        .orElseThrow()
                        .summary()
                        .mean())
                .isEqualTo(7);
    }
}
