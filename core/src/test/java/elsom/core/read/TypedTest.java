package elsom.core.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    48        | 48
                    48.5 g    | 48.5
                    48,5      | 48.5
                    ,5        | 0.5
                    48.       | 48
                    1.7 oz    | 48.1941893125
                    1 lb 3 oz | 538.640939375
                    2 kg      | 2000
                    0.5kg     | 500
                    +3 G      | 3
                    1234      | 1234
                    0,125     | 0.125
                    """)
    void understandsWhatPeopleType(String text, double grams) {
        assertThat(Typed.parse(text, UnitOfMeasure.GRAM)).isInstanceOfSatisfying(Typed.Understood.class, understood -> {
            assertThat(understood.stored().value()).isCloseTo(grams, within(1e-9));
            assertThat(understood.stored().unit()).isEqualTo(UnitOfMeasure.GRAM);
            assertThat(understood.text()).isEqualTo(text);
        });
    }

    @Test
    void keepsANegativeNumberForTheRangeToRefuse() {
        assertThat(Typed.parse("−3 g", UnitOfMeasure.GRAM))
                .isInstanceOfSatisfying(
                        Typed.Understood.class,
                        understood -> assertThat(understood.stored().value()).isEqualTo(-3));
    }

    @Test
    void ppmOfEcIsAskedBackWithItsThreeAnswers() {
        assertThat(Typed.parse("640 ppm", UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message())
                                .contains("by 500 it is 1.28")
                                .contains("by 640 it is 1 mS/cm")
                                .contains("by 700 it is 0.91")
                                .contains("Accepted: "));
    }

    @Test
    void keepsTheUnitThatWasTyped() {
        assertThat(Typed.parse("2 tsp", UnitOfMeasure.MILLILITRE))
                .isInstanceOfSatisfying(Typed.Understood.class, understood -> {
                    assertThat(understood.typed()).isEqualTo(new Quantity(2, UnitOfMeasure.TEASPOON));
                    assertThat(understood.stored().value()).isCloseTo(9.858, within(0.001));
                });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "  ",
                "abc",
                "g",
                "1,2345.6",
                "1.234,5.6",
                "1..2",
                "48 bananas",
                "48 mL",
                "12 13",
                "NaN",
                "Infinity",
                "4-8",
                "--4",
                "12 g 3",
                "99999999999999999999999999999999999999999999999"
            })
    void refusesWhatHasNoMeaning(String text) {
        assertThat(Typed.parse(text, UnitOfMeasure.GRAM)).isInstanceOfSatisfying(Typed.Refused.class, refused -> {
            assertThat(refused.text()).isEqualTo(text);
            assertThat(refused.message()).contains("Accepted: 48.5");
        });
    }

    /** What every box takes, whatever it keeps. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    ½ kg        | GRAM        | 500
                    2 1/4 lb    | GRAM        | 1020.582832
                    68 °F       | CELSIUS     | 20
                    9 1/2 in    | CENTIMETRE  | 24.13
                    1 US gal    | MILLILITRE  | 3785.411784
                    750 cm³     | MILLILITRE  | 750
                    3 sq ft     | SQUARE_METRE | 0.27870912
                    1200 uS     | MILLISIEMENS_PER_CENTIMETRE | 1.2
                    2 weeks     | DAY         | 14
                    """)
    void readsWhatTheReaderReads(String text, UnitOfMeasure unit, double value) {
        assertThat(Typed.parse(text, unit))
                .isInstanceOfSatisfying(
                        Typed.Understood.class,
                        understood -> assertThat(understood.stored().value()).isCloseTo(value, within(1e-6)));
    }

    /** A gallon is one thing in the US and another elsewhere. */
    @ParameterizedTest
    @ValueSource(strings = {"2 gal", "3 fl oz", "1 pint", "a quart"})
    void asksWhoseGallon(String text) {
        assertThat(Typed.parse(text, UnitOfMeasure.MILLILITRE))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message()).contains("US ").contains("imp "));
    }

    @Test
    void wordsBesideANumberAreNotLost() {
        assertThat(Typed.parse("11.2 cm, bent over", UnitOfMeasure.CENTIMETRE)).isInstanceOf(Typed.Refused.class);
    }

    @Test
    void asksWhichWhenACommaCouldBeEither() {
        assertThat(Typed.parse("1,234", UnitOfMeasure.GRAM))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.problem()).contains("1234 g, or 1.234 g?"));
    }

    @Test
    void namesTheWrongDimension() {
        assertThat(Typed.parse("48 mL", UnitOfMeasure.GRAM))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.problem()).contains("a volume", "a weight"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"1,234.5 | 1234.5", "1.234,5 g | 1234.5", "-12,345.25 | -12345.25", "1,234,567.5 | 1234567.5"})
    void thousandsWithBothSeparatorsAreANumber(String text, double value) {
        assertThat(Typed.parse(text, UnitOfMeasure.GRAM))
                .isInstanceOfSatisfying(
                        Typed.Understood.class,
                        understood -> assertThat(understood.stored().value()).isEqualTo(value));
    }

    @Test
    void aPlannedDayMayBeToComeAndWithoutAYearIsTheNext() {
        Known december = Known.on(LocalDate.of(2026, 12, 1));
        assertThat(Reader.read(Box.DAY_PLANNED, "12 June 2027", december)).hasToString(day("2027-06-12"));
        assertThat(Reader.read(Box.DAY_PLANNED, "tomorrow", december)).hasToString(day("2026-12-02"));
        assertThat(Reader.read(Box.DAY_PLANNED, "4 Jan", december)).hasToString(day("2027-01-04"));
        assertThat(Reader.read(Box.DAY_PLANNED, "24 Dec", december)).hasToString(day("2026-12-24"));
        assertThat(Reader.read(Box.DAY_PLANNED, "20 Nov", december)).isInstanceOf(Read.Ask.class);
        assertThat(Reader.read(Box.DAY_PLANNED, "4/5", december)).isInstanceOf(Read.Ask.class);
        assertThat(Reader.read(Box.DAY_PLANNED, "?", december)).isInstanceOf(Read.Ask.class);
        assertThat(Reader.read(Box.DATE, "12 June 2027", december)).isInstanceOf(Read.Refused.class);
    }

    /** Found by chance: what looks like two points and an exponent is no number, and no rate comes of nothing. */
    @Test
    void whatIsNoNumberIsToldAndNeverFails() {
        for (Box box : Box.values()) {
            assertThat(Reader.read(box, "24.11.E2026", Known.on(LocalDate.of(2026, 12, 1))))
                    .as(box.name())
                    .isNotInstanceOf(Read.Value.class);
        }
        Known today = Known.on(LocalDate.of(2026, 12, 1));
        assertThat(Reader.read(Box.LABEL_RATE, "0 mL added to 1 L of water", today))
                .isInstanceOf(Read.Refused.class);
        assertThat(Reader.read(Box.MIX, "1,250rest tsp", today)).isInstanceOf(Read.Ask.class);
        assertThat(Reader.read(Box.FREE, "0.07 £/g", today))
                .hasToString(Reader.read(Box.FREE, "£4.20 for 60 g", today).toString());
    }

    private static String day(String iso) {
        return new Read.Value(new Read.Day(LocalDate.parse(iso)), "date").toString();
    }
}
