package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.TrialPlan;
import elsom.core.protocol.WaterHolding;
import elsom.core.trial.Container;
import elsom.core.trial.TreatmentProperty;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class NewTrialReaderTest {
    private static final List<Container> SHELF = List.of(
            Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5), Container.taperedRound("Tub 18 cm", 18, 20, 16));

    private final NewTrialForm form = new NewTrialForm();

    NewTrialReaderTest() {
        form.setQuestion("Which blend still has water?");
        form.setZone("Europe/London");
        form.setStart("2026-06-01T14:00");
        form.setContainer("Round pot 9 cm");
        form.setTimes("6; 2 h, 2 d");
        line("Wood fibre");
        line("Leaf mould");
    }

    private NewTrialForm.Line line(String name) {
        NewTrialForm.Line line = new NewTrialForm.Line();
        line.setName(name);
        form.getMedia().add(line);
        return line;
    }

    private NewTrialReader reader() {
        return new NewTrialReader(form, new WaterHolding(), SHELF);
    }

    private TrialPlan plan() {
        NewTrialReader reader = reader();
        return reader.read().orElseThrow(() -> new AssertionError(reader.problems()));
    }

    private Map<String, String> problems(Consumer<NewTrialForm> change) {
        change.accept(form);
        NewTrialReader reader = reader();
        assertThat(reader.read()).isEmpty();
        return reader.problems();
    }

    @Test
    void readsAPlan() {
        line("  ");
        NewTrialForm.Line tub = line("Wood fibre");
        tub.setContainer("Tub 18 cm");
        tub.setOrganicMatter("94 %");
        tub.setKind("organic");
        TrialPlan plan = plan();
        assertThat(plan.times()).containsExactly(Duration.ofHours(2), Duration.ofHours(6), Duration.ofHours(48));
        assertThat(plan.treatments())
                .extracting(TrialPlan.Planned::name)
                .containsExactly("Wood fibre", "Leaf mould", "Wood fibre, Tub 18 cm");
        assertThat(plan.treatments().get(0).volumeMl()).isEqualTo(404);
        assertThat(plan.treatments().get(2).properties()).containsEntry(TreatmentProperty.ORGANIC_MATTER, 0.94);
        assertThat(plan.start()).hasToString("2026-06-01T13:00:00Z");
        assertThat(plan.draw(1).units()).hasSize(12);
    }

    @Test
    void theVolumeCanBeTypedInAnyUnit() {
        form.setVolume("0.35 L");
        assertThat(plan().treatments().get(0).volumeMl()).isEqualTo(350);
        assertThat(problems(f -> f.setVolume("2 L"))).containsKey("volume");
        assertThat(problems(f -> f.setVolume("-1"))).containsKey("volume");
        assertThat(problems(f -> f.setVolume("a lot"))).containsKey("volume");
    }

    @Test
    void namesEveryProblemAtItsField() {
        assertThat(problems(f -> f.setQuestion(" "))).containsKey("question");
        assertThat(problems(f -> f.setQuestion("x".repeat(201)))).containsKey("question");
        assertThat(problems(f -> f.setZone("Mars/Olympus"))).containsKey("zone");
        assertThat(problems(f -> f.setStart("soon"))).containsKey("start");
        assertThat(problems(f -> f.setRefill("0"))).containsKey("refill");
        assertThat(problems(f -> f.setReplicates("four"))).containsKey("replicates");
        assertThat(problems(f -> f.setReplicates("999"))).containsKey("replicates");
        assertThat(problems(f -> f.setPlace(""))).containsKey("place");
        assertThat(problems(f -> f.setTimes("tomorrow"))).containsKey("times");
        assertThat(problems(f -> f.setTimes("400 d"))).containsKey("times");
        assertThat(problems(f -> f.setContainer("Bucket"))).containsKey("container");
    }

    @Test
    void samePlacesAndSameMediaAreRefused() {
        assertThat(problems(f -> f.setSecondPlace("bench"))).containsKey("secondPlace");
        line("leaf mould");
        assertThat(problems(f -> f.setSecondPlace(""))).containsKey("media[2]");
    }

    @Test
    void aTrialNeedsAMedium() {
        assertThat(problems(f -> f.getMedia().clear())).containsKey("media");
    }

    @Test
    void moreUnitsThanCodesAreRefused() {
        for (int i = 0; i < 8; i++) {
            line("Medium " + i);
        }
        assertThat(problems(f -> {
                    f.setReplicates("20");
                    f.setSecondPlace("Floor");
                }))
                .containsKey("replicates");
    }
}
