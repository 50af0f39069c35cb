package elsom.web.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.series.BelowLimit;
import elsom.core.series.Channel;
import elsom.core.series.Columns;
import elsom.core.series.DayOrder;
import elsom.core.series.DecimalSign;
import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Tables as loggers, spreadsheets and laboratories write them, and the form that says what their columns are. */
class TableRowsTest {
    @TempDir
    private Path folder;

    private List<List<String>> rows(byte[] bytes) throws IOException, TableRows.NoTable {
        Path file = Files.write(folder.resolve("file"), bytes);
        List<List<String>> rows = new ArrayList<>();
        TableRows.read(file, (number, cells, read) -> rows.add(cells));
        return rows;
    }

    private List<List<String>> rows(String text) throws IOException, TableRows.NoTable {
        return rows(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void separatorsAreSeen() throws Exception {
        List<List<String>> wanted = List.of(List.of("a", "b"), List.of("1", "2"));
        assertThat(rows("a,b\n1,2\n")).isEqualTo(wanted);
        assertThat(rows("a;b\r\n1;2\r\n")).isEqualTo(wanted);
        assertThat(rows("a\tb\n1\t2")).isEqualTo(wanted);
        assertThat(rows("Time;EC\n10:00;1,5\n11:00;1,6\n")).contains(List.of("10:00", "1,5"));
    }

    @Test
    void aByteOrderMarkLinesAboveAndEmptyLinesArePassedOver() throws Exception {
        assertThat(rows("\uFEFFa,b\n1,2\n")).startsWith(List.of("a", "b"));
        assertThat(rows("Logger 7\nSerial 42\n\na,b\n\n1,2\n,\n3,4\n"))
                .containsExactly(List.of("a", "b"), List.of("1", "2"), List.of("3", "4"));
        assertThat(rows("\"a, in words\",b\n\"1\",2\n")).startsWith(List.of("a, in words", "b"));
    }

    @Test
    void westernLettersAreReadAndLettersCutAtTheEdgeOfTheSampleAreNoReasonToDoubtUtf8() throws Exception {
        assertThat(rows("Temp °C;µS/cm\n1;2\n".getBytes(Charset.forName("windows-1252"))))
                .startsWith(List.of("Temp °C", "µS/cm"));
        String long1 = "a,b\n" + "x".repeat(65_531) + "µ,2\n";
        assertThat(long1.getBytes(StandardCharsets.UTF_8).length).isGreaterThan(65_536);
        assertThatThrownBy(() -> rows(long1)).isInstanceOf(TableRows.NoTable.class);
        StringBuilder many = new StringBuilder("a,b\n");
        while (many.length() < 70_000) {
            many.append("µµµµµµµ,2\n");
        }
        assertThat(rows(many.toString()).get(1)).isEqualTo(List.of("µµµµµµµ", "2"));
    }

    @Test
    void whoeverHasSeenEnoughEnds() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "a,b\n1,2\n3,4\n");
        List<Long> numbers = new ArrayList<>();
        TableRows.read(file, (number, cells, read) -> {
            numbers.add(number);
            return numbers.size() < 2;
        });
        assertThat(numbers).containsExactly(1L, 2L);
    }

    @Test
    void aFormIsWhatItsMappingWas() {
        Mapping mapping = new Mapping(
                new Columns(0, 3, 1, -1, -1),
                ZoneId.of("Europe/Berlin"),
                DayOrder.MONTH_FIRST,
                DecimalSign.COMMA,
                "-77",
                BelowLimit.LIMIT,
                List.of(
                        new Channel(2, Measurand.EC, UnitOfMeasure.MICROSIEMENS_PER_CENTIMETRE, 7.5, ""),
                        new Channel(4, Measurand.MOISTURE, UnitOfMeasure.FRACTION, 0, "K34")));
        assertThat(MappingForm.of(mapping).read(5, Set.of("K34"))).contains(mapping);
        assertThat(MappingJson.read(MappingJson.write(mapping))).contains(mapping);
        assertThat(MappingJson.read("{\"zone\":\"Moon\"}")).isEmpty();
    }

    @Test
    void aUnitOfAnotherKindThanWhatIsMeasuredBecomesTheUsualOne() {
        MappingForm form = MappingForm.sent(
                Map.of("zone", "UTC", "what0", "TIME", "what1", "EC", "in1", "CELSIUS", "unit1", "k34"));
        assertThat(form.read(2, Set.of("K34")).orElseThrow().channels())
                .containsExactly(new Channel(1, Measurand.EC, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, "K34"));
    }

    @Test
    void twoColumnsOfTheSameAreTwoProbesAndTwoColumnsOfTimesAreAskedAbout() {
        MappingForm probes = MappingForm.sent(Map.of("zone", "UTC", "what0", "TIME", "what1", "EC", "what2", "EC"));
        assertThat(probes.read(3, Set.of()).orElseThrow().channels())
                .extracting(Channel::probe)
                .containsExactly(1, 2);
        MappingForm times = MappingForm.sent(Map.of("zone", "UTC", "what0", "TIME", "what1", "TIME", "what2", "EC"));
        assertThat(times.read(3, Set.of())).isEmpty();
        assertThat(times.all())
                .singleElement()
                .asString()
                .contains("Columns 1 and 2 both hold the time")
                .contains("time of day alone");
    }

    @Test
    void samplesOfSeveralFilesComeInOneOrderOfTime() {
        SampledCourse course = new SampledCourse();
        course.add(5000, 1);
        course.add(3000, 2);
        course.add(4000, 3);
        List<String> seen = new ArrayList<>();
        course.sorted().each((at, value) -> seen.add(at + "=" + value));
        assertThat(seen).containsExactly("3000=2.0", "4000=3.0", "5000=1.0");
        assertThat(course.find(4000)).isEqualTo(1);
        assertThat(course.find(4500)).isNegative();
    }
}
