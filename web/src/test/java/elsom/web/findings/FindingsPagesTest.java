package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.figure.FigureKind;
import elsom.core.figure.UnitResult;
import elsom.core.mix.Quarantine;
import elsom.core.plan.APlan;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.seedling.ABioassay;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.section.Tone;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.kit.BenchMap;
import elsom.web.kit.TrialHeader;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** What the findings pages show of a trial: figures with their scatter, places, and a way to every working. */
class FindingsPagesTest {
    private static final Instant LATER = GrowthPlan.START.plus(Duration.ofDays(15));

    private final Measured growth = Measured.started(GrowthPlan.plan());

    private static Findings found(TrialRecord record) {
        return found(GrowthPlan.plan(), record);
    }

    private static Findings found(Plan plan, TrialRecord record) {
        return Protocols.find(record.trial().protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, record, OptionalInt.empty()));
    }

    private static FindingsPage shown(TrialRecord record, Findings found, Instant now) {
        return FindingsPage.of(record, found, List.of(), 1, TrialHeader.Step.FINDINGS, now);
    }

    private static Account only(TrialRecord record, String key) {
        return only(record, found(record), key).account();
    }

    private static SectionView only(TrialRecord record, Findings found, String key) {
        return SectionView.of(record, found, 1).stream()
                .filter(view -> view.account().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private static Table table(Account account) {
        return account.parts().get(0).tables().get(0);
    }

    /** What stands in a column, 0 for the first. */
    private static List<String> column(Table table, int number) {
        return table.rows().stream().map(row -> row.cells().get(number).shown()).toList();
    }

    private static FindingsPage page(TrialRecord record) {
        return shown(record, found(record), LATER);
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
        TrialRecord heights = heights();
        FindingsPage page = page(heights);
        assertThat(page.anything()).isTrue();
        SectionView view = only(heights, found(heights), "figures");
        Table figures = table(view.account());
        assertThat(figures.headings()).hasSize(3);
        assertThat(column(figures, 1)).containsExactly("3", "3", "3", "1 of 3");
        Cell control = figures.rows().get(0).cells().get(2);
        assertThat(control.shown()).isEqualTo("11.00");
        assertThat(control.small()).isEqualTo("± 1.00");
        assertThat(view.workingHref(control)).endsWith("/working?kind=height&at=2&bench=1&treatment=1");
        assertThat(figures.rows().get(3).cells().get(2).small()).isEqualTo("one unit");
    }

    @Test
    void theFirstAnswerStandsInFewWordsBesideItsPicture() {
        TrialRecord heights = heights();
        Findings found = found(heights);
        List<DrawnSection> drawn = SectionView.of(heights, found, 1).stream()
                .map(view -> new DrawnSection(
                        view.section(),
                        view.account().key(),
                        view.account(),
                        view.ofBench(),
                        view.picture(),
                        view.door(),
                        ""))
                .toList();
        FindingsPage page = FindingsPage.of(heights, found, drawn, 1, TrialHeader.Step.FINDINGS, LATER);
        assertThat(page.pictured().orElseThrow().id()).isEqualTo("comparisons");
        assertThat(page.headline(page.lead()).words()).contains("at day 14").doesNotContain(" to +");
        assertThat(page.hasMore(page.lead())).isTrue();
        assertThat(page(heights).pictured()).isEmpty();
        TrialRecord alone = growth.record();
        assertThat(SectionView.of(alone, found(alone), 1))
                .as("a picture without a row is none")
                .noneMatch(view -> view.picture()
                        .filter(picture -> picture.data().contains("\"rows\":[]"))
                        .isPresent());
    }

    @Test
    void answersNameTheComparisonTheIntervalAndTheLook() {
        TrialRecord heights = heights();
        FindingsPage page = page(heights);
        assertThat(page.answers().get(0).verdict().sentence()).contains("at day 14");
        SectionView contrasts = only(heights, found(heights), "comparisons");
        Table differences = table(contrasts.account());
        assertThat(column(differences, 3)).isNotEmpty().allMatch(said -> said.contains(" to ") && said.endsWith("cm"));
        assertThat(column(differences, 5)).allMatch(p -> p.matches("(< )?[01]\\.\\d+"));
        assertThat(contrasts.data(contrasts.account().parts().get(0).chart().orElseThrow()))
                .contains("\"low\"", "\"high\"");
    }

    @Test
    void placesAreSharedByWhatCanNotBeParted() {
        Table places = table(only(heights(), "ranking"));
        assertThat(column(places, 0)).allMatch(place -> place.matches("\\d(–\\d)?"));
        assertThat(column(places, 1).get(0)).isEqualTo("seaweed · leaf mould");
        assertThat(column(places, 2).get(0)).matches("1\\d\\.\\d\\d cm");
    }

    @Test
    void nothingIsShownOfATrialThatWasNotMeasured() {
        FindingsPage page = page(growth.record());
        assertThat(page.anything()).isFalse();
        assertThat(page.sections()).isEmpty();
        assertThat(page.answers()).hasSize(1);
    }

    @Test
    void everyUnitIsOnTheBenchWithItsFigureOrADash() {
        TrialRecord record = heights();
        UnitsPage page = UnitsPage.of(record, found(record), 1, false, "", LATER);
        assertThat(page.units()).hasSize(10);
        assertThat(page.shownWords()).isEqualTo("height, cm, at day 14");
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
    void whatTreatmentsLeaveOverIsSeenOnTheBench() {
        TrialRecord record = heights();
        UnitsPage page = UnitsPage.of(record, found(record), 1, true, "", LATER);
        assertThat(page.choices()).filteredOn(FindingsPage.Choice::here).hasSize(1);
        assertThat(page.shownWords()).startsWith("left over of height");
        List<BenchMap.Cell> cells = page.map().benches().get(0).cells().stream()
                .filter(cell -> cell.css().contains("above") || cell.css().contains("below"))
                .toList();
        assertThat(cells).hasSize(10);
        assertThat(cells)
                .allSatisfy(
                        cell -> assertThat(cell.value()).startsWith(cell.css().contains("below") ? "−" : "+"));
        assertThat(cells)
                .extracting(BenchMap.Cell::css)
                .anyMatch(css -> css.matches("unit above shade-[1-5]"))
                .anyMatch(css -> css.matches("unit below shade-[1-5]"));
    }

    @Test
    void aLostUnitSaysSo() {
        heights();
        Look later = growth.record().looks().get(3);
        growth.lose(growth.unit(1, 1), later);
        TrialRecord record = growth.record();
        UnitsPage page = UnitsPage.of(record, found(record), 1, false, "", LATER);
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
        Findings found = found(ExchangeFixture.plan(), record);
        FindingsPage page = shown(record, found, ExchangeFixture.START);
        assertThat(page.looks())
                .extracting(FindingsPage.Choice::label)
                .containsExactly("drained", "24 h", "day 2", "day 4");
        assertThat(page.looks()).filteredOn(FindingsPage.Choice::here).hasSize(1);
        assertThat(only(record, found, "course").account().parts())
                .extracting(Part::name)
                .contains("Still held", "Weight");
        assertThat(only(record, found, "volumes").account().parts()).hasSize(1);
        assertThat(page.benches())
                .singleElement()
                .satisfies(choice -> assertThat(choice.here()).isTrue());
    }

    private final ABioassay bioassay =
            ABioassay.of(ABioassay.SEEDLINGS, ABioassay.SHARES).scored(ABioassay::auxin);

    @Test
    void theBoardHasCausesAsRowsAndSignsAsColumnsAndNoPercentage() {
        List<Table> tables = only(bioassay.record(), bioassay.found(), "causes")
                .account()
                .parts()
                .get(0)
                .tables();
        Table board = tables.get(0);
        Cell first = board.rows().get(0).cells().get(0);
        assertThat(first.shown()).isEqualTo("auxin-type weedkiller residue");
        assertThat(first.small()).isEqualTo("likely");
        assertThat(board.rows()).hasSizeGreaterThanOrEqualTo(3);
        assertThat(board.rows().size() + tables.get(1).rows().size()).isEqualTo(16);
        assertThat(board.headings()).hasSizeBetween(4, 9);
        assertThat(board.rows()).allSatisfy(row -> assertThat(row.said()).doesNotContain("%"));
        assertThat(board.rows().get(0).cells())
                .anySatisfy(cell -> assertThat(cell.small()).isEqualTo("speaks strongly for it"));
    }

    @Test
    void injuryByShareOffersNothingToMix() {
        Account shares = only(bioassay.record(), bioassay.found(), "doses").account();
        assertThat(shares.title()).isEqualTo("Injury by share of GW-32");
        assertThat(shares.way()).isEmpty();
        Fact rate = shares.parts().get(0).facts().get(0);
        assertThat(rate.value().shown()).isEqualTo("none");
        assertThat(rate.remark()).contains("quarantine");
    }

    @Test
    void aLotThatInjuresHasItsNoticeUntilItIsKeptApart() {
        LotNotice open = LotNotice.of(
                        bioassay.found(),
                        List.of(),
                        GrowthPlan.plan().schedule().zone(),
                        lot -> List.of())
                .get(0);
        assertThat(open.kept()).isFalse();
        assertThat(open.reason()).isEqualTo("injured pea; auxin-type weedkiller residue is likely");
        assertThat(open.plannable()).isTrue();
        Quarantine kept = new Quarantine("gw-32", "seen", LATER, "Bench A", "the herb beds", 3, null, "");
        LotNotice closed = LotNotice.of(
                        bioassay.found(),
                        List.of(kept),
                        GrowthPlan.plan().schedule().zone(),
                        lot -> List.of(new AskedFurther.Further("/trials/9", "With charcoal?", lot)))
                .get(0);
        assertThat(closed.kept()).isTrue();
        assertThat(closed.goneTo()).isEqualTo("the herb beds");
        assertThat(closed.further()).extracting(AskedFurther.Further::says).containsExactly("GW-32");
        ABioassay clean =
                ABioassay.of(ABioassay.LOT).scored((treatment, days, replicate) -> String.valueOf(replicate % 2));
        assertThat(LotNotice.of(
                        clean.found(), List.of(), GrowthPlan.plan().schedule().zone(), lot -> List.of()))
                .isEmpty();
    }

    /** Sown after 0, 4 and 8 days, treated and untreated; what was sown at once is burnt. */
    private static Plan sowings() {
        return APlan.of("plant-back")
                .factors(
                        LevelsText.parse("Sown after", FactorKind.TIME, "0, 4, 8 d", "", null, null),
                        APlan.factor("Ground", FactorKind.HANDLING, "untreated", "treated"))
                .replicates(4)
                .plan();
    }

    private static Findings plantBack(Measured measured) {
        for (Look look : measured.record().looks()) {
            measured.record().units().forEach(unit -> {
                String name = measured.record().treatment(unit).name();
                double harm = name.startsWith("0 ") && !name.contains("untreated") ? 8 : 0;
                measured.add(unit, look, "injury", 1, harm + unit.replicate() % 2);
            });
        }
        return found(sowings(), measured.record());
    }

    @Test
    void everySowingSaysWhetherItIsCleanAndWhatMayBeLeft() {
        Measured measured = Measured.started(sowings());
        Findings findings = plantBack(measured);
        SectionView view = only(measured.record(), findings, "plant-back");
        Table sown = table(view.account());
        assertThat(column(sown, 0)).containsExactly("0 days", "4 days", "8 days");
        assertThat(column(sown, 4).get(0)).isEqualTo("injured");
        assertThat(sown.rows().get(0).cells().get(4).tone()).isEqualTo(Tone.WORSE);
        assertThat(column(sown, 4).get(2)).isEqualTo("clean within the limit");
        // 4 days are two half-lives of 2 days, and 4/14 of one of 14.
        assertThat(column(sown, 5)).startsWith("100 to 100 %", "25 to 82 %");
        assertThat(view.data(view.account().parts().get(0).chart().orElseThrow()))
                .contains("\"cleanFrom\":4")
                .contains("\"treated\":true");
    }
}
