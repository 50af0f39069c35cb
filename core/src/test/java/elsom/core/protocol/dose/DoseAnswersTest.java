package elsom.core.protocol.dose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.section.Account;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

/** What is said of a series of strengths: answer first, then how it grew with time, and what can be worked with. */
class DoseAnswersTest {
    private static final double[] DOSES = {0, 0.25, 0.5, 1, 2, 4};

    private static Plan plan(Factor... others) {
        Factor[] factors = new Factor[others.length + 1];
        factors[0] = APlan.doses(0.1, null, DOSES);
        System.arraycopy(others, 0, factors, 1, others.length);
        return APlan.of("dose-series")
                .factors(factors)
                .replicates(6)
                .asking(APlan.question("injury"))
                .plan();
    }

    /** Injury by dose and day, with the scatter of a careful eye. */
    private static Findings found(Plan plan, DoubleBinaryOperator injury) {
        Measured measured = Measured.started(plan);
        List<List<Integer>> levels = plan.treatments().all().stream()
                .map(treatment -> treatment.levels())
                .toList();
        for (Look look : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                List<Integer> level = levels.get(unit.treatment() - 1);
                double hardier = level.size() > 1 && level.get(1) == 1 ? 1.4 : 1;
                double value = injury.applyAsDouble(DOSES[level.get(0)] / hardier, look.hoursAfterStart() / 24);
                double read = Math.max(0, Math.min(10, Math.rint(value + (unit.replicate() % 3 - 1) * 0.6)));
                measured.add(unit, look, "injury", 1, read);
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        measured.record(),
                        OptionalInt.of(measured.record().looks().size())));
    }

    private static double grows(double dose, double days) {
        double half = 1 + 10 / days;
        return dose == 0 ? 0 : 9 / (1 + Math.pow(half / dose, 2.4));
    }

    private static DoseResult result(Findings findings) {
        return findings.sections(DoseResult.class).get(0);
    }

    @Test
    void theHarmlessDoseComesFirstThenTheRateAndWhatASoonerEndWouldHaveAllowed() {
        Findings findings = found(plan(), DoseAnswersTest::grows);
        Findings.Answered first = findings.answers().get(0);
        assertThat(first.verdict().sentence())
                .isEqualTo("Wood vinegar, injury at day 10: harm from 1 % on, none shown up to 0.5 %.");
        assertThat(first.details().get(0))
                .startsWith(
                        "To work with: 0.25 % at most, the highest strength without harm (NOEC), 0.5 %, over a safety"
                                + " factor of 2. Just this strength was tested.")
                .endsWith("The label's rate is 0.1 %: never go above it.");
        assertThat(first.details().get(1)).startsWith("EC10 ").contains("EC50 ").contains("(95 % interval ");
        assertThat(first.details().get(2))
                .startsWith("Injury takes time: a trial that ended sooner would have allowed ")
                .contains(" at day ");
        assertThat(first.verdict().wouldChange()).contains("marigold").contains("the label and local rules come first");
    }

    @Test
    void everyLookHasItsOwnCurveAndTheLastIsJudged() {
        DoseResult.Line line =
                result(found(plan(), DoseAnswersTest::grows)).lines().get(0);
        assertThat(line.atLooks())
                .extracting(at -> at.look().name())
                .containsExactly("day 1", "day 2", "day 3", "day 5", "day 7", "day 10");
        double early = line.atLooks().get(2).effect().tested().noec().orElseThrow();
        double late = line.effect().tested().noec().orElseThrow();
        assertThat(early).isGreaterThan(late);
        assertThat(line.effect().units()).hasSize(36);
    }

    /** Injury that stays at 3 from day 1 to day 10 is 27 point-days. */
    @Test
    void theAreaUnderACourseIsItsMeanTimesItsDays() {
        DoseResult.Line line =
                result(found(plan(), (dose, days) -> dose == 4 ? 3 : 0)).lines().get(0);
        assertThat(line.areas()).last().satisfies(area -> {
            assertThat(area.dose()).isEqualTo(4);
            assertThat(area.mean()).isCloseTo(27, within(6.0));
            assertThat(area.n()).isEqualTo(6);
        });
        assertThat(line.areas().get(0).mean()).isLessThan(6);
    }

    @Test
    void anotherSpeciesHasItsOwnCurveAndTheRatioItsInterval() {
        Factor species = APlan.factor("Species", FactorKind.HANDLING, "marigold", "barley");
        DoseResult result = result(found(plan(species), DoseAnswersTest::grows));
        assertThat(result.lines()).extracting(DoseResult.Line::name).containsExactly("marigold", "barley");
        DoseResult.Sensitivity ratio = result.sensitivity().orElseThrow();
        assertThat(ratio.ratio()).isBetween(0.55, 0.9);
        assertThat(ratio.low()).isLessThan(1 / 1.4);
        assertThat(ratio.high()).isGreaterThan(1 / 1.4);
    }

    @Test
    void aControlThatIsInjuredItselfAllowsNothing() {
        Findings findings = found(plan(), (dose, days) -> 4 + dose);
        assertThat(result(findings).lines().get(0).rate().whyNot().orElseThrow())
                .startsWith("The control failed: its plants");
        assertThat(findings.answers().get(0).details().get(0)).startsWith("No rate to work with: The control failed");
    }

    @Test
    void withoutInjuryThatIsSaidUpToTheHighestTested() {
        Findings findings = found(plan(), (dose, days) -> 0);
        assertThat(findings.answers().get(0).verdict().sentence())
                .endsWith("no harm was shown up to 4 %, the highest tested.");
    }

    @Test
    void otherTrialsHaveNoSuchSection() {
        Plan plan = APlan.ofGrowth().list("a", "b", "c").replicates(4).plan();
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        Measured.started(plan)
                                .read("height", 1, 4, 5, 6, 5)
                                .read("height", 2, 5, 6, 7, 6)
                                .record(),
                        OptionalInt.empty()));
        assertThat(findings.sections(DoseResult.class)).isEmpty();
        assertThat(plan.asked().measure(new EndpointCode("height"))).isPresent();
    }

    // ---- no rate that hurts ----

    private static Findings foundAt(int look, Plan plan, DoubleBinaryOperator injury) {
        Measured measured = Measured.started(plan);
        for (Look one : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                double dose = DOSES[
                        plan.treatments()
                                .all()
                                .get(unit.treatment() - 1)
                                .levels()
                                .get(0)];
                double value = injury.applyAsDouble(dose, one.hoursAfterStart() / 24);
                double read = Math.max(0, Math.min(10, Math.rint(value + (unit.replicate() % 3 - 1) * 0.6)));
                measured.add(unit, one, "injury", 1, read);
            }
        }
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.of(look)));
    }

    @Test
    void thereIsNoRateBeforeTheLastLook() {
        Findings findings = foundAt(3, plan(), DoseAnswersTest::grows);
        assertThat(findings.answers().get(0).details().get(0))
                .isEqualTo("No rate to work with: The last look, “day 10”, is still to come: harm of this kind often"
                        + " shows after a week.");
        assertThat(result(findings).lines().get(0).rate().asOptional()).isEmpty();
    }

    @Test
    void aTrialThatIsLookedAtForDaysOnlySaysSoWithItsRate() {
        Plan whole = plan();
        Plan cut = whole.with(whole.schedule()
                .with(
                        whole.schedule().looks().subList(0, 3),
                        whole.schedule().steps(),
                        whole.schedule().hours()));
        Findings findings = foundAt(3, cut, DoseAnswersTest::grows);
        assertThat(findings.answers().get(0).details().get(0))
                .startsWith("To work with: ")
                .endsWith(
                        "It was looked at until day 3, not until day 10: harm of this kind often shows after a week.");
    }

    @Test
    void aFailedControlClaimsNothing() {
        Findings findings = found(plan(), (dose, days) -> dose < 4 ? 6.8 : 9);
        Findings.Answered first = findings.answers().get(0);
        assertThat(first.verdict().sentence())
                .contains("can't tell, for the control failed: its plants must stay unharmed")
                .doesNotContain("none shown")
                .doesNotContain("harm from");
        assertThat(first.verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(first.details()).singleElement().asString().startsWith("No rate to work with: The control failed");
        Account account = result(findings).account(Measured.started(plan()).record());
        assertThat(account.cautions()).anyMatch(said -> said.startsWith("Nothing is claimed: the control failed"));
        assertThat(account.parts().get(0).standings())
                .allSatisfy(at -> assertThat(at.facts().stream().skip(1))
                        .allMatch(fact -> fact.value().amount().isEmpty()));
    }

    /** Heights that shrink from 0.5 % on allow less than injury does; the least of the two is worked with. */
    @Test
    void ofTwoEndpointsTheLeastRateIsWorkedWithAndSaysWhichSetsIt() {
        Plan both = APlan.of("dose-series")
                .factors(APlan.doses(0.1, null, DOSES))
                .replicates(6)
                .asking(APlan.question("injury"), APlan.question("fresh-mass"))
                .plan();
        Measured measured = Measured.started(both);
        Look last = measured.record().looks().get(measured.record().looks().size() - 1);
        for (ExperimentalUnit unit : measured.record().units()) {
            double dose = DOSES[
                    both.treatments().all().get(unit.treatment() - 1).levels().get(0)];
            measured.add(unit, last, "injury", 1, dose >= 2 ? 6 + unit.replicate() % 2 : unit.replicate() % 2);
            measured.add(unit, last, "fresh-mass", 1, 20 - 4 * dose + 0.2 * (unit.replicate() % 3 - 1));
        }
        Findings findings = Protocols.find(both.protocol())
                .orElseThrow()
                .findings(Evidence.of(both, measured.record(), OptionalInt.of(last.number())));
        List<DoseResult> results = findings.sections(DoseResult.class);
        assertThat(results).hasSize(2);
        double height = results.get(1)
                .lines()
                .get(0)
                .rate()
                .asOptional()
                .map(rate -> rate.rate())
                .orElse(0.0);
        assertThat(results.get(0)
                        .lines()
                        .get(0)
                        .rate()
                        .asOptional()
                        .map(rate -> rate.rate())
                        .orElse(0.0))
                .isEqualTo(height);
        assertThat(results.get(0).lines().get(0).limit().orElseThrow().kind().label())
                .isEqualTo("Fresh mass");
        assertThat(findings.answers().get(0).details().get(0)).containsIgnoringCase("fresh mass");
    }

    /** Read only up to 1 %: 2 and 4 % stand there, and nobody looked. */
    @Test
    void whatWasSetUpAndNotReadIsNotTheHighestTested() {
        Plan plan = plan();
        Measured measured = Measured.started(plan);
        for (Look look : measured.record().looks()) {
            for (ExperimentalUnit unit : measured.record().units()) {
                double dose = DOSES[
                        plan.treatments()
                                .all()
                                .get(unit.treatment() - 1)
                                .levels()
                                .get(0)];
                if (dose <= 1) {
                    measured.add(unit, look, "injury", 1, unit.replicate() % 2);
                }
            }
        }
        assertThat(first(plan, measured).verdict().sentence())
                .contains("no harm was shown up to 1 %, the highest read: 2 % and 4 % were set up and not read")
                .doesNotContain("the highest tested");
    }

    private static Findings.Answered first(Plan plan, Measured measured) {
        return Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(
                        plan,
                        measured.record(),
                        OptionalInt.of(measured.record().looks().size())))
                .answers()
                .get(0);
    }

    @Test
    void aControlThatDiesOrStandsStillFailed() {
        Plan plan = plan();
        Measured dying = Measured.started(plan);
        Measured still = Measured.started(plan.with(plan.schedule()
                .with(
                        plan.schedule().looks().stream()
                                .map(look -> new PlannedLook(
                                        look.name(),
                                        look.after(),
                                        List.of(EndpointCode.INJURY, new EndpointCode("height"))))
                                .toList(),
                        plan.schedule().steps(),
                        plan.schedule().hours())));
        for (Look look : dying.record().looks()) {
            for (ExperimentalUnit unit : dying.record().units()) {
                dying.add(unit, look, "injury", 1, unit.treatment() == 1 ? 1 : 5);
                if (look.endpoints().contains(new EndpointCode("alive"))) {
                    dying.add(unit, look, "alive", 1, unit.treatment() == 1 ? 2 : 4);
                }
            }
        }
        for (Look look : still.record().looks()) {
            for (ExperimentalUnit unit : still.record().units()) {
                still.add(unit, look, "injury", 1, 1).add(unit, look, "height", 1, 6);
            }
        }
        assertThat(first(plan, dying).verdict().sentence())
                .contains("can't tell, for the control failed: nine in ten of its plants must live; it came to 50 %");
        assertThat(first(plan, still).verdict().sentence())
                .contains(
                        "can't tell, for the control failed: its plants must grow; its height came to 6 at “day 10”, from 6 at");
    }
}
