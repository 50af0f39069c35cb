package elsom.core.series;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The table a laboratory sends: a row a sample, named by its code, and a column for each thing measured.
 *
 * @param found values, sample by sample
 * @param missing what was asked for and has no column, in words
 * @param unread cells that can't be read, in words; nothing is to be taken while there are any
 */
public record LabTable(List<Found> found, List<String> missing, List<String> unread) {
    private static final List<String> SAMPLES = List.of("sample", "unit", "pot", "code", "plot");
    private static final Set<String> NOTHING = Set.of("", "-", "—", "n/a", "na", "n.a.", "not measured");
    private static final Pattern BELOW = Pattern.compile("[<≤]\\s*(.+)");

    public LabTable {
        found = List.copyOf(found);
        missing = List.copyOf(missing);
        unread = List.copyOf(unread);
    }

    /**
     * What a laboratory found in a sample.
     *
     * @param sample its code as the laboratory writes it
     * @param value in the unit of what is measured; below a limit of detection half of it, as with sensors
     * @param written as the laboratory wrote it, "&lt;0.05" too
     */
    public record Found(String sample, Measurand what, double value, String written) {}

    /**
     * Reads a table.
     *
     * @param head its headings
     * @param rows below them
     * @param codes of the trial's units
     * @param asked what the laboratory was asked for
     */
    public static LabTable of(Headings head, List<List<String>> rows, Set<String> codes, List<Measurand> asked) {
        Draft draft = new Draft();
        int sample = sampleColumn(head.names(), rows, codes);
        if (sample < 0) {
            draft.unread.add("No column names the samples. Accepted: a column “Sample” with codes as on the slip.");
            return draft.done();
        }
        DecimalSign sign = Guess.sign(rows, Columns.of(sample, Columns.NONE));
        for (Measurand what : asked) {
            Optional<Integer> column = column(head.names(), sample, what);
            if (column.isEmpty()) {
                draft.missing.add("No column is headed “" + what.label() + "”, which the slip asks for");
            } else {
                UnitOfMeasure typed = Guess.typed(head.names().get(column.get()), what);
                rows.forEach(row -> draft.cell(row, sample, column.get(), what, typed, sign));
            }
        }
        if (draft.missing.size() == asked.size()) {
            draft.unread.addAll(draft.missing);
        }
        return draft.done();
    }

    private static int sampleColumn(List<String> headings, List<List<String>> rows, Set<String> codes) {
        int headed = -1;
        for (int column = 0; column < headings.size(); column++) {
            int at = column;
            if (rows.stream().anyMatch(row -> row.size() > at && codes.contains(code(row.get(at))))) {
                return column;
            }
            String heading = headings.get(column).toLowerCase(Locale.ROOT);
            if (headed < 0 && SAMPLES.stream().anyMatch(heading::equals)) {
                headed = column;
            }
        }
        return headed;
    }

    private static String code(String cell) {
        return cell.strip().toUpperCase(Locale.ROOT);
    }

    private static Optional<Integer> column(List<String> headings, int sample, Measurand what) {
        for (int column = 0; column < headings.size(); column++) {
            if (column != sample && Measurand.headed(headings.get(column)).equals(Optional.of(what))) {
                return Optional.of(column);
            }
        }
        return Optional.empty();
    }

    /** A table being read. */
    private static final class Draft {
        private final List<Found> found = new ArrayList<>();
        private final List<String> missing = new ArrayList<>();
        private final List<String> unread = new ArrayList<>();
        private final Set<String> seen = new HashSet<>();

        void cell(List<String> row, int sample, int column, Measurand what, UnitOfMeasure typed, DecimalSign sign) {
            String code = row.size() > sample ? code(row.get(sample)) : "";
            String cell = row.size() > column ? row.get(column).strip() : "";
            if (NOTHING.contains(cell.toLowerCase(Locale.ROOT))) {
                return;
            }
            String of = what.label() + " of " + code;
            if (code.isEmpty()) {
                unread.add(what.label() + " " + DecimalSign.clipped(cell) + " has no sample's code beside it.");
            } else if (!seen.add(what + "/" + code)) {
                unread.add(of + " stands there twice. Leave one out.");
            } else {
                Matcher below = BELOW.matcher(cell);
                try {
                    double number = sign.read(below.matches() ? below.group(1) : cell);
                    double kept = new Quantity(number, typed).in(what.unit()).value();
                    boolean half = below.matches() && what.fromNought();
                    if (kept < what.lowest() || kept > what.highest()) {
                        unread.add(of + ": " + DecimalSign.clipped(cell) + " can't be. Is the unit right?");
                    } else {
                        found.add(new Found(code, what, half ? kept / 2 : kept, cell));
                    }
                } catch (IllegalArgumentException odd) {
                    unread.add(of + ": " + odd.getMessage() + ".");
                }
            }
        }

        LabTable done() {
            return new LabTable(found, missing, unread);
        }
    }
}
