package elsom.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.Powers;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FormulaTest {
    private static final Map<String, UnitOfMeasure> UNITS = Map.of(
            "height", UnitOfMeasure.CENTIMETRE,
            "stem-diameter", UnitOfMeasure.MILLIMETRE,
            "shoot-dry-mass", UnitOfMeasure.GRAM,
            "root-dry-mass", UnitOfMeasure.GRAM,
            "injury", UnitOfMeasure.POINT,
            "area", UnitOfMeasure.SQUARE_CENTIMETRE);

    /** Day 7: 10 cm; day 21: 30 cm; stem 3 mm; shoots 2 g, roots 0.5 g; injury 0, 2, 6 at days 0, 2, 4. */
    private static final Expression.Values VALUES = new Expression.Values() {
        @Override
        public double now(String name) {
            return switch (name) {
                case "height" -> 30;
                case "stem-diameter" -> 0.3;
                case "shoot-dry-mass" -> 2;
                case "root-dry-mass" -> 0.5;
                case "area" -> 50;
                case "none" -> 0;
                default -> Double.NaN;
            };
        }

        @Override
        public List<OverTime.Point> course(String name) {
            return switch (name) {
                case "height" -> List.of(new OverTime.Point(7 * 24, 10), new OverTime.Point(21 * 24, 30));
                case "injury" ->
                    List.of(new OverTime.Point(0, 0), new OverTime.Point(48, 2), new OverTime.Point(96, 6));
                default -> List.of();
            };
        }
    };

    private static double value(String text, UnitOfMeasure unit) {
        return new Formula(text).expression().value(VALUES) / unit.coherent();
    }

    private static Powers powers(String text) {
        return new Formula(text).powers(name -> UNITS.get(name).dimension().powers());
    }

    /** Worked by hand: 30 ÷ 3; 2.5 ÷ (30 ÷ 3 + 4); ln 3 ÷ 14; 2 g on 50 cm²; (0+2)/2·2 + (2+6)/2·2. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "height / stem-diameter | CENTIMETRE_PER_MILLIMETRE | 10",
                "height/stem-diameter | CENTIMETRE_PER_MILLIMETRE | 10",
                "(shoot-dry-mass + root-dry-mass) / (height / stem-diameter / 10 + shoot-dry-mass / root-dry-mass) |"
                        + " GRAM | 0.178571428571",
                "root-dry-mass ÷ shoot-dry-mass | GRAM_PER_GRAM | 0.25",
                "growth-rate(height) | PER_DAY | 0.0784723",
                "ln(height / first(height)) | COUNT | 1.0986123",
                "shoot-dry-mass / area | GRAM_PER_SQUARE_METRE | 400",
                "area-under(injury) | POINT_DAY | 10",
                "days-to(height, 200 mm) | DAY | 21",
                "days-to(injury; 2 points) | DAY | 2",
                "last(height) - before(height) | MILLIMETRE | 200",
                "height − 5 cm | CENTIMETRE | 25",
                "-2 * root-dry-mass + 3 g | GRAM | 2",
                "2 - 3 - 4 | COUNT | -5",
                "2 + 3 × 4 | COUNT | 14",
                "sqrt(16) * log10(100) | COUNT | 8",
                "shoot-dry-mass / 2,5 | GRAM | 0.8",
                "none * unread | COUNT | 0",
            })
    void isWorkedOut(String text, UnitOfMeasure unit, double expected) {
        assertThat(value(text, unit)).isCloseTo(expected, within(1e-6));
    }

    @Test
    void whatIsNotKnownStaysUnknown() {
        assertThat(value("height + unread", UnitOfMeasure.CENTIMETRE)).isNaN();
        assertThat(value("days-to(height, 1 m)", UnitOfMeasure.DAY)).isNaN();
        assertThat(value("first(unread)", UnitOfMeasure.GRAM)).isNaN();
    }

    @Test
    void unitsGoThroughIt() {
        assertThat(powers("height / stem-diameter")).isEqualTo(Powers.NONE);
        assertThat(powers("shoot-dry-mass / area"))
                .isEqualTo(UnitOfMeasure.GRAM_PER_SQUARE_METRE.dimension().powers());
        assertThat(powers("area-under(injury)"))
                .isEqualTo(UnitOfMeasure.POINT_DAY.dimension().powers());
        assertThat(powers("growth-rate(height)"))
                .isEqualTo(UnitOfMeasure.PER_DAY.dimension().powers());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"height + shoot-dry-mass", "height + 2", "ln(height)", "days-to(height, 5 g)", "height - area"})
    void unlikeThingsDontMeet(String text) {
        assertThatThrownBy(() -> powers(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Accepted:");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                " ",
                "height /",
                "(height",
                "height)",
                "height stem",
                "* height",
                "max(height)",
                "days-to(height)",
                "days-to(height, much)",
                "first(3)",
                "height ; 2",
                "((((((((((((((((((((((((((((((((((1))))))))))))))))))))))))))))))))))"
            })
    void whatCantBeReadIsRefusedWithAnExample(String text) {
        assertThatThrownBy(() -> new Formula(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("height / stem-diameter");
    }
}
