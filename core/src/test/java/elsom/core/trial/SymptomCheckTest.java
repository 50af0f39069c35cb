package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import org.junit.jupiter.api.Test;

/** Symptoms are seen on plants that are there. */
class SymptomCheckTest {
    private final Measured trial = Measured.started(APlan.of("seedling-injury")
            .list("leaf mould", "GW-32")
            .replicates(2)
            .plan());
    private final ExperimentalUnit unit = trial.unit(2, 1);

    private ReadingRef injury(int look) {
        return new ReadingRef(unit.code(), look, EndpointCode.INJURY);
    }

    private String problem(int look, String text, boolean sown) {
        return SymptomCheck.problem(trial.record(), injury(look), text, () -> sown)
                .orElse("");
    }

    @Test
    void aLivingSeedlingMayShowAnything() {
        assertThat(problem(1, "7 cupped, twisted", true)).isEmpty();
        assertThat(problem(1, "7", false)).as("a number alone").isEmpty();
    }

    @Test
    void aDeadOneShowsOnlyThatItFellOrNeverCame() {
        trial.add(unit, trial.record().looks().get(0), "alive", 1, 0);
        assertThat(problem(2, "9 cupped", true))
                .startsWith(unit.code() + " had plants alive 0 at day 7")
                .contains("Accepted: 10");
        assertThat(problem(2, "10 collapsed, mould", true)).isEmpty();
        trial.lose(trial.unit(1, 1), trial.record().looks().get(1));
        ReadingRef lost = new ReadingRef(trial.unit(1, 1).code(), 3, EndpointCode.INJURY);
        assertThat(SymptomCheck.problem(trial.record(), lost, "5 yellow", () -> true)
                        .orElseThrow())
                .contains("lost or dead at day 10");
    }

    @Test
    void whereNothingIsSownThereIsNoSeedling() {
        assertThat(problem(1, "5 cupped", false)).startsWith("Nothing is sown").contains("Accepted:");
    }
}
