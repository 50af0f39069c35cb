package elsom.web.report;

import elsom.core.audit.Fault;
import elsom.core.figure.FigureKind;
import elsom.core.figure.UnitResult;
import elsom.core.plan.PlanSentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Findings;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;

/**
 * A trial as one .xlsx: what was read, what was worked out and what was judged, a sheet each, numbers as numbers. Shares are
 * fractions of 1, as everywhere in files.
 */
final class Workbook {
    private static final String APPLICATION = "Elsom";
    private static final String FORMAT = "1.0";

    private final org.dhatim.fastexcel.Workbook book;
    private final TrialRecord record;

    private Workbook(org.dhatim.fastexcel.Workbook book, TrialRecord record) {
        this.book = book;
        this.record = record;
    }

    /**
     * Writes it.
     *
     * @param told empty while there are no findings to see: then units and readings alone
     */
    static void write(TrialRecord record, Optional<ReportTold> told, OutputStream out) throws IOException {
        try (org.dhatim.fastexcel.Workbook book = new org.dhatim.fastexcel.Workbook(out, APPLICATION, FORMAT)) {
            Workbook writing = new Workbook(book, record);
            writing.trial(told);
            if (told.isPresent()) {
                writing.answers(told.get());
                writing.sections(told.get());
                writing.fair(told.get());
            }
            writing.units(told.map(ReportTold::findings), copied(told));
            writing.readings();
        }
    }

    /** Rows of one sheet; a bold heading that stays in view. */
    private static final class Rows {
        private final Worksheet sheet;
        private int row;

        Rows(org.dhatim.fastexcel.Workbook book, String name, String... heads) {
            this.sheet = book.newWorksheet(name);
            add((Object[]) heads);
            sheet.range(0, 0, 0, heads.length - 1).style().bold().set();
            sheet.freezePane(0, 1);
        }

        void add(@Nullable Object... cells) {
            for (int column = 0; column < cells.length; column++) {
                Object cell = cells[column];
                if (cell instanceof Integer || cell instanceof Long) {
                    sheet.value(row, column, ((Number) cell).longValue());
                } else if (cell instanceof SheetNumber number) {
                    sheet.value(row, column, number.value());
                    sheet.style(row, column).format(number.format()).set();
                } else if (cell instanceof Number number) {
                    SheetNumber plain = SheetNumber.plain(number.doubleValue());
                    sheet.value(row, column, plain.value());
                    sheet.style(row, column).format(plain.format()).set();
                } else if (cell instanceof LocalDateTime at) {
                    sheet.value(row, column, at);
                    sheet.style(row, column).format("yyyy-mm-dd hh:mm").set();
                } else if (cell instanceof Boolean said) {
                    sheet.value(row, column, said ? "yes" : "no");
                } else if (cell != null) {
                    sheet.value(row, column, cell.toString());
                }
            }
            row++;
        }
    }

    private void trial(Optional<ReportTold> told) {
        Rows rows = new Rows(book, "Trial", "What", "Value");
        rows.add("question", record.trial().question());
        told.ifPresent(all -> rows.add("plan", PlanSentence.of(all.plan())));
        rows.add("kind", record.trial().protocol().value());
        rows.add("start", local(record.trial().start()));
        rows.add("time zone", record.trial().zone().getId());
        boolean sealed = record.trial().blind() && record.trial().started();
        if (!copied(told) && !sealed) {
            rows.add("seed", record.trial().seed());
        }
        rows.add("number in its store", record.trial().id().value());
        told.ifPresent(all -> {
            rows.add(
                    "as a test", all.audit().grade().label() + ": " + all.mark().words());
            rows.add(
                    "judged at",
                    record.look(all.findings().comparedAt()).map(Look::name).orElse(""));
        });
    }

    private LocalDateTime local(java.time.Instant at) {
        return LocalDateTime.ofInstant(at, record.trial().zone());
    }

    private void answers(ReportTold told) {
        Rows rows =
                new Rows(book, "Answers", "Question", "Asked", "Answer", "Sentence", "What would change it", "Capped");
        for (Findings.Answered answered : told.findings().answers()) {
            var cap = told.mark().cap(answered);
            rows.add(
                    answered.question(),
                    answered.asked(),
                    told.mark().word(answered),
                    answered.verdict().sentence(),
                    answered.verdict().wouldChange(),
                    cap == null ? "" : cap.seen());
        }
    }

    private void sections(ReportTold told) {
        SectionSheets.of(told.findings().sections().stream()
                        .map(section -> new SectionSheets.Told(section.account(record), told.benchOf(section)))
                        .filter(one -> !one.account().parts().isEmpty())
                        .toList())
                .stream()
                .filter(sheet -> !sheet.rows().isEmpty())
                .forEach(sheet -> {
                    Rows rows = new Rows(book, sheet.name(), sheet.heads().toArray(String[]::new));
                    sheet.rows().forEach(row -> rows.add(row.toArray()));
                });
    }

    private void fair(ReportTold told) {
        Rows rows = new Rows(book, "Fair test", "Weight", "Seen", "Why it matters", "Which way", "Next time", "Units");
        for (Fault fault : told.audit().faults()) {
            rows.add(
                    fault.grade().label(),
                    fault.seen(),
                    fault.why(),
                    fault.pushes(),
                    fault.next(),
                    fault.units().stream().map(UnitCode::value).collect(Collectors.joining(" ")));
        }
    }

    /** Whether it was copied from a notebook, which tells no places and no containers. */
    private static boolean copied(Optional<ReportTold> told) {
        return told.filter(all -> all.plan().copied()).isPresent();
    }

    private void units(Optional<Findings> findings, boolean copied) {
        List<FigureKind> kinds = findings.map(Findings::kinds).orElse(List.of());
        List<String> heads = new ArrayList<>(Arrays.asList(
                "Unit", "Treatment", "Replicate", "Block", "Bench", "Row", "Column", "Filled, mL", "Lost"));
        kinds.forEach(kind -> heads.add(kind.label()
                + (kind.unit().symbol().isEmpty() || kind.unit() == UnitOfMeasure.PERCENT
                        ? ""
                        : ", " + kind.unit().symbol())));
        Rows rows = new Rows(book, "Units", heads.toArray(String[]::new));
        Map<UnitCode, UnitResult> results = findings.map(Findings::units).orElse(List.of()).stream()
                .collect(Collectors.toMap(one -> one.unit().code(), Function.identity()));
        for (ExperimentalUnit unit : record.units()) {
            List<@Nullable Object> cells = new ArrayList<>(
                    List.of(unit.code().value(), record.treatment(unit).name(), unit.replicate()));
            cells.addAll(
                    copied
                            ? Collections.<@Nullable Object>nCopies(5, null)
                            : List.of(
                                    unit.block(),
                                    record.bench(unit.position().bench()).name(),
                                    unit.position().row(),
                                    unit.position().column(),
                                    unit.filledVolumeMl()));
            cells.add(record.ended(unit.code()).isPresent());
            UnitResult result = results.get(unit.code());
            for (FigureKind kind : kinds) {
                cells.add(
                        result == null
                                ? null
                                : result.figure(kind)
                                        .map(figure -> SheetNumber.of(figure.value(), kind.unit()))
                                        .orElse(null));
            }
            rows.add(cells.toArray());
        }
    }

    private void readings() {
        Rows rows = new Rows(
                book,
                "Readings",
                "Number",
                "Unit",
                "Treatment",
                "Look",
                "Endpoint",
                "Reading of several",
                "Value",
                "In",
                "As typed",
                "Taken",
                "Station",
                "Person",
                "How",
                "Corrects number",
                "Why",
                "Stands");
        for (Reading reading : record.readings()) {
            Endpoint endpoint = record.endpoint(reading.ref().endpoint());
            rows.add(
                    reading.id().value(),
                    reading.ref().unit().value(),
                    record.unit(reading.ref().unit())
                            .map(unit -> record.treatment(unit).name())
                            .orElse(""),
                    record.look(reading.ref().look()).map(Look::name).orElse(""),
                    endpoint.name(),
                    reading.ref().subReading(),
                    reading.value() == null ? null : SheetNumber.fixed(reading.value(), endpoint.decimals()),
                    endpoint.unit().symbol(),
                    reading.typedText(),
                    local(reading.takenAt()),
                    reading.station(),
                    reading.person(),
                    reading.instrument().label(),
                    reading.supersedes() == null ? null : reading.supersedes().value(),
                    reading.reason() == null ? null : reading.reason().label(),
                    record.current(reading.ref())
                            .map(current -> current.id().equals(reading.id()))
                            .orElse(false));
        }
    }
}
