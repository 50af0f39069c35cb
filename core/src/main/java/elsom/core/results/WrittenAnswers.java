package elsom.core.results;

import elsom.core.plan.Measure;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What was seen in words, unit by unit under each treatment: told as it was written, judged by nobody but the reader. */
final class WrittenAnswers implements Analysis {
    private static final List<String> REMARKS = List.of(
            "As it was written; nothing is worked out from it. To compare it, score it with anchors next time.");

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        for (Measure measure : evidence.written()) {
            List<Look> looks = evidence.looksOf(measure.endpoint().code());
            List<TableResult.Row> rows = new ArrayList<>();
            for (int arm = 0; arm < record.treatments().size(); arm++) {
                int treatment = arm + 1;
                rows.add(new TableResult.Row(
                        arm,
                        looks.stream()
                                .map(look -> said(record, measure, look, treatment))
                                .toList()));
            }
            findings.section(new Section.Table(new TableResult(
                    measure.endpoint().name(),
                    looks.get(looks.size() - 1),
                    looks.stream().map(Look::name).toList(),
                    rows,
                    REMARKS)));
        }
    }

    private static String said(TrialRecord record, Measure measure, Look look, int treatment) {
        String said = record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .flatMap(unit -> UnitValues.readings(record, measure.endpoint(), look, unit).stream()
                        .map(reading -> said(unit, reading)))
                .collect(Collectors.joining("; "));
        return said.isEmpty() ? "–" : said;
    }

    private static String said(ExperimentalUnit unit, Reading reading) {
        return unit.code() + " " + reading.typedText();
    }
}
