package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.mix.Quarantine;
import elsom.core.plan.APlan;
import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.results.ABioassay;
import elsom.core.results.Evidence;
import elsom.core.results.FigureKind;
import elsom.core.results.Findings;
import elsom.core.results.UnitResult;
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

    private static <S extends SectionView> S only(TrialRecord record, Class<S> kind) {
        return only(record, found(record), kind);
    }

    private static <S extends SectionView> S only(TrialRecord record, Findings found, Class<S> kind) {
        return SectionViews.of(record, found, 1).stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .findFirst()
                .orElseThrow();
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
        SectionView.Figures figures = only(heights, SectionView.Figures.class);
        assertThat(figures.columns()).extracting(FigureKind::code).containsExactly("height");
        assertThat(figures.rows())
                .extracting(SectionView.Figures.TreatmentRow::n)
                .containsExactly("3", "3", "3", "1 of 3");
        SectionView.Shown control = figures.rows().get(0).figures().get(0);
        assertThat(control.number()).isEqualTo("11.00");
        assertThat(control.scatter()).isEqualTo("± 1.00");
        assertThat(control.href()).endsWith("/working?kind=height&at=2&bench=1&treatment=1");
        assertThat(figures.rows().get(3).figures().get(0).scatter()).isEqualTo("one unit");
    }

    @Test
    void answersNameTheComparisonTheIntervalAndTheLook() {
        TrialRecord heights = heights();
        FindingsPage page = page(heights);
        assertThat(page.answers().get(0).verdict().sentence()).contains("at day 14");
        SectionView.Contrasts contrasts = only(heights, SectionView.Contrasts.class);
        assertThat(contrasts.rows()).isNotEmpty().allSatisfy(row -> {
            assertThat(row.interval()).contains(" to ").endsWith("cm");
            assertThat(row.p()).matches("(< )?[01]\\.\\d+");
        });
        assertThat(contrasts.data()).contains("\"low\"", "\"high\"");
    }

    @Test
    void placesAreSharedByWhatCanNotBeParted() {
        SectionView.Ranked ranked = only(heights(), SectionView.Ranked.class);
        assertThat(ranked.rows())
                .extracting(SectionView.Ranked.Placed::place)
                .allMatch(place -> place.matches("\\d(–\\d)?"));
        assertThat(ranked.rows().get(0).swatch().name()).isEqualTo("seaweed · leaf mould");
        assertThat(ranked.rows().get(0).mean()).matches("1\\d\\.\\d\\d cm");
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
        assertThat(only(record, found, SectionView.Courses.class).charts())
                .extracting(SectionView.Courses.Chart::title)
                .contains("Still held", "Weight");
        assertThat(only(record, found, SectionView.Volumes.class).data()).isNotEmpty();
        assertThat(page.benches())
                .singleElement()
                .satisfies(choice -> assertThat(choice.here()).isTrue());
    }

    private final ABioassay bioassay =
            ABioassay.of(ABioassay.SEEDLINGS, ABioassay.SHARES).scored(ABioassay::auxin);

    @Test
    void theBoardHasCausesAsRowsAndSignsAsColumnsAndNoPercentage() {
        SectionView.Diagnosed board = only(bioassay.record(), bioassay.found(), SectionView.Diagnosed.class);
        assertThat(board.causes().get(0).name()).isEqualTo("auxin-type weedkiller residue");
        assertThat(board.causes().get(0).word()).isEqualTo("likely");
        assertThat(board.causes()).hasSizeGreaterThanOrEqualTo(3);
        assertThat(board.causes().size() + board.ruledOut().size()).isEqualTo(12);
        assertThat(board.signs()).hasSizeBetween(3, 8);
        assertThat(board.causes()).allSatisfy(cause -> {
            assertThat(cause.cells()).hasSameSizeAs(board.signs());
            assertThat(cause.sentence()).doesNotContain("%");
        });
        assertThat(board.causes().get(0).cells())
                .anySatisfy(cell -> assertThat(cell.words()).isEqualTo("speaks strongly for it"));
    }

    @Test
    void injuryByShareOffersNothingToMix() {
        SectionView.Doses shares = only(bioassay.record(), bioassay.found(), SectionView.Doses.class);
        assertThat(shares.title()).isEqualTo("Injury by share of GW-32");
        assertThat(shares.mixHref()).isEmpty();
        assertThat(shares.lines().get(0).last().rate()).isEqualTo("none");
        assertThat(shares.lines().get(0).last().standing()).contains("quarantine");
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
        SectionView.PlantBack sown = only(measured.record(), findings, SectionView.PlantBack.class);
        assertThat(sown.sowings())
                .extracting(SectionView.PlantBack.Sowing::days)
                .containsExactly("0 days", "4 days", "8 days");
        assertThat(sown.sowings().get(0).clean()).isEqualTo("injured");
        assertThat(sown.sowings().get(0).tone()).isEqualTo("worse");
        assertThat(sown.sowings().get(2).clean()).isEqualTo("clean within the limit");
        assertThat(sown.sowings().get(0).left()).isEqualTo("100 to 100 %");
        // 4 days are two half-lives of 2 days, and 4/14 of one of 14.
        assertThat(sown.sowings().get(1).left()).isEqualTo("25 to 82 %");
        assertThat(sown.data()).contains("\"cleanFrom\":4").contains("\"treated\":true");
    }
}
