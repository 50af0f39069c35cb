package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Sign;
import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A lot is judged against its clean medium in each plant, and its cause is looked for only where it injures. */
class BioassayAnswersTest {
    private static final Factor MIXES = APlan.factor(
            "Mix",
            FactorKind.MATERIAL,
            "leaf mould",
            "1 GW-31 + 1 leaf mould",
            "GW-31",
            "1 GW-32 + 3 leaf mould",
            "1 GW-32 + 1 leaf mould",
            "GW-32");

    private static Findings found(ABioassay.Eye eye, Factor... factors) {
        return ABioassay.of(factors).scored(eye).found();
    }

    private static List<BioassayResult> results(Findings findings) {
        return findings.sections(BioassayResult.class).stream().toList();
    }

    @Test
    void theLotThatCupsPeasAndSparesBarleyIsNamedAndTheOtherIsNot() {
        Findings findings = found(ABioassay::auxin, ABioassay.SEEDLINGS, MIXES);
        List<BioassayResult> lots = results(findings);
        assertThat(lots).extracting(BioassayResult::lot).containsExactly("GW-32", "GW-31");
        assertThat(lots.get(1).injurious()).isFalse();
        assertThat(lots.get(1).diagnosis()).isEmpty();
        assertThat(lots.get(0).contaminant()).contains(Cause.AUXIN);
        assertThat(lots.get(0).clean()).isEqualTo("leaf mould");
        assertThat(findings.answers().get(1).verdict().sentence())
                .startsWith("GW-31 at day 21, lift roots: no injury of pea was shown up to 100 %")
                .endsWith("Nothing here points to a contaminant.");
        Findings.Answered second = findings.answers().get(0);
        assertThat(second.verdict().sentence())
                .startsWith("GW-32 at day 21, lift roots: pea is injured from ")
                .contains("no injury of barley was shown up to 100 %")
                .endsWith("Auxin-type weedkiller residue is likely.")
                .doesNotContain("likely %");
        assertThat(second.details()).anyMatch(said -> said.startsWith("For it: ") && said.contains("cupped leaf"));
        assertThat(second.details()).anyMatch(said -> said.startsWith("Keep the lot apart"));
        assertThat(second.verdict().wouldChange()).contains("laboratory").contains("no product or firm");
    }

    @Test
    void injuryByShareHasItsOwnLineForEachPlantAndNoShareToWorkWith() {
        Findings findings = found(ABioassay::auxin, ABioassay.SEEDLINGS, MIXES);
        DoseResult shares = findings.sections(DoseResult.class).get(0);
        assertThat(shares.factor()).isEqualTo("Share of GW-32");
        assertThat(shares.lines()).extracting(DoseResult.Line::name).containsExactly("pea", "barley");
        assertThat(shares.lines().get(0).effect().levels())
                .extracting(level -> level.dose())
                .containsExactly(0.0, 25.0, 50.0, 100.0);
        assertThat(shares.lines().get(0).rate().whyNot().orElseThrow()).contains("quarantine");
    }

    @Test
    void aPairWithCharcoalSpeaks() {
        Findings findings = found(
                (treatment, days, replicate) -> {
                    boolean harmed = treatment.startsWith("GW-32") && !treatment.contains("charcoal");
                    return (harmed ? 7 + replicate % 2 : replicate % 2) + (harmed ? " stunted" : "");
                },
                ABioassay.LOT,
                ABioassay.pair("with charcoal"));
        BioassayResult result = results(findings).get(0);
        assertThat(result.diagnosis().orElseThrow().first().reasons())
                .anyMatch(reason ->
                        reason.seen().sign() == Sign.CHARCOAL && reason.seen().present());
        assertThat(result.species())
                .singleElement()
                .satisfies(one -> assertThat(one.name()).isEqualTo("marigold"));
    }

    @Test
    void withoutSymptomsItCantTellAndSaysWhatWould() {
        Findings findings = found(
                (treatment, days, replicate) -> String.valueOf((treatment.equals("GW-32") ? 6 : 0) + replicate % 2),
                ABioassay.LOT);
        BioassayResult result = results(findings).get(0);
        assertThat(result.injurious()).isTrue();
        assertThat(result.contaminant()).isEmpty();
        assertThat(result.next().map(NextTest::words)).isPresent();
        assertThat(findings.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(findings.answers().get(0).verdict().sentence()).contains("can't be told yet: ");
        assertThat(findings.answers().get(0).details()).anyMatch(said -> said.startsWith("What would part "));
    }

    @Test
    void anInjuredControlAllowsNoDiagnosis() {
        Findings findings = found(
                (treatment, days, replicate) -> String.valueOf((treatment.equals("GW-32") ? 8 : 4) + replicate % 2),
                ABioassay.LOT);
        assertThat(results(findings).get(0).refused().orElseThrow()).contains("is injured itself");
        assertThat(results(findings).get(0).diagnosis()).isEmpty();
    }
}
