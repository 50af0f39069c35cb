package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.TableResult;
import elsom.core.results.Tables;
import elsom.core.results.Verdict;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** An extract's dishes beside those of plain water; without a control that germinates nothing holds. */
class GerminationAnswersTest {
    private static final int[] CONTROL = {6, 9, 10};
    private static final int[] HELD = {1, 4, 5};

    /** Ten seeds a dish; the second treatment's roots are so long. */
    private static Findings found(int[] control, int[] sample, double controlRoot, double sampleRoot) {
        return found(4, control, sample, controlRoot, sampleRoot);
    }

    private static Findings found(int dishes, int[] control, int[] sample, double controlRoot, double sampleRoot) {
        Plan plan = APlan.of("germination")
                .list("water", "extract of GW-32")
                .replicates(dishes)
                .plan();
        Pots pots = plan.pots();
        Measured measured = Measured.started(plan.with(
                plan.treatments(),
                new Pots(pots.container(), pots.volumeMl(), 0, 10, 0, pots.settling(), pots.spare(), 5)));
        int count = 0;
        for (Look look : measured.record().looks()) {
            boolean counts = look.endpoints().contains(GerminationAnswers.GERMINATED);
            for (ExperimentalUnit unit : measured.record().units()) {
                boolean clean = unit.treatment() == 1;
                int k = counts ? (clean ? control : sample)[count] : 0;
                if (counts) {
                    measured.add(unit, look, "germinated", 1, k);
                } else {
                    measured.add(unit, look, "ec", 1, clean ? 0.2 : 3.4).add(unit, look, "ph", 1, 6.8);
                }
                if (look.endpoints().contains(GerminationAnswers.ROOT)) {
                    for (int sub = 1; sub <= Math.min(5, k); sub++) {
                        measured.add(unit, look, "root-length", sub, clean ? controlRoot : sampleRoot);
                    }
                }
            }
            count += counts ? 1 : 0;
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        measured.record(),
                        OptionalInt.of(measured.record().looks().size())));
    }

    @Test
    void theIndexIsGerminationTimesRootsOverTheControls() {
        Findings findings = found(CONTROL, HELD, 40, 20);
        // 0.5 of the seeds and half the root: 25 %.
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("At 72 h: extract of GW-32 hinders strongly (germination index 25 %, 95 % interval ");
        assertThat(findings.answers().get(0).details().toString())
                .contains("extract of GW-32: germination is 50 % of the control's (")
                .contains("root length is 50 % of the control's (")
                .doesNotContain("not told from it");
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.WORSE);
        TableResult table = findings.sections(TableResult.class).get(0);
        List<String> cells = Tables.cells(table, 1);
        assertThat(cells).contains("20 of 40, 50 %", "20.0 mm", "25 %", "hinders strongly", "3.4 mS/cm, salty", "6.8");
        // Wilson's interval of 20 of 40 is 0.352 to 0.648.
        assertThat(cells).contains("35 to 65 %");
        assertThat(Tables.cells(table, 0)).contains("control");
        assertThat(table.remarks()).anyMatch(said -> said.contains("Zucconi"));
    }

    @Test
    void halfHaveGerminatedWhereTheCountsCrossTheHalf() {
        List<String> control = Tables.cells(
                found(CONTROL, HELD, 40, 20).sections(TableResult.class).get(0), 0);
        // 24 of 40 by 24 h from 0: the 20th at 20 h.
        assertThat(control).contains("20 h");
    }

    @Test
    void withoutAGoodControlTheTestDoesNotHold() {
        Findings findings = found(HELD, HELD, 40, 40);
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("The germination test does not hold at 72 h: of the control only 50 % germinated");
    }

    @Test
    void classesAreThoseOfTheirSource() {
        assertThat(GerminationAnswers.effect(49)).isEqualTo("hinders strongly");
        assertThat(GerminationAnswers.effect(79)).isEqualTo("hinders somewhat");
        assertThat(GerminationAnswers.effect(90)).isEqualTo("does not hinder");
        assertThat(GerminationAnswers.effect(120)).contains("helps");
    }

    @Test
    void germinationAndRootsAreToldApart() {
        Findings findings = found(CONTROL, CONTROL, 40, 18);
        assertThat(findings.answers().get(0).details().toString())
                .contains("germination is 100 % of the control's")
                .containsPattern("germination is 100 % of the control's \\([^)]*\\), not told from it")
                .containsPattern("root length is 45 % of the control's \\([^)]*\\)\\.");
    }

    @Test
    void anIndexNearTheLimitIsNoVerdict() {
        Findings findings = found(CONTROL, new int[] {6, 7, 8}, 40, 39);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(findings.answers().get(0).verdict().sentence()).contains("may hinder or not: it can't be told");
        assertThat(Tables.cells(findings.sections(TableResult.class).get(0), 1)).contains("can't be told");
    }

    @Test
    void oneDishEachIsNotCalledWorse() {
        Findings findings = found(1, CONTROL, HELD, 40, 20);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(findings.answers().get(0).verdict().sentence())
                .isEqualTo(
                        "At 72 h: extract of GW-32 can't be told: germination index 25 %, of too few dishes to know what is"
                                + " chance.");
        assertThat(Tables.cells(findings.sections(TableResult.class).get(0), 1)).contains("not judged");
    }

    @Test
    void whereNoneGerminatesThereAreNoRootsAndStillAVerdict() {
        Findings findings = found(CONTROL, new int[] {0, 0, 0}, 40, 0);
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.WORSE);
        assertThat(findings.answers().get(0).verdict().sentence())
                .contains("hinders strongly: none of 40 germinated, 40 of 40 in the control");
    }
}
