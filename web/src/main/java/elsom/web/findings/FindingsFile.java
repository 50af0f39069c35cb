package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** What sections tell, as {@code findings.json} has it: shares as fractions of 1, every field there, null where nothing is. */
final class FindingsFile {
    private FindingsFile() {}

    /** An answer, as the page says it. */
    record Answer(
            int question,
            String asked,
            String stated,
            String answer,
            String firmness,
            String sentence,
            String wouldChange,
            List<String> details,
            String capped,
            @Nullable String endpoint) {}

    /** A section; {@code bench} is null when it is about all. */
    record SectionData(
            String key,
            String title,
            String about,
            @Nullable Integer bench,
            List<String> sentences,
            List<PartData> parts,
            List<String> notes,
            List<String> cautions,
            Account.Method method) {}

    /** A piece of a section. */
    record PartData(
            String name,
            List<StandingData> standings,
            List<TableData> tables,
            @Nullable Picture picture,
            List<String> notes) {}

    /** Facts at a look; {@code at} is empty where they are told for one only. */
    record StandingData(String at, List<FactData> facts, String note) {}

    /** A fact. */
    record FactData(String label, String term, CellData value, String remark) {}

    /** A table. */
    record TableData(String key, String title, List<Column.Heading> columns, List<RowData> rows) {}

    /** A row; {@code said} may be empty. */
    record RowData(List<CellData> cells, String said) {}

    /** A cell: as it is shown, and the number it is, with the ends of its 95 % interval and its standard deviation. */
    record CellData(
            String shown,
            String beside,
            @Nullable Double value,
            @Nullable String unit,
            @Nullable Double low,
            @Nullable Double high,
            @Nullable Double sd) {}

    /** What a picture shows. */
    record Picture(String kind, Chart data) {}

    static List<Answer> answers(Findings findings, FairMark mark) {
        return findings.answers().stream()
                .map(answered -> new Answer(
                        answered.question(),
                        answered.asked(),
                        answered.marked(),
                        answered.verdict().firmness().label(),
                        mark.word(answered),
                        answered.verdict().sentence(),
                        answered.verdict().wouldChange(),
                        answered.details(),
                        Optional.ofNullable(mark.cap(answered))
                                .map(FairMark.Cap::seen)
                                .orElse(""),
                        answered.about().map(EndpointCode::value).orElse(null)))
                .toList();
    }

    static List<SectionData> sections(TrialRecord record, Findings findings) {
        return findings.sections().stream()
                .map(section -> section(section, section.account(record)))
                .filter(section -> !section.parts().isEmpty())
                .toList();
    }

    private static SectionData section(Section section, Account account) {
        return new SectionData(
                account.key(),
                account.title(),
                account.about(),
                section.bench().isPresent() ? section.bench().getAsInt() : null,
                account.sentences(),
                account.parts().stream().map(FindingsFile::part).toList(),
                account.notes(),
                account.cautions(),
                account.method());
    }

    private static PartData part(Part part) {
        return new PartData(
                part.name(),
                part.standings().stream()
                        .map(standing -> new StandingData(
                                standing.at(),
                                standing.facts().stream()
                                        .map(FindingsFile::fact)
                                        .toList(),
                                standing.note()))
                        .toList(),
                part.tables().stream().map(FindingsFile::table).toList(),
                part.chart().map(chart -> new Picture(chart.script(), chart)).orElse(null),
                part.notes());
    }

    private static FactData fact(Fact fact) {
        return new FactData(fact.label(), fact.term(), cell(fact.value()), fact.remark());
    }

    private static TableData table(Table table) {
        return new TableData(
                table.key(),
                table.title(),
                table.headings(),
                table.rows().stream()
                        .map(row -> new RowData(
                                row.cells().stream().map(FindingsFile::cell).toList(), row.said()))
                        .toList());
    }

    private static CellData cell(Cell cell) {
        Amount amount = cell.amount().orElse(null);
        return amount == null
                ? new CellData(cell.shown(), cell.small(), null, null, null, null, null)
                : new CellData(
                        cell.shown(),
                        cell.small(),
                        finite(OptionalDouble.of(amount.value())),
                        amount.unit().symbol(),
                        finite(amount.low()),
                        finite(amount.high()),
                        finite(amount.sd()));
    }

    private static @Nullable Double finite(OptionalDouble value) {
        return value.isPresent() && Double.isFinite(value.getAsDouble()) ? value.getAsDouble() : null;
    }
}
