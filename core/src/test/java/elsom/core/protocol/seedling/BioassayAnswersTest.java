package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.Likelihoods;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Seen;
import elsom.core.diagnosis.Sign;
import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
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
                .startsWith("Use it. GW-31 at day 21, lift roots: no injury of pea was shown up to 100 %")
                .contains("Nothing here points to a contaminant: an injury of 2 points");
        Findings.Answered second = findings.answers().get(0);
        assertThat(second.verdict().sentence())
                .startsWith("Don't use it. GW-32 at day 21, lift roots: pea is injured from ")
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
        assertThat(results(findings).get(0).refused().orElseThrow())
                .contains("the control failed: clean medium must leave plants next to unharmed");
        assertThat(results(findings).get(0).diagnosis()).isEmpty();
    }

    // ---- no all-clear from silence ----

    private static Findings.Answered only(int replicates, ABioassay.Eye eye) {
        return ABioassay.of(replicates, ABioassay.LOT)
                .scored(eye)
                .found()
                .answers()
                .get(0);
    }

    /** One pot each, the lot's at 7, cupped and twisted: nothing can be judged, and nothing is called clear. */
    @Test
    void onePotEachIsNoAllClearAndItsSymptomsAreTold() {
        Findings.Answered answer =
                only(1, (treatment, days, replicate) -> treatment.equals("GW-32") ? "7 cupped, twisted" : "0");
        assertThat(answer.verdict().sentence())
                .contains("can't be told")
                .contains(
                        "marigold shows cupped leaf, twisted stem or petiole in 1 of 1 of its units and 0 of 1 clean ones (exact p 1")
                .contains("Whether something in it harms can't be told")
                .doesNotContain("Nothing here points");
        assertThat(answer.verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(answer.details()).anyMatch(said -> said.startsWith("Don't use the lot until that is known"));
    }

    /** Four pots each, all of the lot's cupped and twisted at 1 point: the points are slight, the signs are not. */
    @Test
    void symptomsAreEvidenceWhateverThePoints() {
        Findings.Answered answer =
                only(4, (treatment, days, replicate) -> treatment.equals("GW-32") ? "1 cupped, twisted" : "0");
        assertThat(answer.verdict().sentence()).doesNotContain("Nothing here points");
        assertThat(answer.details().get(0))
                .isEqualTo(
                        "Symptoms: marigold shows cupped leaf, twisted stem or petiole in 4 of 4 of its units and 0 of 4"
                                + " clean ones (exact p 0.029).");
        assertThat(answer.details()).anyMatch(said -> said.startsWith("Keep the lot apart"));
    }

    @Test
    void fewUnevenPotsCouldHaveMissedWhatMatters() {
        Findings.Answered answer =
                only(2, (treatment, days, replicate) -> treatment.equals("GW-32") && replicate == 1 ? "3" : "0");
        assertThat(answer.verdict().sentence())
                .contains("so few units of marigold could have missed an injury of ")
                .doesNotContain("Nothing here points");
        assertThat(answer.verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
    }

    @Test
    void beforeTheLastLookNothingIsClear() {
        Findings findings = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) -> "0")
                .foundAt(1, Likelihoods.SHIPPED);
        assertThat(findings.answers().get(0).verdict().sentence())
                .contains("“day 21, lift roots” is still to come")
                .doesNotContain("Nothing here points");
    }

    @Test
    void withoutACleanMediumThereIsNoBioassay() {
        Factor shares = APlan.factor(
                "Mix",
                FactorKind.MATERIAL,
                "1 GW-32 + 3 leaf mould",
                "1 GW-32 + 1 leaf mould",
                "3 GW-32 + 1 leaf mould");
        Findings.Answered answer =
                found((treatment, days, replicate) -> "0", shares).answers().get(0);
        assertThat(answer.verdict().sentence()).contains("no clean medium beside it");
        assertThat(answer.verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
    }

    @Test
    void aFailedControlClaimsNothingOfTheLot() {
        Findings findings = found(
                (treatment, days, replicate) -> String.valueOf((treatment.equals("GW-32") ? 8 : 6) + replicate % 2),
                ABioassay.LOT);
        assertThat(findings.answers().get(0).verdict().sentence())
                .contains("marigold can't be told")
                .contains("The cause can't be asked for: the control failed")
                .doesNotContain("no injury");
    }

    /** Four pots of a beginner: one of the lot's is unread, one of the clean ones died; the other of the lot's is cupped. */
    @Test
    void fourPotsWithOneUnreadAndOneDeadAreFoundOutFirst() {
        Plan plan =
                APlan.of("seedling-injury").factors(ABioassay.LOT).replicates(2).plan();
        Measured measured = Measured.started(plan);
        List<Look> looks = measured.record().looks();
        measured.end(MishapKind.DIED, measured.unit(1, 2), looks.get(0));
        for (Look look : looks) {
            measured.typed(measured.unit(1, 1), look, "injury", 1, 0, "0");
            measured.typed(measured.unit(2, 1), look, "injury", 1, 4, "4 cupped");
        }
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.empty()));
        Findings.Answered lot = findings.answers().stream()
                .filter(answer -> answer.verdict().sentence().contains("GW-32 at"))
                .findFirst()
                .orElseThrow();
        assertThat(lot.verdict().sentence())
                .startsWith("Find out before it is used.")
                .contains("can't be told")
                .doesNotContain("Nothing here points")
                .doesNotContain("is likely");
        assertThat(lot.verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
    }

    /** The neat lot was never read: what a quarter and a half of it do is no all-clear for it. */
    @Test
    void aNeatLotThatNobodyReadIsNotClear() {
        Plan plan = APlan.of("seedling-injury")
                .factors(ABioassay.SHARES)
                .replicates(4)
                .plan();
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks()) {
            measured.record().units().stream()
                    .filter(unit -> unit.treatment() < 4)
                    .forEach(unit -> measured.typed(unit, look, "injury", 1, 0, "0"));
        }
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.empty()));
        assertThat(findings.answers().get(0).verdict().sentence())
                .startsWith("Find out before it is used.")
                .contains("100 %, was not judged")
                .doesNotContain("Nothing here points");
    }

    /** Burnt and stunted peas may be of salts, and may be of much else, until a later pair tells. */
    @Test
    void aFirstTrialsBoardReadsWhatALaterOneShowed() {
        ABioassay first = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT)
                .scored((treatment, days, replicate) -> ABioassay.share(treatment) > 0 ? "6 burnt, stunted" : "0");
        BioassayResult alone = first.lots().get(0);
        assertThat(alone.contaminant()).isEmpty();
        Findings both = first.foundWith(List.of(
                new Seen(Sign.LEACHING, Optional.empty(), true),
                new Seen(Sign.CHARCOAL, Optional.empty(), false),
                new Seen(Sign.INJURED, Optional.of(IndicatorGroup.LEGUME), false)));
        BioassayResult told = results(both).get(0);
        assertThat(told.contaminant()).contains(Cause.SALTS);
        assertThat(told.learnt()).extracting(Seen::sign).containsExactly(Sign.LEACHING, Sign.CHARCOAL);
        assertThat(told.next()).isNotEqualTo(Optional.of(NextTest.LEACHING));
        assertThat(both.answers().get(0).details())
                .contains("Taken in from a later trial of it: harm falls with leaching, harm stays with charcoal.");
        assertThat(told.telling()).doesNotContainAnyElementsOf(told.learnt());
    }

    @Test
    void bittenPlantsSayNothingOfTheLot() {
        Findings bitten = found(
                (treatment, days, replicate) -> ABioassay.share(treatment) > 0 ? "6 chewed, missing" : "0",
                ABioassay.SEEDLINGS,
                ABioassay.LOT);
        assertThat(results(bitten).get(0).diagnosis().orElseThrow().named()).contains(Cause.EATEN);
        assertThat(bitten.answers().get(0).verdict().sentence())
                .startsWith("Find out before it is used: repeat it, safe from that.")
                .contains("Slugs or other eaters is likely.");
    }

    @Test
    void twoCausesAtOnceAreSaid() {
        Findings both = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT)
                .scored((treatment, days, replicate) -> ABioassay.share(treatment) == 0
                        ? "0"
                        : treatment.contains("pea") ? "8 cupped, twisted, strap, burnt, stunted" : "6 burnt, stunted")
                .read("ec", treatment -> ABioassay.share(treatment) > 0 ? 4.2 : 1)
                .found();
        assertThat(both.answers().get(0).verdict().sentence())
                .startsWith("Don't use it.")
                .contains(
                        "No one cause explains what was seen; auxin-type weedkiller residue and soluble salts together would.");
        assertThat(results(both).get(0).contaminant()).contains(Cause.AUXIN);
    }
}
