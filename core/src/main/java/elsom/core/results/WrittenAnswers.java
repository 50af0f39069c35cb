package elsom.core.results;

import elsom.core.plan.Measure;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Table;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.Treatment;
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
            List<Column<Treatment>> columns = new ArrayList<>();
            columns.add(Column.cells("Treatment", Cell::of));
            looks.forEach(look -> columns.add(
                    Column.words(look.name(), treatment -> said(record, measure, look, treatment.number()))));
            String name = measure.endpoint().name();
            findings.section(new TableResult(
                    name,
                    looks.get(looks.size() - 1),
                    Table.of("written", name, columns, record.treatments()),
                    REMARKS));
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
