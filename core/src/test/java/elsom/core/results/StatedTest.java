package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.NamedTreatments;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.QuestionReader;
import elsom.core.plan.QuestionText;
import elsom.core.plan.Rules;
import elsom.core.plan.Stated;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Each hypothesis ends as held, not held or can't tell, in the words it was stated in. */
class StatedTest {
    private static final double[] SCATTER = {-0.6, 0.5, -0.2, 0.4, -0.1};

    private Plan plan = APlan.ofGrowth()
            .list("peat", "coir", "bark")
            .better(Direction.HIGHER)
            .replicates(5)
            .plan();

    private void asking(String... lines) {
        List<Question> questions = new ArrayList<>();
        for (String line : lines) {
            questions.add(new QuestionReader(plan.treatments(), new NamedTreatments(plan.treatments()))
                    .read(new QuestionText(plan, plan.asked().measures()).read(line), Stated.BEFORE_START));
        }
        plan = plan.with(new Asked(
                plan.question(), plan.asked().crop(), questions, plan.asked().measures()));
    }

    private Findings findings(Measured made) {
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, made.record(), OptionalInt.empty()));
    }

    /** Heights of all units of each treatment at a look, around these means. */
    private void heights(Measured made, int look, double... means) {
        Look at = made.record().look(look).orElseThrow();
        for (int treatment = 1; treatment <= means.length; treatment++) {
            for (int i = 1; i <= SCATTER.length; i++) {
                for (int sub = 1; sub <= 3; sub++) {
                    made.add(
                            made.unit(treatment, i),
                            at,
                            "height",
                            sub,
                            means[treatment - 1] + SCATTER[(i * treatment) % SCATTER.length]);
                }
            }
        }
    }

    private Findings atTheEnd(double... means) {
        Measured made = Measured.started(plan);
        heights(made, 4, means);
        return findings(made);
    }

    private static String standing(Findings findings, int answer) {
        String said = findings.answers().get(answer).details().get(0);
        return said.substring(0, said.indexOf(": “"));
    }

    @Test
    void aDirectionIsHeldNotHeldOrOpen() {
        asking(
                "Height: higher in coir than in peat, by 1 cm",
                "Height: higher in bark than in peat, by 0.2 cm",
                "Height: lower in bark than in coir, by 1 cm",
                "Height: higher in coir than in peat");
        Findings findings = atTheEnd(10, 14, 10);
        assertThat(standing(findings, 0)).isEqualTo("Held");
        assertThat(standing(findings, 1)).isEqualTo("Can't tell");
        assertThat(standing(findings, 2)).isEqualTo("Held");
        assertThat(standing(findings, 3)).isEqualTo("Held");
        assertThat(standing(atTheEnd(10, 7, 10), 0)).isEqualTo("Not held");
    }

    @Test
    void asGoodIsNotTheSameAsNoDifference() {
        asking(
                "Height: as good in coir as in peat, not worse by 2 cm",
                "Height: the same in coir as in peat, to within 2 cm",
                "Height: as good in bark as in peat, not worse by 2 cm");
        Findings findings = atTheEnd(10, 14, 6);
        assertThat(standing(findings, 0)).isEqualTo("Held");
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("coir is as good as peat in height at the end, day 28: +4.00 cm (bounds, each 95 %,")
                .endsWith("; worse by 2.00 cm would matter.");
        assertThat(standing(findings, 1)).isEqualTo("Not held");
        assertThat(standing(findings, 2)).isEqualTo("Not held");
    }

    @Test
    void aFixedFigureIsHeldTreatmentByTreatment() {
        asking("Height: at least 12 cm in every treatment");
        Findings findings = atTheEnd(10, 14, 12);
        Findings.Answered answer = findings.answers().get(0);
        assertThat(answer.verdict().sentence())
                .startsWith("Height at the end, day 28, at least 12.00 cm: held: coir (14.00 cm, 95 % interval")
                .contains("not held: peat (10.00 cm")
                .contains("can't tell: bark (12.00 cm");
        assertThat(findings.sections(FixedResult.class).get(0).treatments())
                .extracting(FixedResult.Beside::held)
                .containsExactly(Held.NOT_HELD, Held.HELD, Held.CANT_TELL);
    }

    @Test
    void levelsLeadAndEachPlaceIsTold() {
        plan = APlan.ofGrowth()
                .factors(
                        APlan.factor("Compost", FactorKind.MATERIAL, "none", "compost"),
                        APlan.factor("Crop", FactorKind.MATERIAL, "pea", "barley", "lettuce"))
                .better(Direction.HIGHER)
                .replicates(5)
                .plan();
        asking("Height: higher in compost than in none, in each crop and over all, by 1 cm");
        // none: pea, barley, lettuce; compost: pea, barley, lettuce
        Findings findings = atTheEnd(10, 10, 10, 14, 10.2, 7);
        assertThat(standing(findings, 0)).isEqualTo("Held in pea; not held over all, in barley, in lettuce");
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith(
                        "Height at the end, day 28, compost beside none over all: no difference that matters (+0.20 cm, 95 % interval")
                .contains("better in pea (+4.00 cm)")
                .contains("worse in lettuce (−3.00 cm)");
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.SETTLED);
    }

    @Test
    void aNamedLookIsAnsweredThereAndWaitedFor() {
        asking("Height: higher in coir than in peat, by 1 cm, at day 14");
        Measured made = Measured.started(plan);
        heights(made, 4, 10, 10, 10);
        assertThat(findings(made).answers().get(0).verdict().sentence())
                .isEqualTo("Can't tell yet about height: it has not been read at day 14.");
        heights(made, 2, 10, 14, 10);
        Findings.Answered answer = findings(made).answers().get(0);
        assertThat(answer.verdict().sentence()).startsWith("coir did better than peat: height at day 14 +4.00 cm");
        assertThat(answer.details())
                .contains("Held: “Height: higher in coir than in peat, by 1 cm or more, at day 14?”");
    }

    @Test
    void whatNobodyReadIsSaidToBeUnread() {
        asking("Height: higher in coir than in peat", "Leaves: higher in coir than in peat");
        assertThat(atTheEnd(10, 14, 12).answers())
                .extracting(answer -> answer.verdict().sentence())
                .contains("Can't tell yet about leaves: it has not been read.");
    }

    @Test
    void primaryQuestionsShareOneChanceOfError() {
        asking("Height: higher in coir than in peat", "Height: higher in bark than in peat");
        JudgedQuestion two = atTheEnd(10, 14, 12).sections(JudgedQuestion.class).get(0);
        assertThat(two.ask().alpha()).isEqualTo(0.025);
        assertThat(two.account(Measured.started(plan).record()).toString())
                .contains("for all comparisons of the 2 primary questions");
    }

    @Test
    void whereItMayEndEarlyAClearAnswerIsFirmBeforeTheLastLook() {
        asking("Height: higher in coir than in peat, by 1 cm");
        plan = plan.with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, false, Rules.Ending.WHEN_CLEAR));
        Measured made = Measured.started(plan);
        heights(made, 2, 10, 16, 10);
        Findings.Answered answer = findings(made).answers().get(0);
        assertThat(answer.verdict().firmness()).isEqualTo(Verdict.Firmness.BETTER);
        assertThat(answer.details()).contains("It may end here: clear by the limit that was planned for this look.");
        Measured weak = Measured.started(plan);
        heights(weak, 2, 10, 11, 10);
        assertThat(findings(weak).answers().get(0).verdict().firmness())
                .isIn(Verdict.Firmness.SO_FAR, Verdict.Firmness.CANT_TELL);
    }
}
