package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.plan.Measure;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EndpointTypedTest {
    private static final Endpoint ROOTED = new Endpoint(
                    new EndpointCode("rooted"), "Rooted", UnitOfMeasure.COUNT, Counting.OF_PLANTS, 1, 0, 1000, 0, null)
            .counted(10, 0);

    private static final Endpoint HEIGHT =
            Endpoint.single(new EndpointCode("height"), "Height", UnitOfMeasure.CENTIMETRE, 0, 300, 1);

    @ParameterizedTest
    @CsvSource({"7, 7", "0, 0", "10, 10", "7 of 10, 7", "7/9, 7"})
    void countsAreTakenAsTheyAreSaid(String text, double value) {
        assertThat(ROOTED.typed(text))
                .isInstanceOfSatisfying(
                        Typed.Understood.class,
                        typed -> assertThat(typed.stored().value()).isEqualTo(value));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "11 | can be whole numbers from 0 to 10",
                "6.5 | can be whole numbers from 0 to 10",
                "7 of 12 | counted among 10 at most",
                "9 of 8 | More than there were",
                "-1 | can be whole numbers from 0 to 10"
            })
    void moreThanThereWereAndHalfPlantsAreRefusedWithWhatIsAccepted(String text, String said) {
        assertThat(ROOTED.typed(text))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message()).contains(said).contains("Accepted: 7"));
    }

    @Test
    void measurementsKeepTheirRangeAndDecimals() {
        assertThat(HEIGHT.typed("12.5")).isInstanceOf(Typed.Understood.class);
        assertThat(HEIGHT.typed("3100"))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message()).contains("0 to 300 cm"));
    }

    @Test
    void whatACountIsOfComesFromThePlanAndCanBeLess() {
        assertThat(ROOTED.size()).isEqualTo(10);
        assertThat(ROOTED.counting()).isEqualTo(Counting.COUNT_OF);
        assertThat(CountedOf.typed("7 of 9")).contains(new CountedOf(7, 9));
        assertThat(CountedOf.typed("10 of 9")).isEmpty();
        Endpoint uncounted = new Endpoint(
                        new EndpointCode("rooted"),
                        "Rooted",
                        UnitOfMeasure.COUNT,
                        Counting.OF_PLANTS,
                        1,
                        0,
                        1000,
                        0,
                        null)
                .counted(0, 8);
        assertThat(uncounted.counting()).isEqualTo(Counting.SINGLE);
    }

    private static final Endpoint GREENS =
            Endpoint.single(new EndpointCode("fresh"), "Fresh weight", UnitOfMeasure.GRAM, 0, 5000, 1);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bowl + greens 212, bowl 130 | 82",
                "bowl 130, bowl + greens 212 | 82",
                "212 - 130 | 82",
                "212,5 g less 130,5 g | 82",
                "0.5 kg minus 120 g | 380",
                "pot and roots 88; pot 31.5 | 56.5",
                "82 | 82"
            })
    void aTotalIsTakenWithoutWhatItStoodIn(String text, double grams) {
        assertThat(GREENS.typed(text)).isInstanceOfSatisfying(Typed.Understood.class, typed -> {
            assertThat(typed.stored().value()).isCloseTo(grams, within(1e-9));
            assertThat(typed.text()).isEqualTo(text);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"130 - 212 | The empty one", "212, 130, 20 | ", "48,5 g | =48.5", "-4 | can't be"})
    void aTareAboveItsTotalIsNoWeight(String text, String said) {
        Typed typed = GREENS.typed(text);
        if (said != null && said.startsWith("=")) {
            assertThat(((Typed.Understood) typed).stored().value()).isEqualTo(Double.parseDouble(said.substring(1)));
        } else {
            assertThat(((Typed.Refused) typed).message()).contains(said == null ? "" : said);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1.85 at 25 °C | 1.85",
                "1.85 mS/cm at 18 °C | 2.1355",
                "1850 µS/cm @ 18 | 2.1355",
                "1,85 at 32C | 1.6318",
                "1.85 | 1.85"
            })
    void conductivityTypedWithItsTemperatureIsCarriedTo25Degrees(String text, double stored) {
        Endpoint ec =
                Endpoint.single(new EndpointCode("ec"), "EC", UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, 30, 2);
        assertThat(ec.typed(text)).isInstanceOfSatisfying(Typed.Understood.class, typed -> {
            assertThat(typed.stored().value()).isCloseTo(stored, within(1e-3));
            assertThat(typed.text()).isEqualTo(text);
        });
    }

    @Test
    void acidityKeepsItsTemperatureInTheTextAndOtherThingsHaveNone() {
        Endpoint ph = Endpoint.single(new EndpointCode("ph"), "pH", UnitOfMeasure.PH, 0, 14, 2);
        assertThat(((Typed.Understood) ph.typed("6.4 at 18 °C")).stored().value())
                .isEqualTo(6.4);
        assertThat(ph.typed("6.4 at 95 °C")).isInstanceOf(Typed.Refused.class);
        assertThat(HEIGHT.typed("12 at 18 °C")).isInstanceOf(Typed.Refused.class);
    }

    /** Symptoms are part of what was typed: a file's "3 cupped, twisted" keeps them. */
    @Test
    void symptomsBehindAScoreAreKept() {
        Endpoint injury = Protocols.all().stream()
                .flatMap(protocol -> protocol.measures().stream())
                .map(Measure::endpoint)
                .filter(Endpoint::takesSymptoms)
                .findFirst()
                .orElseThrow();
        assertThat(injury.typed("3 cupped, twisted")).isInstanceOfSatisfying(Typed.Understood.class, understood -> {
            assertThat(understood.text()).isEqualTo("3 cupped, twisted");
            assertThat(understood.stored().value()).isEqualTo(3);
        });
    }
}
