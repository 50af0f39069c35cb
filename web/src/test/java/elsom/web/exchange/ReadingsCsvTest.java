package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.protocol.seedling.ABioassay;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.NewReading;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingsCsvTest {
    private static final Instant LATER = ExchangeFixture.START.plus(Duration.ofDays(400));

    private static String written(TrialRecord record) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ReadingsCsv.write(record, bytes);
        return bytes.toString(StandardCharsets.UTF_8);
    }

    private final TrialRecord record = ExchangeFixture.measured();
    private final String unit = record.units().get(0).code().value();
    private final String other = record.units().get(1).code().value();
    private final List<BadRow> problems = new ArrayList<>();

    private ReadingsCsv.Incoming read(TrialRecord into, String csv) {
        return read(into, csv.getBytes(StandardCharsets.UTF_8));
    }

    private ReadingsCsv.Incoming read(TrialRecord into, byte[] bytes) {
        return ReadingsCsv.read(into, new ByteArrayInputStream(bytes), "Bench B", LATER, problems);
    }

    private List<String> reasons() {
        return problems.stream().map(bad -> bad.where() + ": " + bad.reason()).toList();
    }

    @Test
    void whatWasWrittenReadsBackUnchanged() {
        ReadingsCsv.Incoming incoming = read(record, written(record));
        assertThat(problems).isEmpty();
        assertThat(incoming.entries()).isEmpty();
        assertThat(incoming.unchanged()).isEqualTo(record.readings().size() - 1);
    }

    @Test
    void intoAnEmptyTrialEverythingIsNew() {
        ReadingsCsv.Incoming incoming = read(ExchangeFixture.drawn(), written(record));
        assertThat(incoming.added())
                .isEqualTo(incoming.entries().size())
                .isEqualTo(record.readings().size() - 1);
    }

    @Test
    void aChangedValueBecomesACorrection() {
        ReadingsCsv.Incoming incoming = read(record, "unit,look,endpoint,value\n" + unit + ",1,tare-mass,33\n");
        assertThat(incoming.corrected()).isEqualTo(1);
        assertThat(incoming.entries().get(0).reason()).isEqualTo(CorrectionReason.FILE);
        assertThat(incoming.entries().get(0).replaces()).isNotNull();
    }

    @Test
    void semicolonsDecimalCommasAndOtherUnitsAreUnderstood() {
        ReadingsCsv.Incoming incoming = read(
                ExchangeFixture.drawn(),
                "\uFEFFunit;look;endpoint;value;value_unit\n" + unit + ";1;tare-mass;1,5;oz\n");
        assertThat(problems).isEmpty();
        Double value = incoming.entries().get(0).value();
        assertThat(value).isNotNull().isCloseTo(42.52, within(0.01));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    A99,1,tare-mass,30        | this trial has no A99
                    nonsense,1,tare-mass,30   | a unit code is a letter
                    UNIT,99,tare-mass,30      | look: must be 1 to 7, got 99
                    UNIT,x,tare-mass,30       | “x” is not a whole number
                    UNIT,1,wet-mass,30        | is not measured at look 1; accepted: tare-mass
                    UNIT,1,tare-mass,-3       | can't be −3 g; it can be 0 to 50000 g
                    UNIT,1,tare-mass,1e9      | perhaps the unit is another
                    UNIT,1,tare-mass,1 gal    | gal
                    UNIT,1,tare-mass,abc      | No number in “abc”
                    UNIT,1,tare-mass,1.2.3    | Two decimal separators
                    UNIT,1,tare-mass,         | value is empty
                    UNIT,1,tare-mass          | It has 3 values for 4 columns
                    """)
    void namesEveryBadRowWithItsReason(String row, String reason) {
        ReadingsCsv.Incoming incoming = read(
                record, "unit,look,endpoint,value\n" + other + ",1,tare-mass,30\n" + row.replace("UNIT", unit) + "\n");
        assertThat(reasons()).singleElement().asString().startsWith("row 3: ").contains(reason);
        assertThat(incoming).isNotNull();
    }

    @Test
    void aRepeatedRowIsBad() {
        read(record, "unit,look,endpoint,value\n" + (unit + ",1,tare-mass,30\n").repeat(2));
        assertThat(reasons()).singleElement().asString().contains("row 3", "there twice");
    }

    @Test
    void refusesWhatIsNotATable() {
        assertThat(refusal(new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 1, 2, (byte) 0xff}))
                .contains("not a text file");
        assertThat(refusal(new byte[10 * 1024 * 1024])).contains("not a text file");
        assertThat(refusal("")).contains("missing: unit, look, endpoint, value");
        assertThat(refusal("unit,look,endpoint,value\n")).contains("no rows");
        assertThat(refusal("a,b\n1,2\n")).contains("missing");
        assertThat(refusal("unit,look,endpoint,value\n\"never closed,1,tare-mass,3"))
                .contains("not a CSV file");
    }

    private String refusal(String csv) {
        return refusal(csv.getBytes(StandardCharsets.UTF_8));
    }

    private String refusal(byte[] bytes) {
        problems.clear();
        assertThat(read(record, bytes).entries()).isEmpty();
        return reasons().get(0);
    }

    /** A spreadsheet runs what begins so; the apostrophe before it is taken off again. */
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+44", "-3", "@cmd", "'=x", "''-", "\tcell", "plain", "it's", "'quoted'"})
    void textIsNeverAFormulaAndReadsBackTheSame(String text) {
        String cell = CsvText.guarded(text);
        assertThat(cell)
                .doesNotStartWith("=")
                .doesNotStartWith("+")
                .doesNotStartWith("-")
                .doesNotStartWith("@")
                .doesNotStartWith("\t");
        assertThat(CsvText.plain(cell)).isEqualTo(text);
    }

    /** A reading that is still to come is none. */
    @Test
    void aReadingLiesNeverInTheFuture() {
        String row = "unit,look,endpoint,value,taken_at\n" + unit + ",1,tare-mass,30,2031-01-01T08:00:00Z\n";
        read(ExchangeFixture.drawn(), row);
        assertThat(reasons()).singleElement().asString().contains("still to come");
    }

    /** Whatever a file says of a score beside its number is kept. */
    @Test
    void symptomsInTheValueAreKept() {
        TrialRecord scored = ABioassay.of(ABioassay.LOT).record();
        String code = scored.units().get(0).code().value();
        ReadingsCsv.Incoming incoming = read(
                scored, "unit,look,endpoint,value,value_unit\n" + code + ",1,injury,\"3 cupped, twisted\",points\n");
        assertThat(problems).isEmpty();
        assertThat(incoming.entries()).extracting(NewReading::typedText).containsExactly("3 cupped, twisted");
    }

    private static final String SCORES = "unit,look,endpoint,value,typed\n";

    @Test
    void symptomsGoOutAndComeInWithTheirScore() {
        TrialRecord scored =
                ABioassay.of(ABioassay.LOT).scored(ABioassay::auxin).record();
        assertThat(written(scored)).contains("9 cupped, twisted");
        ReadingsCsv.Incoming incoming = read(scored, written(scored));
        assertThat(problems).isEmpty();
        assertThat(incoming.entries()).isEmpty();
    }

    @Test
    void anotherSymptomIsACorrectionThoughTheScoreStays() {
        TrialRecord scored = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) -> "5 cupped")
                .record();
        String code = scored.units().get(0).code().value();
        ReadingsCsv.Incoming incoming = read(scored, SCORES + code + ",1,injury,5,\"5 cupped, twisted\"\n");
        assertThat(problems).isEmpty();
        assertThat(incoming.corrected()).isOne();
        assertThat(incoming.entries().get(0).typedText()).isEqualTo("5 cupped, twisted");
    }

    @Test
    void whatIsNoSymptomIsABadRow() {
        TrialRecord scored = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) -> "0")
                .record();
        String code = scored.units().get(0).code().value();
        read(scored, SCORES + code + ",1,injury,5,5 curly\n" + code + ",2,injury,11,11\n");
        assertThat(reasons())
                .anyMatch(said -> said.contains("“curly” is no symptom known here"))
                .anyMatch(said -> said.contains("can't be 11"));
    }
}
