package elsom.core.trial;

import elsom.core.quantity.Bounds;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Something that makes part of a bench unlike the rest: rows and columns 1-based, both ends counted. */
public record Influence(Kind kind, int fromRow, int toRow, int fromColumn, int toColumn) {
    private static final int FARTHEST = 200;
    private static final Pattern TYPED = Pattern.compile(
            "(draught|draft|heat mat|shared saucer|saucer|mat|drip|shade)\\s+rows?\\s+(\\d{1,3})(?:\\s*[-–]\\s*(\\d{1,3}))?"
                    + "(?:,?\\s+columns?\\s+(\\d{1,3})(?:\\s*[-–]\\s*(\\d{1,3}))?)?");

    /** What it is. */
    public enum Kind {
        DRAUGHT("draught"),
        HEAT_MAT("heat mat"),
        DRIP("drip"),
        SHADE("shade"),
        /** One saucer, tray of water or wet mat for all that stand in it. */
        SHARED_WATER("shared saucer");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        private static Kind spelled(String word) {
            return switch (word) {
                case "draught", "draft" -> DRAUGHT;
                case "heat mat", "mat" -> HEAT_MAT;
                case "drip" -> DRIP;
                case "shared saucer", "saucer" -> SHARED_WATER;
                default -> SHADE;
            };
        }
    }

    public Influence {
        if (fromRow < 1
                || fromColumn < 1
                || toRow < fromRow
                || toColumn < fromColumn
                || toRow > Bounds.PLACES_ALONG
                || toColumn > Bounds.PLACES_ALONG) {
            throw new IllegalArgumentException("rows and columns run from 1 to " + Bounds.PLACES_ALONG + ", got rows "
                    + fromRow + "–" + toRow + ", columns " + fromColumn + "–" + toColumn);
        }
    }

    public boolean covers(BenchPosition at) {
        return at.row() >= fromRow && at.row() <= toRow && at.column() >= fromColumn && at.column() <= toColumn;
    }

    /**
     * Reads lines such as "heat mat rows 1-2, columns 3-6"; without columns it runs along the whole bench.
     *
     * @throws IllegalArgumentException naming the line that can't be read
     */
    public static List<Influence> parse(String text) {
        return Arrays.stream(text.split("[\\r\\n;]+"))
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .map(Influence::line)
                .toList();
    }

    private static Influence line(String line) {
        Matcher matcher = TYPED.matcher(line.toLowerCase(Locale.ROOT));
        if (!matcher.matches()) {
            throw new IllegalArgumentException(
                    "can't read “" + line + "”; accepted: heat mat rows 1-2, columns 3-6, or draught row 1");
        }
        int fromRow = Integer.parseInt(matcher.group(2));
        int toRow = matcher.group(3) == null ? fromRow : Integer.parseInt(matcher.group(3));
        int fromColumn = matcher.group(4) == null ? 1 : Integer.parseInt(matcher.group(4));
        int toColumn = matcher.group(5) != null
                ? Integer.parseInt(matcher.group(5))
                : matcher.group(4) == null ? FARTHEST : fromColumn;
        return new Influence(Kind.spelled(matcher.group(1)), fromRow, toRow, fromColumn, toColumn);
    }

    /** As {@link #parse} reads it. */
    public static String text(List<Influence> influences) {
        return influences.stream()
                .map(i -> i.kind().label() + " rows " + i.fromRow() + "-" + i.toRow()
                        + (i.fromColumn() == 1 && i.toColumn() == FARTHEST
                                ? ""
                                : ", columns " + i.fromColumn() + "-" + i.toColumn()))
                .collect(Collectors.joining("; "));
    }
}
