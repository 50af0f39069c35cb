package elsom.core.protocol;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.plan.PlanEvents;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.check.PlanCheck;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What every kind of trial promises to whoever plans one. */
class CatalogueTest {
    private static Stream<Protocol> protocols() {
        return Protocols.all().stream();
    }

    private static Protocol protocol(String code) {
        return Protocols.find(new ProtocolCode(code)).orElseThrow();
    }

    @Test
    void fifteenKindsAreOffered() {
        assertThat(Protocols.all())
                .extracting(protocol -> protocol.code().value())
                .containsExactly(
                        "water-holding",
                        "dry-down",
                        "growth",
                        "germination",
                        "seedling-injury",
                        "plant-back",
                        "dose-series",
                        "salinity",
                        "sodium",
                        "liming",
                        "sulfur",
                        "cuttings",
                        "brew",
                        "panel",
                        "free-form");
        assertThat(Protocols.all()).extracting(Protocol::name).doesNotHaveDuplicates();
        assertThat(Protocols.find(new ProtocolCode("fire-walking"))).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void endpointsCanBeReadAndTold(Protocol protocol) {
        assertThat(protocol.measures()).isNotEmpty();
        assertThat(protocol.measures())
                .extracting(measure -> measure.endpoint().code())
                .doesNotHaveDuplicates();
        for (Measure measure : protocol.measures()) {
            assertThat(measure.endpoint().lowest())
                    .isLessThan(measure.endpoint().highest());
            assertThat(measure.endpoint().size()).isPositive();
            assertThat(measure.rule()).hasSizeGreaterThan(5).doesNotEndWith(".");
            assertThat(measure.secondsEach()).isPositive();
        }
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void looksMeasureWhatThereIs(Protocol protocol) {
        Set<EndpointCode> known = protocol.measures().stream()
                .map(measure -> measure.endpoint().code())
                .collect(Collectors.toCollection(HashSet::new));
        assertThat(protocol.usualLooks()).isNotEmpty();
        assertThat(protocol.usualLooks()).extracting(PlannedLook::name).doesNotHaveDuplicates();
        for (PlannedLook look : protocol.usualLooks()) {
            assertThat(known).containsAll(look.endpoints());
        }
        Duration last = protocol.usualLooks().stream()
                .map(PlannedLook::after)
                .max(Duration::compareTo)
                .orElseThrow();
        assertThat(protocol.usualSteps())
                .allSatisfy(step -> assertThat(step.first()).isLessThanOrEqualTo(last));
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void everythingSaidIsASentence(Protocol protocol) {
        assertThat(protocol.purpose()).endsWith(".");
        assertThat(protocol.exampleQuestion()).endsWith("?");
        assertThat(protocol.validity()).isNotEmpty().allMatch(limit -> limit.endsWith("."));
        assertThat(protocol.preparation()).isNotEmpty();
        protocol.preparation().forEach(step -> {
            assertThat(step.name()).isNotBlank();
            assertThat(step.orders()).isNotEmpty().allMatch(order -> order.endsWith("."));
        });
    }

    /** Work that can hurt has its caution in place, and each defers to somebody. */
    @ParameterizedTest
    @CsvSource({"growth,Legionella", "brew,eaten raw", "seedling-injury,compost", "liming,eyes", "dose-series,label"})
    void cautionsStandWhereTheWorkIs(String code, String about) {
        List<String> said = protocol(code).preparation().stream()
                .flatMap(step -> step.cautions().stream())
                .map(caution -> caution.text() + " " + caution.deferTo())
                .toList();
        assertThat(said).anyMatch(text -> text.contains(about));
        assertThat(protocol(code).preparation().stream().flatMap(step -> step.cautions().stream()))
                .allSatisfy(caution -> assertThat(caution.deferTo()).isNotBlank());
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void aPlanFromItNeedsOnlyAControlAndAComparison(Protocol protocol) {
        Plan plan = APlan.of(protocol.code().value()).list("as ever", "new").plan();
        assertThat(PlanCheck.of(plan)).noneMatch(flag -> flag.severity() == Flag.Severity.WRONG);
        List<PlanEvent> events = PlanEvents.of(plan);
        assertThat(events).extracting(PlanEvent::at).isSorted();
        assertThat(events)
                .filteredOn(event -> event.kind() == PlanEvent.Kind.LOOK)
                .hasSize(protocol.usualLooks().size())
                .allMatch(event -> !event.takes().isNegative() && !event.takes().isZero());
    }

    @ParameterizedTest
    @MethodSource("protocols")
    void findingsOfAnUnmeasuredTrialAreEmptyAndNotAFault(Protocol protocol) {
        Plan plan = APlan.of(protocol.code().value()).list("as ever", "new").plan();
        TrialRecord record = plan.draw(new TrialId(1));
        TrialRecord started = record.with(record.trial().begun(false));
        Findings findings = protocol.findings(Evidence.of(plan, started, OptionalInt.empty()));
        assertThat(findings.units()).isEmpty();
        assertThat(findings.answers()).isNotEmpty();
    }
}
