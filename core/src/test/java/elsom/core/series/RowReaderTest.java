package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.quantity.UnitOfMeasure;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RowReaderTest {
    private static final Instant NOW = Instant.parse("2026-11-26T12:00:00Z");
    private static final Set<String> UNITS = Set.of("K34", "M12");
    private static final Channel EC =
            new Channel(2, Measurand.EC, UnitOfMeasure.MICROSIEMENS_PER_CENTIMETRE, 10, "K34");
    private static final Channel WET = new Channel(3, Measurand.MOISTURE, UnitOfMeasure.FRACTION, 10, "");

    private static RowReader reader(int unitColumn, DecimalSign sign) {
        return new RowReader(
                Mapping.plain(Columns.of(0, unitColumn), ZoneId.of("UTC"), DayOrder.DAY_FIRST, sign, List.of(EC, WET)),
                UNITS,
                NOW);
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
                        new RowReader.Read(EC, "K34", 10, new Sample(1_795_687_200_000L, 1.85)),
                        new RowReader.Read(WET, "", 10, new Sample(1_795_687_200_000L, 31.5)));
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
                .hasMessageContaining("Water content of 31 can't be")
                .hasMessageContaining("Is the unit right?");
        assertThatThrownBy(reading("2026-11-26 10:00", "Z99", "1850", "0.31"))
                .hasMessageContaining("no unit of the trial; accepted: K34");
        assertThatThrownBy(reading("2026-11-26 10:00", "K34")).hasMessageContaining("cut off");
        assertThatThrownBy(reading("2026-11-26 19:00", "K34", "1850", "0.31"))
                .hasMessageContaining("is the zone right");
    }

    @Test
    void twoProbesInOnePlaceAreBothKept() {
        Channel twice = new Channel(4, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 10, "K34");
        Mapping both = mapping(Columns.of(0, -1), DecimalSign.POINT, Channel.numbered(List.of(EC, twice)));
        assertThat(new RowReader(both, UNITS, NOW).read(List.of("2026-11-26 10:00", "", "1850", "", "1.75")))
                .extracting(
                        read -> read.channel().probe() + ": " + read.sample().value())
                .containsExactly("1: 1.85", "2: 1.75");
        assertThatThrownBy(() -> mapping(Columns.of(0, -1), DecimalSign.POINT, List.of(EC, twice)))
                .hasMessageContaining("two columns would be the same series: EC");
        assertThatThrownBy(() -> new Channel(1, Measurand.EC, UnitOfMeasure.CELSIUS, 0, ""))
                .hasMessageContaining("accepted: mS/cm");
    }

    private static Mapping mapping(Columns columns, DecimalSign sign, List<Channel> channels) {
        return Mapping.plain(columns, ZoneId.of("Europe/Berlin"), DayOrder.DAY_FIRST, sign, channels);
    }

    @Test
    void aDayAndItsTimeOfDayMayStandInTwoColumns() {
        List<String> headings = List.of("Date", "Time", "K34 EC 50mm [mS/cm]", "K34 EC 6 in [mS/cm]");
        List<List<String>> rows = List.of(List.of("15 Nov 2026", "14:30", "1,2", "1,4"));
        Mapping guess =
                Guess.of(headings, rows, UNITS, ZoneId.of("Europe/Berlin")).orElseThrow();
        assertThat(guess.columns()).isEqualTo(new Columns(0, 1, -1, -1, -1));
        assertThat(new RowReader(guess, UNITS, NOW).read(rows.get(0)))
                .extracting(read -> read.depthCm() + " "
                        + Instant.ofEpochMilli(read.sample().at()))
                .containsExactly("5.0 2026-11-15T13:30:00Z", "15.24 2026-11-15T13:30:00Z");
        RowReader reader = new RowReader(guess, UNITS, NOW);
        assertThatThrownBy(() -> reader.read(List.of("15 Nov 2026", "", "1,2", "1,4")))
                .hasMessageContaining("column 2 has no time of day");
        assertThatThrownBy(() -> reader.read(List.of("15 Nov 2026", "noon", "1,2", "1,4")))
                .hasMessageContaining("“noon” is no time of day; accepted: 14:30");
        // A spreadsheet's day and its share of a day.
        assertThat(reader.read(List.of("46341", "0,604166667", "1,2", "1,4")))
                .allSatisfy(read ->
                        assertThat(Instant.ofEpochMilli(read.sample().at())).isEqualTo("2026-11-15T13:30:00Z"));
    }

    @Test
    void aRowMaySayItsUnitAndItsDepth() {
        List<List<String>> rows = List.of(
                List.of("K34", "10", "2026-11-15 14:30", "1.2"), List.of("m12", "30 cm", "2026-11-15 14:30", "<0.05"));
        Mapping guess = Guess.of(List.of("Unit", "Depth", "Time", "EC mS/cm"), rows, UNITS, ZoneId.of("UTC"))
                .orElseThrow();
        RowReader reader = new RowReader(guess, UNITS, NOW);
        assertThat(rows.stream().flatMap(row -> reader.read(row).stream()))
                .extracting(read ->
                        read.unit() + " " + read.depthCm() + " " + read.sample().value())
                .containsExactly("K34 10.0 1.2", "M12 30.0 0.025");
        assertThatThrownBy(() -> reader.read(List.of("K34", "deep", "2026-11-15 14:30", "1.2")))
                .hasMessageContaining("“deep” is no depth; accepted: 10");
    }

    @ParameterizedTest
    @CsvSource({"HALF, 0.025", "LIMIT, 0.05", "ZERO, 0.0", "LEFT_OUT, "})
    void aValueBelowALimitCountsAsChosenAndIsCounted(BelowLimit below, @Nullable Double value) {
        Channel salt = new Channel(1, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, "");
        RowReader reader = new RowReader(
                new Mapping(
                        Columns.of(0, -1),
                        ZoneId.of("UTC"),
                        DayOrder.DAY_FIRST,
                        DecimalSign.COMMA,
                        "-77 dry",
                        below,
                        List.of(salt)),
                UNITS,
                NOW);
        assertThat(reader.read(List.of("2026-11-26 10:00", "< 0,05")))
                .extracting(read -> read.sample().value())
                .isEqualTo(value == null ? List.of() : List.of(value));
        assertThat(reader.below()).isEqualTo(1);
        assertThat(reader.read(List.of("2026-11-26 10:10", "-77,0"))).isEmpty();
        assertThat(reader.read(List.of("2026-11-26 10:20", "Dry"))).isEmpty();
        assertThat(reader.read(List.of("2026-11-26 10:30", "-9999"))).isEmpty();
        assertThatThrownBy(() -> reader.read(List.of("2026-11-26 10:30", "<low")))
                .hasMessageContaining("“low”");
    }

    @Test
    void aRowOfUnitsBelongsToTheHeadings() {
        Headings head = Headings.of(List.of(
                List.of("TIMESTAMP", "EC_10 cm", "T"),
                List.of("TS", "µS/cm", "°F"),
                List.of("", "Avg", "Avg"),
                List.of("2026-11-15 14:30", "1850", "70.5")));
        assertThat(head.rows()).isEqualTo(3);
        assertThat(head.names()).containsExactly("TIMESTAMP", "EC_10 cm [µS/cm]", "T [°F]");
        assertThat(Headings.of(List.of(List.of("Time", "EC"), List.of("2026-11-15", "NaN")))
                        .rows())
                .isEqualTo(1);
        assertThat(Headings.of(List.of(List.of("Time", "EC"))).rows()).isEqualTo(1);
    }

    @Test
    void aFileThatBeginsWithItsNewestRowGoesBackThroughTheHourThatAutumnRepeats() {
        Channel salt = new Channel(1, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, "");
        Mapping plain = mapping(Columns.of(0, -1), DecimalSign.POINT, List.of(salt));
        List<List<String>> rows = Stream.of("03:00", "02:40", "02:10", "02:40", "02:10", "01:40")
                .map(clock -> List.of("2026-10-25 " + clock, "1"))
                .toList();
        assertThat(RowReader.newestFirst(plain, rows)).isTrue();
        RowReader reader = new RowReader(plain, UNITS, NOW, true);
        assertThat(rows.stream().flatMap(row -> reader.read(row).stream()))
                .extracting(read -> Instant.ofEpochMilli(read.sample().at()).toString())
                .containsExactly(
                        "2026-10-25T02:00:00Z",
                        "2026-10-25T01:40:00Z",
                        "2026-10-25T01:10:00Z",
                        "2026-10-25T00:40:00Z",
                        "2026-10-25T00:10:00Z",
                        "2026-10-24T23:40:00Z");
    }

    @Test
    void unitsThatFollowOneAnotherEachGoThroughTheHourThatAutumnRepeats() {
        Channel salt = new Channel(2, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, "");
        Mapping listed = mapping(Columns.of(1, 0), DecimalSign.POINT, List.of(salt));
        List<List<String>> rows = Stream.of("K34", "M12")
                .flatMap(unit -> Stream.of("02:10", "02:40", "02:10", "03:00")
                        .map(clock -> List.of(unit, "2026-10-25 " + clock, "1")))
                .toList();
        assertThat(RowReader.newestFirst(listed, rows)).isFalse();
        RowReader reader = new RowReader(listed, UNITS, NOW);
        assertThat(rows.stream().flatMap(row -> reader.read(row).stream()))
                .extracting(
                        read -> read.unit() + Instant.ofEpochMilli(read.sample().at()))
                .contains("K342026-10-25T00:10:00Z", "M122026-10-25T00:10:00Z", "M122026-10-25T01:10:00Z")
                .doesNotHaveDuplicates();
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
        assertThat(guess.columns().time()).isZero();
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
        assertThat(guess.columns().time()).isZero();
        assertThat(guess.columns().unit()).isEqualTo(1);
        assertThat(guess.sign()).isEqualTo(DecimalSign.COMMA);
        assertThat(Guess.of(List.of("a", "b"), List.of(List.of("1", "2")), UNITS, ZoneId.of("UTC")))
                .isEmpty();
    }

    /** A long file: what was measured stands in a column, in the unit that its name says. */
    @Test
    void aColumnThatNamesWhatWasMeasuredIsReadRowByRow() {
        List<String> headings = List.of("Time", "Pot", "Parameter", "Depth", "Value");
        List<List<String>> rows = List.of(
                List.of("2026-11-24 09:00", "K34", "EC [uS/cm]", "10", "1850"),
                List.of("2026-11-24 09:00", "K34", "Water content (%)", "10", "31.5"),
                List.of("2026-11-24 09:00", "K34", "Nitrate", "10", "44"),
                List.of("2026-11-24 10:00", "K34", "EC [uS/cm]", "10", "2000"));
        Mapping guess = Guess.of(headings, rows, UNITS, ZoneId.of("UTC")).orElseThrow();
        assertThat(guess.columns()).isEqualTo(new Columns(0, -1, 1, 3, 2));
        RowReader reader = new RowReader(guess, UNITS, NOW);
        List<RowReader.Read> read =
                rows.stream().flatMap(row -> reader.read(row).stream()).toList();
        assertThat(read)
                .extracting(one -> one.channel().what(), one -> one.sample().value(), RowReader.Read::depthCm)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(Measurand.EC, 1.85, 10.0),
                        org.assertj.core.groups.Tuple.tuple(Measurand.MOISTURE, 31.5, 10.0),
                        org.assertj.core.groups.Tuple.tuple(Measurand.EC, 2.0, 10.0));
        assertThat(reader.leftOut()).containsExactly(java.util.Map.entry("Nitrate", 1L));
    }
}
