package elsom.web.report;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.findings.FindingsPage;
import elsom.web.kit.TrialHeader;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** What the report says of how a trial was done, for trials of every layout and kind. */
class ReportPageTest {
    /** Without the findings' own sections, which have their tests. */
    private static ReportPage report(TrialRecord record, Plan plan, Amendment... amendments) {
        Instant now = ExchangeFixture.START.plus(Duration.ofDays(9));
        Findings findings = Protocols.find(record.trial().protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, record, OptionalInt.empty()));
        return ReportPage.of(
                record,
                plan,
                findings,
                List.of(amendments),
                List.of(FindingsPage.of(record, findings, List.of(), 1, TrialHeader.Step.REPORT, now)),
                "test",
                now);
    }

    private static TrialRecord started(Plan plan) {
        TrialRecord draft = plan.draw(new TrialId(4));
        return draft.with(draft.trial().begun(false));
    }

    @Test
    void aWaterTrialTellsWhenItIsDueForWater() {
        ReportPage page = report(ExchangeFixture.measured(), ExchangeFixture.plan());
        assertThat(page.method())
                .anyMatch(line -> line.startsWith("2 treatments × 3 units on Tunnel shelf, drawn at random: blocks"))
                .anyMatch(line -> line.startsWith("Due for water at 40 % of the water held"))
                .anyMatch(line -> line.startsWith("Started Mon 1 Jun 2026, 09:00; looks: empty, dry"));
        assertThat(page.wentWrong())
                .anyMatch(line -> line.contains("cat, \"again\""))
                .contains("1 reading was corrected; the old values are kept.");
        assertThat(page.changed()).isEmpty();
    }

    @Test
    void otherTrialsTellTheirMeasuringRules() {
        ReportPage page = report(started(GrowthPlan.plan()), GrowthPlan.plan());
        assertThat(page.method())
                .anyMatch(line -> line.startsWith("Height: from the surface to the top of the canopy"))
                .noneMatch(line -> line.contains("Due for water"));
    }

    @Test
    void everyStartOfAStaggeredTrialIsTold() {
        Plan plan = GrowthPlan.plan();
        Plan staggered = plan.with(plan.schedule()
                .endingTogether(
                        GrowthPlan.START.plus(Duration.ofDays(30)),
                        List.of(Duration.ofDays(30), Duration.ofDays(30), Duration.ofDays(28), Duration.ofDays(28))));
        assertThat(report(started(staggered), staggered).method())
                .anyMatch(line -> line.startsWith("Started Mon 1 Jun 2026, 09:00: none · leaf mould, none · wood fibre;"
                        + " Wed 3 Jun 2026, 09:00: seaweed · leaf mould, seaweed · wood fibre; looks:"));
    }

    @Test
    void whatChangedAfterTheStartIsToldWithItsReason() {
        Amendment later = new Amendment(
                1, GrowthPlan.START, "Tunnel", "slow spring", List.of("Look “day 35” at 35 days planned."));
        assertThat(report(started(GrowthPlan.plan()), GrowthPlan.plan(), later).changed())
                .containsExactly("Look “day 35” at 35 days planned. Why: slow spring (Tunnel, Mon 1 Jun 2026, 09:00).");
    }
}
