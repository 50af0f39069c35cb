package elsom.core.quick;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import elsom.core.plan.Factor;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.read.Known;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A trial from one page. */
class QuickPlanTest {
    private static final Known NOBODY = Known.on(LocalDate.EPOCH);
    private static final ZoneId ZONE = ZoneId.of("Europe/London");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Does this compost kill peas? | seedling-injury",
                "Is the bagged compost contaminated with weedkiller? | seedling-injury",
                "Which blend still has water after a hot week? | water-holding",
                "How much longer do trays last in the shade than on the sill? | dry-down",
                "Do marigolds grow heavier in leaf mould? | growth",
                "Which feed gives bigger plugs? | growth",
                "Does an extract hold cress back from germinating? | germination",
                "How soon after vinegar can I sow? | plant-back",
                "What strength of wood vinegar drench is safe? | dose-series",
                "How salty may the ditch water be? | salinity",
                "How much lime for bracken? | liming",
                "How much sulphur for rosemary? | sulfur",
                "Do rosemary cuttings root better with a dip? | cuttings",
                "Does an air stone help the brew? | brew",
                "Does it taste different? | panel"
            })
    void aKindIsFoundByWhatOneWantsToKnow(String question, String kind) {
        assertThat(KindFinder.of(question)).map(found -> found.code().value()).contains(kind);
    }

    @Test
    void aQuestionOfOtherWordsFindsNone() {
        assertThat(KindFinder.of("")).isEmpty();
        assertThat(KindFinder.of("???")).isEmpty();
        assertThat(KindFinder.of("Why?")).isEmpty();
    }

    @Test
    void theFirstLineIsTheStandardUnlessAnotherIsMarked() {
        assertThat(TreatmentLines.read("leaf mould\n\n wood fibre \nbracken", "", NOBODY)
                        .all())
                .extracting(PlannedTreatment::name, PlannedTreatment::isControl)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("leaf mould", true),
                        org.assertj.core.groups.Tuple.tuple("wood fibre", false),
                        org.assertj.core.groups.Tuple.tuple("bracken", false));
        assertThat(TreatmentLines.read("kelp, none (standard)", "", NOBODY).all())
                .filteredOn(PlannedTreatment::isControl)
                .extracting(PlannedTreatment::name)
                .containsExactly("none");
    }

    @Test
    void oneLineOfLevelsIsASeries() {
        var series = TreatmentLines.read("Wood vinegar: 0, 0.5, 1, 2 %", "leaf mould", NOBODY);
        assertThat(series.factors()).singleElement().satisfies(factor -> {
            assertThat(factor.levels()).extracting(Factor.Level::amount).containsExactly(0.0, 0.5, 1.0, 2.0);
            assertThat(factor.levels().get(0).control()).isTrue();
        });
        assertThat(series.size()).isEqualTo(4);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", " \n ", "leaf mould", "a\nA", "a (control)\nb (standard)", "Wood vinegar: 0, 500 mL/L, 1 g/L"
            })
    void whatIsNoComparisonIsSaid(String lines) {
        assertThatThrownBy(() -> TreatmentLines.read(lines, "", NOBODY)).isInstanceOf(IllegalArgumentException.class);
    }

    static Stream<Protocol> suited() {
        return Protocols.all().stream().filter(QuickPlan::suits);
    }

    /** Of every kind it can be drawn and begun, and nothing in it can't be right. */
    @ParameterizedTest
    @MethodSource("suited")
    void everyKindMakesAPlanThatCanBegin(Protocol kind) {
        String lines = kind.series() ? "Stock: 0, 1, 2, 4, 8 %" : "leaf mould\nwood fibre\nbracken";
        Plan plan = new QuickPlan(
                        kind,
                        kind.exampleQuestion(),
                        "",
                        TreatmentLines.read(lines, "leaf mould", NOBODY),
                        QuickPlan.usual(kind).endpoint().code(),
                        0.2,
                        false,
                        kind.habit().replicates())
                .plan(ZONE, APlan.START, Pots.of(APlan.POT), 7);
        assertThat(plan.layoutProblem()).isEmpty();
        assertThat(plan.draw(new TrialId(1)).units()).isNotEmpty();
        assertThat(PlanCheck.of(plan)).noneMatch(flag -> flag.severity() == Flag.Severity.WRONG);
        assertThat(plan.asked().questions()).hasSize(1);
    }

    @Test
    void whatDecidesIsWhatTheKindIsFor() {
        assertThat(usual("growth")).isEqualTo("fresh-mass");
        assertThat(usual("seedling-injury")).isEqualTo("injury");
        assertThat(usual("salinity")).isEqualTo("yield");
        assertThat(usual("water-holding")).isEqualTo("wet-mass");
        assertThat(QuickPlan.usualMatters(QuickPlan.usual(kind("seedling-injury"))))
                .isEqualTo("2");
        assertThat(QuickPlan.usualMatters(QuickPlan.usual(kind("growth")))).isEqualTo("20 %");
    }

    private static Protocol kind(String code) {
        return Protocols.find(new ProtocolCode(code)).orElseThrow();
    }

    private static String usual(String code) {
        return QuickPlan.usual(kind(code)).endpoint().code().value();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-12-01T08:20:00Z, 2026-12-01T10:00:00Z",
        "2026-12-01T11:30:00Z, 2026-12-02T09:00:00Z",
        "2026-12-01T16:00:00Z, 2026-12-02T09:00:00Z",
        "2026-10-24T15:00:00Z, 2026-10-25T09:00:00Z"
    })
    void itBeginsInTheMorningOrTheNext(Instant now, Instant start) {
        ZoneId zone = now.toString().startsWith("2026-10") ? ZONE : ZoneOffset.UTC;
        assertThat(QuickPlan.start(now, zone)).isEqualTo(start);
    }
}
