package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.quantity.UnitOfMeasure;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

class RowReaderTest {
    private static final Instant NOW = Instant.parse("2026-11-26T12:00:00Z");
    private static final Set<String> UNITS = Set.of("K34", "M12");
    private static final Channel EC =
            new Channel(2, Measurand.EC, UnitOfMeasure.MICROSIEMENS_PER_CENTIMETRE, 10, "K34");
    private static final Channel WET = new Channel(3, Measurand.MOISTURE, UnitOfMeasure.FRACTION, 10, "");

    private static RowReader reader(int unitColumn, DecimalSign sign) {
        return new RowReader(
                new Mapping(0, unitColumn, ZoneId.of("UTC"), DayOrder.DAY_FIRST, sign, List.of(EC, WET)), UNITS, NOW);
    }

    private static ThrowingCallable reading(String... cells) {
        return () -> reader(1, DecimalSign.POINT).read(List.of(cells));
    }

    @Test
    void aRowGivesAValueForEachChannelInTheUnitThatIsKept() {
        List<RowReader.Read> read =
                reader(-1, DecimalSign.POINT).read(List.of("2026-11-26 10:00", "", "1850", "0.315"));
        assertThat(read)
                .containsExactly(
                        new RowReader.Read(EC, "K34", new Sample(1_795_687_200_000L, 1.85)),
                        new RowReader.Read(WET, "", new Sample(1_795_687_200_000L, 31.5)));
    }

    @Test
    void aColumnMayNameTheUnitOfEachRow() {
        assertThat(reader(1, DecimalSign.COMMA).read(List.of("26.11.2026 10:00", "m12", "1850,5", "NaN")))
                .singleElement()
                .satisfies(read -> {
                    assertThat(read.unit()).isEqualTo("M12");
                    assertThat(read.sample().value()).isEqualTo(1.8505);
                });
    }

    @Test
    void everyOddCellSaysWhatIsWrongAndWhatWouldDo() {
        assertThatThrownBy(reading("2026-11-26 10:00", "K34", "1850", "0,31"))
                .hasMessageContaining("column 4: “0,31” has a decimal comma")
                .hasMessageContaining("accepted: 0.31");
        assertThatThrownBy(reading("2026-11-26 10:00", "K34", "=A1*2", "0.31")).hasMessageContaining("formula");
        assertThatThrownBy(reading("2026-11-26 10:00", "K34", "wet", "0.31")).hasMessageContaining("is no number");
        assertThatThrownBy(reading("2026-11-26 10:00", "K34", "1850", "31"))
                .hasMessageContaining("Water content of 31  can't be")
                .hasMessageContaining("Is the unit right?");
        assertThatThrownBy(reading("2026-11-26 10:00", "Z99", "1850", "0.31"))
                .hasMessageContaining("no unit of the trial; accepted: K34");
        assertThatThrownBy(reading("2026-11-26 10:00", "K34")).hasMessageContaining("cut off");
        assertThatThrownBy(reading("2026-11-26 19:00", "K34", "1850", "0.31"))
                .hasMessageContaining("is the zone right");
    }

    @Test
    void aMappingRefusesTwoColumnsForOneSeries() {
        Channel twice = new Channel(4, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 10, "K34");
        assertThatThrownBy(() ->
                        new Mapping(0, -1, ZoneId.of("UTC"), DayOrder.DAY_FIRST, DecimalSign.POINT, List.of(EC, twice)))
                .hasMessageContaining("EC at 10.0 cm");
        assertThatThrownBy(() -> new Channel(1, Measurand.EC, UnitOfMeasure.CELSIUS, 0, ""))
                .hasMessageContaining("accepted: mS/cm");
    }

    @Test
    void headingsAndFirstRowsAreUnderstood() {
        Mapping guess = Guess.of(
                        List.of(
                                "Timestamp",
                                "K34 EC 10 cm [µS/cm]",
                                "K34 EC 30 cm [µS/cm]",
                                "Soil temp. 10 cm",
                                "Battery"),
                        List.of(List.of("11/26/2026 10:00", "1850", "920", "11.5", "3.1")),
                        UNITS,
                        ZoneId.of("UTC"))
                .orElseThrow();
        assertThat(guess.timeColumn()).isZero();
        assertThat(guess.order()).isEqualTo(DayOrder.MONTH_FIRST);
        assertThat(guess.channels())
                .containsExactly(
                        new Channel(1, Measurand.EC, UnitOfMeasure.MICROSIEMENS_PER_CENTIMETRE, 10, "K34"),
                        new Channel(2, Measurand.EC, UnitOfMeasure.MICROSIEMENS_PER_CENTIMETRE, 30, "K34"),
                        new Channel(3, Measurand.TEMPERATURE, UnitOfMeasure.CELSIUS, 10, ""));
    }

    @Test
    void aColumnOfUnitsAndDecimalCommasAreSeen() {
        Mapping guess = Guess.of(
                        List.of("", "Sample", "pH"),
                        List.of(List.of("26.11.2026 10:00", "k34", "6,4"), List.of("26.11.2026 10:00", "M12", "6,9")),
                        UNITS,
                        ZoneId.of("UTC"))
                .orElseThrow();
        assertThat(guess.timeColumn()).isZero();
        assertThat(guess.unitColumn()).isEqualTo(1);
        assertThat(guess.sign()).isEqualTo(DecimalSign.COMMA);
        assertThat(Guess.of(List.of("a", "b"), List.of(List.of("1", "2")), UNITS, ZoneId.of("UTC")))
                .isEmpty();
    }
}
