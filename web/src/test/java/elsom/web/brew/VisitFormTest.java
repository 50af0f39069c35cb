package elsom.web.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A visit as people type it. */
class VisitFormTest {
    private static final Instant NOW = Instant.parse("2026-05-03T20:00:00Z");

    private static VisitForm.Read read(@Nullable String temperature, @Nullable String oxygen, @Nullable Smell smell) {
        return new VisitForm(temperature, oxygen, "7,1", "", null, smell, null)
                .read(new UnitCode("K34"), "Bench A", NOW);
    }

    @Test
    void unitsAndCommasAreUnderstood() {
        BrewReading visit = read("70 F", "7,4 mg/L", Smell.EARTHY).visit().orElseThrow();
        assertThat(visit.temperature()).isEqualTo(21.11, within(0.01));
        assertThat(visit.oxygen()).isEqualTo(7.4);
        assertThat(visit.ph()).isEqualTo(7.1);
        assertThat(visit.ec()).isNull();
        assertThat(visit.at()).isEqualTo(NOW);
    }

    @Test
    void whatIsNoFigureIsToldWithAnExample() {
        assertThat(read("warm", "a lot", null).problems())
                .containsExactly(
                        "Temperature: “warm” is not a figure. Accepted: 21.5.",
                        "Oxygen: “a lot” is not a figure. Accepted: 7.4.");
    }

    @Test
    void figuresBeyondWhatCanBeAreToldInWords() {
        List<String> problems = read("21", "90", null).problems();
        assertThat(problems)
                .singleElement()
                .satisfies(problem -> assertThat(problem).startsWith("Dissolved oxygen"));
    }

    @Test
    void aSmellAloneIsAVisitAndNothingIsNone() {
        VisitForm smell = new VisitForm("", "", "", "", "", Smell.SOUR, null);
        assertThat(smell.read(new UnitCode("K34"), "Bench A", NOW)
                        .visit()
                        .orElseThrow()
                        .asks())
                .isTrue();
        assertThat(VisitForm.EMPTY.read(new UnitCode("K34"), "Bench A", NOW).problems())
                .containsExactly("Nothing is typed yet: a figure, or how it smells.");
    }
}
