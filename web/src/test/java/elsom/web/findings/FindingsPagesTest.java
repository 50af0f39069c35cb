package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Measured;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.UnitResult;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.kit.BenchMap;
import elsom.web.kit.TrialHeader;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** What the findings pages show of a trial: figures with their scatter, places, and a way to every working. */
class FindingsPagesTest {
    private static final Instant LATER = GrowthPlan.START.plus(Duration.ofDays(15));

    private final Measured growth = Measured.started(GrowthPlan.plan());

    private static Findings found(TrialRecord record) {
        return Protocols.find(record.trial().protocol()).orElseThrow().findings(record, OptionalInt.empty());
    }

    private static FindingsPage page(TrialRecord record) {
        return FindingsPage.of(record, found(record), 1, TrialHeader.Step.FINDINGS, LATER);
    }

    private TrialRecord heights() {
        return growth.read("height", 1, 10, 11, 12)
                .read("height", 2, 10, 10, 13)
                .read("height", 3, 15, 16, 17)
                .read("height", 4, 14)
                .record();
    }

    @Test
    void figuresStandWithTheirScatterAndTheirUnits() {
        FindingsPage page = page(heights());
        assertThat(page.anything()).isTrue();
        assertThat(page.columns()).extracting(FigureKind::code).containsExactly("height");
        assertThat(page.groups()).extracting(FindingsPage.GroupLine::n).containsExactly("3", "3", "3", "1 of 3");
        FindingsPage.Shown control = page.groups().get(0).figures().get(0);
        assertThat(control.number()).isEqualTo("11.0");
        assertThat(control.scatter()).isEqualTo("± 1.0");
        assertThat(control.href()).endsWith("/working?kind=height&at=2&bench=1&treatment=1");
        assertThat(page.groups().get(3).figures().get(0).scatter()).isEqualTo("one unit");
    }

    @Test
    void theRankFollowsTheFirstEndpointOfTheLook() {
        FindingsPage page = page(heights());
        assertThat(page.rankedBy()).isEqualTo("Rank by height");
        assertThat(page.rankings()).singleElement().satisfies(table -> {
            assertThat(table.title()).isEqualTo("All");
            assertThat(table.lines()).extracting(FindingsPage.RankLine::place).containsExactly("1", "2", "3=", "3=");
            assertThat(table.lines().get(0).value()).isEqualTo("16.0 cm");
        });
        assertThat(page.comparedName()).isEqualTo("day 14");
    }

    @Test
    void verdictsCompareEveryTreatmentWithTheControl() {
        assertThat(page(heights()).verdicts())
                .hasSize(3)
                .anyMatch(verdict -> verdict.sentence().startsWith("Height in seaweed · leaf mould is above"))
                .anyMatch(verdict -> verdict.sentence().startsWith("Can't tell yet about height in seaweed · wood"));
    }

    @Test
    void nothingIsShownOfATrialThatWasNotMeasured() {
        FindingsPage page = page(growth.record());
        assertThat(page.anything()).isFalse();
        assertThat(page.groups()).isEmpty();
        assertThat(page.rankings()).isEmpty();
    }

    @Test
    void everyUnitIsOnTheBenchWithItsFigureOrADash() {
        TrialRecord record = heights();
        UnitsPage page = UnitsPage.of(record, found(record), 1, LATER);
        assertThat(page.units()).hasSize(10);
        assertThat(page.shownWords()).isEqualTo("Height, cm, at day 14");
        BenchMap.Drawn bench = page.map().benches().get(0);
        assertThat(bench.cells()).hasSize(12);
        assertThat(bench.cells())
                .filteredOn(cell -> cell.value().isEmpty() || cell.value().equals("–"))
                .hasSize(2);
        assertThat(bench.cells())
                .filteredOn(cell -> cell.href().contains("/working?kind=height"))
                .hasSize(10);
    }

    @Test
    void aLostUnitSaysSo() {
        heights();
        Look later = growth.record().looks().get(3);
        growth.lose(growth.unit(1, 1), later);
        TrialRecord record = growth.record();
        UnitsPage page = UnitsPage.of(record, found(record), 1, LATER);
        assertThat(page.units())
                .filteredOn(UnitsPage.UnitLine::lost)
                .singleElement()
                .satisfies(line -> assertThat(line.code())
                        .isEqualTo(growth.unit(1, 1).code().value()));
    }

    @Test
    void aUnitsFigureLeadsBackToItsReadings() {
        TrialRecord record = heights();
        Findings found = found(record);
        UnitResult unit = found.units().get(0);
        FigureKind height = found.kind("height").orElseThrow();
        WorkingPage page =
                WorkingPage.of(record, found, height, unit.figure(height).orElseThrow(), LATER, 1);
        assertThat(page.terms()).hasSize(3).allSatisfy(term -> {
            assertThat(term.name()).startsWith("reading ");
            assertThat(term.href())
                    .contains("/bench?")
                    .contains(unit.unit().code().value());
        });
    }

    @Test
    void aWaterTrialCanBeComparedAtEachOfItsWeighings() {
        TrialRecord record = ExchangeFixture.measured();
        FindingsPage page = FindingsPage.of(record, found(record), 1, TrialHeader.Step.FINDINGS, ExchangeFixture.START);
        assertThat(page.looks())
                .extracting(FindingsPage.Choice::label)
                .containsExactly("drained", "24 h", "day 2", "day 4");
        assertThat(page.looks()).filteredOn(FindingsPage.Choice::here).hasSize(1);
        assertThat(page.courses()).extracting(FindingsPage.Chart::title).contains("Water by volume", "Weight");
        assertThat(page.portions()).isNotEmpty();
        assertThat(page.benches())
                .singleElement()
                .satisfies(choice -> assertThat(choice.here()).isTrue());
    }
}
