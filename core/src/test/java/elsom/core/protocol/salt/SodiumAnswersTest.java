package elsom.core.protocol.salt;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.TableResult;
import elsom.core.results.Tables;
import elsom.core.results.Verdict;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Sodium rises with salty water, and it is told whether leaching brought it back. */
class SodiumAnswersTest {
    /** mg/L of sodium at each look; 160 mg/L of calcium and 49 of magnesium are 8 and 4 meq/L. */
    private static Findings found(double... sodium) {
        Plan plan = APlan.of("sodium").list("rain", "ditch").replicates(4).plan();
        Measured measured = Measured.started(plan);
        for (int i = 0; i < sodium.length; i++) {
            Look look = measured.record().looks().get(i);
            for (ExperimentalUnit unit : measured.record().units()) {
                double given = unit.treatment() == 1 ? sodium[0] : sodium[i];
                measured.add(unit, look, "sodium", 1, given + unit.replicate())
                        .add(unit, look, "calcium", 1, 160)
                        .add(unit, look, "magnesium", 1, 49);
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(sodium.length)));
    }

    @Test
    void whatCameBackHasComeBack() {
        Verdict ditch = found(60, 700, 66).answers().get(1).verdict();
        assertThat(ditch.sentence())
                .startsWith(
                        "ditch: the sodium ratio (SAR) stood at 1.1 at the look “baseline”, at most 12.5 at the look “peak”, and 1.2 at the look “after leaching”")
                .contains("it has come back to within 1.0");
        assertThat(ditch.firmness()).isEqualTo(Verdict.Firmness.SETTLED);
    }

    @Test
    void whatStayedHasNot() {
        Verdict ditch = found(60, 700, 500).answers().get(1).verdict();
        assertThat(ditch.sentence()).contains("it has not come back");
        assertThat(ditch.firmness()).isEqualTo(Verdict.Firmness.WORSE);
    }

    @Test
    void beforeAnyLeachingNothingIsSaidOfIt() {
        assertThat(found(60, 700).answers().get(1).verdict().sentence()).contains("it has not fallen yet");
    }

    @Test
    void theTableHasRatioAndShareAtEachLook() {
        TableResult table = found(60, 700, 66).sections(TableResult.class).get(0);
        assertThat(Tables.headings(table))
                .containsExactly(
                        "SAR, baseline",
                        "ESP, baseline",
                        "SAR, peak",
                        "ESP, peak",
                        "SAR, after leaching",
                        "ESP, after leaching");
        assertThat(Tables.cells(table, 1)).hasSize(6).contains("12.5");
    }

    @Test
    void whatTheLaboratoryMeasuredOfTheSoilIsACourseOfItsOwn() {
        Plan ions = APlan.of("sodium").list("rain", "ditch").replicates(4).plan();
        Plan plan = ions.with(ions.schedule()
                .with(
                        ions.schedule().looks().stream()
                                .map(look ->
                                        new PlannedLook(look.name(), look.after(), List.of(new EndpointCode("esp"))))
                                .toList(),
                        ions.schedule().steps(),
                        ions.schedule().hours()));
        Measured measured = Measured.started(plan);
        double[] ditch = {3, 19, 18};
        for (int i = 0; i < ditch.length; i++) {
            for (ExperimentalUnit unit : measured.record().units()) {
                measured.add(
                        unit,
                        measured.record().looks().get(i),
                        "esp",
                        1,
                        (unit.treatment() == 1 ? 3 : ditch[i]) + 0.1 * unit.replicate());
            }
        }
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(3)));
        assertThat(findings.answers().get(1).verdict().sentence())
                .startsWith(
                        "ditch: exchangeable sodium (ESP, by the laboratory) stood at 3.3 % at the look “baseline”, at most 19.3 %")
                .contains("it has not come back");
        assertThat(Tables.cells(findings.sections(TableResult.class).get(0), 1)).contains("19.3 %", "18.3 %");
    }
}
