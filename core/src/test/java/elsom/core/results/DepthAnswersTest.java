package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Asked;
import elsom.core.plan.Measure;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.protocol.Protocols;
import elsom.core.series.Measurand;
import elsom.core.series.Sensed;
import elsom.core.series.SeriesSummary;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Salt at the depths of a probe is told depth by depth: how far it rose, and whether it came back. */
class DepthAnswersTest {
    private static final List<String> DEPTHS = List.of("ec-5", "ec-15");

    private static Plan plan() {
        Plan plan = APlan.ofGrowth().list("rain", "ditch").replicates(3).plan();
        List<Measure> measures = new ArrayList<>(plan.asked().measures());
        measures.add(Measure.sensed(new EndpointCode("ec-5"), new Sensed(Measurand.EC, 5, SeriesSummary.MEAN, 0)));
        measures.add(Measure.sensed(new EndpointCode("ec-15"), new Sensed(Measurand.EC, 15, SeriesSummary.MEAN, 0)));
        List<EndpointCode> codes = DEPTHS.stream().map(EndpointCode::new).toList();
        return plan.with(new Asked(plan.question(), plan.asked().crop(), List.of(), measures))
                .with(plan.schedule()
                        .with(
                                List.of(
                                        new PlannedLook("before", Duration.ofDays(2), codes),
                                        new PlannedLook("most", Duration.ofDays(10), codes),
                                        new PlannedLook("rinsed", Duration.ofDays(16), codes)),
                                List.of(),
                                plan.schedule().hours()));
    }

    /** EC of the salted treatment at each look, first at 5 cm and then at 15; the other stays at 0.6. */
    private static Findings found(double[] shallow, double[] deep) {
        Plan plan = plan();
        Measured measured = Measured.started(plan);
        for (int i = 0; i < shallow.length; i++) {
            Look look = measured.record().looks().get(i);
            for (ExperimentalUnit unit : measured.record().units()) {
                boolean salted = unit.treatment() == 2;
                measured.add(unit, look, "ec-5", 1, (salted ? shallow[i] : 0.6) + 0.01 * unit.replicate())
                        .add(unit, look, "ec-15", 1, (salted ? deep[i] : 0.6) + 0.01 * unit.replicate());
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(shallow.length)));
    }

    private static List<Verdict> ofDitch(Findings findings) {
        return findings.answers().stream()
                .map(Findings.Answered::verdict)
                .filter(verdict -> verdict.sentence().startsWith("ditch: EC"))
                .toList();
    }

    @Test
    void theSurfaceCameBackAndTheDepthDidNot() {
        Findings findings = found(new double[] {0.6, 3, 0.6}, new double[] {0.6, 2, 1.6});
        assertThat(ofDitch(findings)).singleElement().satisfies(verdict -> {
            assertThat(verdict.sentence())
                    .contains("at 5 cm rose from 0.62 to 3.02 mS/cm (most) and has come back (0.00 left")
                    .contains("at 15 cm rose from 0.62 to 2.02 mS/cm (most) and has not come back (1.00 left");
            assertThat(verdict.firmness()).isEqualTo(Verdict.Firmness.WORSE);
        });
        TableResult table = findings.sections(TableResult.class).get(0);
        assertThat(Tables.headings(table)).containsExactly("5 cm", "5 cm", "5 cm", "15 cm", "15 cm", "15 cm");
        assertThat(Tables.cells(table, 1)).containsExactly("0.62", "3.02", "0.62", "0.62", "2.02", "1.62");
    }

    @Test
    void backAtAllDepthsIsClearAndBeforeAnyRinsingItIsSoFar() {
        assertThat(ofDitch(found(new double[] {0.6, 3, 0.6}, new double[] {0.6, 2, 0.6})))
                .extracting(Verdict::firmness)
                .containsExactly(Verdict.Firmness.SETTLED);
        assertThat(ofDitch(found(new double[] {0.6, 3}, new double[] {0.6, 2})))
                .extracting(Verdict::firmness)
                .containsExactly(Verdict.Firmness.SO_FAR);
    }

    @Test
    void whatNeverRoseIsNotTalkedAbout() {
        Findings findings = found(new double[] {0.6, 3, 0.6}, new double[] {0.6, 2, 1.6});
        assertThat(findings.answers())
                .noneMatch(answer -> answer.verdict().sentence().startsWith("rain: EC"));
        assertThat(ofDitch(found(new double[] {0.6}, new double[] {0.6}))).isEmpty();
    }
}
