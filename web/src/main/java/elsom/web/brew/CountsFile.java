package elsom.web.brew;

import elsom.core.brew.BrewCounts;
import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.ReadingLimits;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A laboratory's counts as they were pasted or sent: a row a sample, a column a count. Columns are told apart by what the store
 * knows, else by what somebody chose for them.
 *
 * @param headers as the laboratory calls them
 * @param told what each means: "sample", a count's endpoint, or "leave"; headers nobody told yet are missing
 */
record CountsFile(List<String> headers, List<List<String>> rows, Map<String, String> told) {
    static final String SAMPLE = "sample";
    static final String LEAVE = "leave";

    /** A count to enter. */
    record Count(ReadingRef ref, double value, String text) {}

    /** What can be entered, or everything that is wrong. */
    record Checked(List<Count> counts, List<String> problems) {}

    /**
     * Reads a table; empty when it is none.
     *
     * @param known what columns are called, by header without regard to case
     */
    static Optional<CountsFile> read(String text, Map<String, String> known) {
        String first = text.lines().findFirst().orElse("");
        char mark = first.contains("\t") ? '\t' : first.contains(";") ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(mark)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            List<CSVRecord> all = parser.getRecords();
            if (all.size() < 2 || all.get(0).size() < 2 || all.size() > ReadingLimits.COUNTS) {
                return Optional.empty();
            }
            List<String> headers = all.get(0).toList();
            Map<String, String> told = new LinkedHashMap<>();
            headers.forEach(header -> {
                String what = known.get(header);
                if (what != null) {
                    told.put(header, what);
                }
            });
            return Optional.of(new CountsFile(
                    headers,
                    all.subList(1, all.size()).stream().map(CSVRecord::toList).toList(),
                    told));
        } catch (IOException | java.io.UncheckedIOException notATable) {
            return Optional.empty();
        }
    }

    /** Columns that nobody has told yet. */
    List<String> untold() {
        return headers.stream().filter(header -> !told.containsKey(header)).toList();
    }

    /** Checks every row; nothing may be entered while there is a problem. */
    Checked checked(TrialRecord record) {
        List<Count> counts = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        int sample = headers.indexOf(headers.stream()
                .filter(header -> SAMPLE.equals(told.get(header)))
                .findFirst()
                .orElse(""));
        if (sample < 0) {
            problems.add("No column says which sample a row is. Choose “sample” for the one with the brews’ codes.");
            return new Checked(List.of(), problems);
        }
        Set<ReadingRef> seen = new HashSet<>();
        for (int row = 0; row < rows.size(); row++) {
            List<String> cells = rows.get(row);
            String line = "Line " + (row + 2) + ": ";
            String code = sample < cells.size() ? cells.get(sample) : "";
            Optional<ExperimentalUnit> unit = record.called(code);
            if (unit.isEmpty()) {
                problems.add(line + "“" + code + "” is no brew of this trial. Accepted: "
                        + record.units().get(0).code() + ".");
                continue;
            }
            for (int column = 0; column < headers.size(); column++) {
                String cell = column < cells.size() ? cells.get(column) : "";
                String what = told.getOrDefault(headers.get(column), LEAVE);
                if (!what.equals(SAMPLE) && !what.equals(LEAVE) && !cell.isEmpty()) {
                    count(record, unit.get(), what, cell, line, seen, counts, problems);
                }
            }
        }
        return new Checked(problems.isEmpty() ? counts : List.of(), problems);
    }

    private static void count(
            TrialRecord record,
            ExperimentalUnit unit,
            String what,
            String cell,
            String line,
            Set<ReadingRef> seen,
            List<Count> counts,
            List<String> problems) {
        Optional<Endpoint> endpoint = BrewCounts.counted(record).stream()
                .filter(one -> one.code().value().equals(what))
                .findFirst();
        Optional<Look> look = endpoint.flatMap(one -> record.looks().stream()
                .filter(each -> each.endpoints().contains(one.code()))
                .reduce((earlier, later) -> later));
        if (look.isEmpty()) {
            problems.add(line + "no look of this trial takes “" + what
                    + "”. Add it under Question, or leave the column out.");
            return;
        }
        double value;
        try {
            value = Double.parseDouble(cell.replace(',', '.'));
        } catch (NumberFormatException notANumber) {
            problems.add(line + "“" + cell + "” is not a number. Accepted: 12.5. Leave a cell empty below the limit.");
            return;
        }
        // Micrograms a millilitre; the endpoint is bounded in its own unit.
        if (!endpoint.orElseThrow().allows(value)) {
            problems.add(line + cell + " µg/mL can’t be. Accepted: 0 to "
                    + Math.round(endpoint.orElseThrow().highest()) + ".");
            return;
        }
        ReadingRef ref = new ReadingRef(
                unit.code(), look.get().number(), endpoint.orElseThrow().code());
        if (!seen.add(ref)) {
            problems.add(line + unit.code() + " has this count twice.");
            return;
        }
        counts.add(new Count(ref, value, cell));
    }
}
