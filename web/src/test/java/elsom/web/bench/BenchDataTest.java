package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Measured;
import elsom.core.protocol.seedling.ABioassay;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Walk;
import elsom.web.GrowthPlan;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.kit.TrialHeader;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the bench's script is told: each observation of a look in the order of the walk, and where to begin. */
class BenchDataTest {
    private final Measured trial = Measured.started(GrowthPlan.plan());
    private final Look look = trial.lookFor("height");

    private TrialRecord record() {
        return trial.record();
    }

    private BenchData data() {
        return BenchData.of(record(), look, "NOW", Optional.empty());
    }

    @Test
    void everySubReadingIsATaskOfItsOwn() {
        int each = look.endpoints().stream()
                .mapToInt(code -> record().endpoint(code).readingsEach())
                .sum();
        assertThat(each).isGreaterThan(look.endpoints().size());
        BenchData data = data();
        assertThat(data.tasks()).hasSize(each * record().units().size());
        assertThat(data.tasks()).extracting(BenchData.Task::key).doesNotHaveDuplicates();
        assertThat(data.tasks().get(1).endpointName()).isEqualTo("Height, 2 of 3");
        assertThat(data.first().code())
                .isEqualTo(record().benchOrder().get(0).code().value());
    }

    @Test
    void theWalkGoesOnWhereAReadingIsMissing() {
        ExperimentalUnit first = record().benchOrder().get(0);
        trial.add(first, look, "height", 1, 12);
        trial.add(first, look, "height", 2, 13);
        BenchData data = data();
        assertThat(data.start()).isEqualTo(first.code() + "/height/3");
        assertThat(record().progress(look).done()).isZero();
        trial.add(first, look, "height", 3, 11);
        for (EndpointCode code : look.endpoints()) {
            if (!code.value().equals("height")) {
                trial.add(first, look, code.value(), 1, 4);
            }
        }
        assertThat(record().progress(look).done()).isOne();
        assertThat(data().first().code())
                .isEqualTo(record().benchOrder().get(1).code().value());
    }

    @Test
    void aUnitThatIsAskedForIsTheStart() {
        ExperimentalUnit fifth = record().benchOrder().get(4);
        BenchData data = BenchData.of(record(), look, "NOW", Optional.of(fifth.code()));
        assertThat(data.first().code()).isEqualTo(fifth.code().value());
    }

    @Test
    void aLostUnitIsPassedBy() {
        ExperimentalUnit first = record().benchOrder().get(0);
        trial.lose(first, record().looks().get(0));
        BenchData data = data();
        assertThat(data.tasks().get(0).lost()).isEqualTo(1);
        assertThat(data.first().code())
                .isEqualTo(record().benchOrder().get(1).code().value());
    }

    @Test
    void allReadingsOfAUnitAreOnItsPageWithWhatTheyReplaced() {
        TrialRecord measured = ExchangeFixture.measured();
        Reading corrected = measured.readings().get(0);
        UnitPage page = UnitPage.of(
                TrialHeader.of(measured, ExchangeFixture.START, TrialHeader.Step.BENCH),
                measured,
                corrected.ref().unit(),
                List.of(measured),
                List.of());
        assertThat(page.stages()).hasSize(2);
        UnitPage.Stage stage = page.stages().get(0);
        assertThat(stage.lines().get(0).value()).isEqualTo("31.25 g");
        assertThat(stage.lines().get(0).corrected()).singleElement().asString().contains("before (typed wrong)");
        assertThat(stage.lines()).extracting(UnitPage.Line::look).contains("dry again");
        assertThat(stage.mishaps()).singleElement().asString().contains("cat, \"again\"");
        assertThat(page.stages().get(1).question()).isEqualTo(measured.trial().question());
    }

    @Test
    void aScoreIsPickedOnTheDrawingOfItsPlantAndSaysItsSymptoms() {
        ABioassay bioassay = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT).scored(ABioassay::auxin);
        Look last = bioassay.record().looks().get(3);
        BenchData data = BenchData.of(bioassay.record(), last, "NOW", Optional.empty());
        List<BenchData.Task> injuries = data.tasks().stream()
                .filter(task -> task.endpoint().equals("injury"))
                .toList();
        assertThat(injuries).extracting(BenchData.Task::plant).containsOnly("legume", "grass");
        assertThat(injuries)
                .filteredOn(task -> task.treatmentName().equals("pea · GW-32"))
                .allSatisfy(task -> assertThat(
                                Objects.requireNonNull(task.current()).value())
                        .endsWith("points, cupped leaf, twisted stem or petiole"));
        BenchData.Task alive = data.tasks().stream()
                .filter(task -> task.endpoint().equals("alive"))
                .findFirst()
                .orElseThrow();
        assertThat(alive.plant()).isEmpty();
        assertThat(alive.among()).as("one button says that all of them live").isEqualTo(8);
    }

    @Test
    void aBlindTrialTellsNoPlant() {
        ABioassay bioassay = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT).scored(ABioassay::auxin);
        TrialRecord hidden = bioassay.record().codesOnly();
        BenchData data = BenchData.of(hidden, hidden.looks().get(0), "NOW", Optional.empty());
        assertThat(data.tasks())
                .filteredOn(task -> task.endpoint().equals("injury"))
                .extracting(BenchData.Task::plant)
                .containsOnly("broadleaf");
    }

    @Test
    void aBlindTrialIsScoredInANewRandomOrderEachLookWithoutWhatWasScoredBefore() {
        ABioassay bioassay = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT).scored(ABioassay::auxin);
        TrialRecord seen = bioassay.record();
        TrialRecord blind = seen.with(seen.trial().begun(true)).codesOnly();
        Look later = blind.looks().get(1);
        List<String> walked =
                seen.benchOrder().stream().map(unit -> unit.code().value()).toList();
        List<String> first = codes(blind, blind.looks().get(0));
        assertThat(first).containsExactlyInAnyOrderElementsOf(walked).isNotEqualTo(walked);
        assertThat(codes(blind, later)).isNotEqualTo(first);
        assertThat(codes(blind, later)).as("the same on every device").isEqualTo(codes(blind, later));
        assertThat(BenchData.of(blind, later, "NOW", Optional.empty()).tasks())
                .filteredOn(task -> task.endpoint().equals("injury"))
                .allMatch(task -> task.before().isEmpty());
        assertThat(BenchData.of(seen, later, "NOW", Optional.empty()).tasks())
                .filteredOn(task -> task.endpoint().equals("injury"))
                .noneMatch(task -> task.before().isEmpty());
        assertThat(BenchData.of(seen, later, "NOW", Optional.empty())
                        .tasks()
                        .get(0)
                        .before())
                .as("an earlier figure says of what")
                .anySatisfy(earlier -> assertThat(earlier.text()).startsWith("injury "));
        assertThat(BenchData.of(blind, later, "NOW", Optional.empty()).tasks())
                .as("nor while something else of the unit is read")
                .allMatch(task -> task.before().stream()
                        .noneMatch(earlier -> earlier.text().startsWith("injury ")));
    }

    private static List<String> codes(TrialRecord record, Look look) {
        return Walk.units(record, look).stream()
                .map(unit -> unit.code().value())
                .toList();
    }
}
