package elsom.web.brew;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.brew.CountsFile.Checked;
import elsom.web.brew.CountsFile.Count;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A laboratory's table, without a server. */
class CountsFileTest {
    private static final TrialRecord RECORD = record();
    private static final String ONE = RECORD.units().get(0).code().value();
    private static final String TWO = RECORD.units().get(1).code().value();

    private static TrialRecord record() {
        Plan begun = AeratedBrew.protocol()
                .begin(
                        "Which brew?",
                        ZoneOffset.UTC,
                        Instant.parse("2026-05-01T08:00:00Z"),
                        Pots.of(Container.straightRound("Bucket", 25, 25)),
                        3);
        TrialRecord drawn = begun.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("plain", "", ControlKind.CONTROL),
                                PlannedTreatment.of("kelp", "", ControlKind.NONE))),
                        begun.pots())
                .draw(new TrialId(1));
        return drawn.with(drawn.trial().begun(false));
    }

    private static Map<String, String> known(String... pairs) {
        Map<String, String> known = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (int i = 0; i < pairs.length; i += 2) {
            known.put(pairs[i], pairs[i + 1]);
        }
        return known;
    }

    private static Checked checked(String text) {
        return CountsFile.read(
                        text, known("sample", "sample", "fungi", "fungi", "bacteria", "bacteria", "note", "leave"))
                .orElseThrow()
                .checked(RECORD);
    }

    @Test
    void semicolonsTabsAndCommasAreTold() {
        for (String mark : List.of(";", "\t", ",")) {
            Checked checked = checked("Sample" + mark + "Fungi\n" + ONE + mark + "2.5\n");
            assertThat(checked.problems()).isEmpty();
            assertThat(checked.counts()).extracting(Count::value).containsExactly(2.5);
        }
        assertThat(checked("Sample;Fungi\n" + ONE + ";2,5").counts())
                .extracting(Count::value)
                .containsExactly(2.5);
    }

    @Test
    void countsGoToTheLookThatTakesThem() {
        Checked checked = checked("Sample;Fungi;Bacteria;Note\n" + ONE + ";2.5;40;cloudy\n" + TWO + ";;38;\n");
        assertThat(checked.problems()).isEmpty();
        assertThat(checked.counts())
                .hasSize(3)
                .allSatisfy(count ->
                        assertThat(count.ref().look()).isEqualTo(RECORD.looks().size()));
    }

    @Test
    void headingsThatNobodyToldAreNamed() {
        CountsFile file = CountsFile.read("Lab no;SAMPLE;AF\n1;" + ONE + ";3", known("sample", "sample"))
                .orElseThrow();
        assertThat(file.untold()).containsExactly("Lab no", "AF");
        assertThat(file.told()).containsEntry("SAMPLE", "sample");
    }

    @Test
    void aTableWithoutSamplesOrWithStrangersIsRefusedWhole() {
        assertThat(CountsFile.read("Fungi;Bacteria\n2;40", known("fungi", "fungi", "bacteria", "bacteria"))
                        .orElseThrow()
                        .checked(RECORD)
                        .problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem).contains("Choose “sample”"));
        Checked strangers = checked("Sample;Fungi\n" + ONE + ";2\nZZZ;3\n");
        assertThat(strangers.counts()).isEmpty();
        assertThat(strangers.problems())
                .containsExactly("Line 3: “ZZZ” is no brew of this trial. Accepted: " + ONE + ".");
    }

    @Test
    void figuresBeyondWhatCanBeAndUnknownCountsAreToldByLine() {
        assertThat(checked("Sample;Fungi\n" + ONE + ";-2\n" + TWO + ";99999\n").problems())
                .hasSize(2)
                .allMatch(problem -> problem.contains("µg/mL can’t be"));
        assertThat(CountsFile.read("Sample;Yeast\n" + ONE + ";2", known("sample", "sample", "yeast", "yeast"))
                        .orElseThrow()
                        .checked(RECORD)
                        .problems())
                .singleElement()
                .satisfies(problem -> assertThat(problem).contains("no look of this trial takes “yeast”"));
    }

    @Test
    void whatIsNoTableIsNone() {
        assertThat(CountsFile.read("", known())).isEmpty();
        assertThat(CountsFile.read("Sample;Fungi", known())).isEmpty();
        assertThat(CountsFile.read("one column\n1\n2", known())).isEmpty();
    }
}
