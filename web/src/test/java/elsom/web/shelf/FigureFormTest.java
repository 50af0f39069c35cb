package elsom.web.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.material.LotFigure;
import elsom.core.material.Origin;
import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A figure as typed, in whatever unit; what can't be says what would do. */
class FigureFormTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);

    private final Map<String, String> problems = new LinkedHashMap<>();

    private LotFigure read(String property, String value) {
        return new FigureForm(property, value, "LAB", "", "", "")
                .read(TODAY, problems)
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "EC, 400 µS/cm, 0.4",
        "EC, 0.4 dS/m, 0.4",
        "WATER, 48 %, 48",
        "WATER, '48,5', 48.5",
        "DENSITY, 240, 240",
        "NITROGEN, 0.18 g/L, 180",
        "PH, 6.2, 6.2",
        "PRICE, 0.085, 0.085"
    })
    void anAmountIsUnderstoodInItsUnits(String property, String typed, double stored) {
        assertThat(read(property, typed).value()).isCloseTo(stored, within(1e-9));
        assertThat(problems).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "EC, 700 ppm",
        "PH, 15",
        "WATER, 101 %",
        "AIR, -2",
        "DENSITY, heavy",
        "NITROGEN, 3 m",
        "PRICE, dear",
        "SOUND, 3"
    })
    void whatCantBeIsSaid(String property, String typed) {
        assertThat(new FigureForm(property, typed, "LAB", "", "", "").read(TODAY, problems))
                .isEmpty();
        assertThat(problems).containsKey("value");
    }

    @Test
    void withoutADayItIsTodayAndWaterHasADepth() {
        assertThat(read("PH", "6").on()).isEqualTo(TODAY);
        assertThat(read("WATER", "50").depthCm()).isEqualTo(LotFigure.USUAL_DEPTH_CM);
        LotFigure shallow = new FigureForm("AIR", "20", "MEASURED", "tray", "2026-04-01", "6 cm")
                .read(TODAY, problems)
                .orElseThrow();
        assertThat(shallow)
                .isEqualTo(new LotFigure(Property.AIR, 20, Origin.MEASURED, "tray", LocalDate.of(2026, 4, 1), 6, 0));
    }

    @Test
    void aDayOrDepthThatCantBeIsSaidAtItsField() {
        assertThat(new FigureForm("AIR", "20", "LAB", "", "May", "deep").read(TODAY, problems))
                .isEmpty();
        assertThat(problems).containsOnlyKeys("on", "depth");
    }
}
