package elsom.core.series;

import java.util.regex.Pattern;

/** What a file writes before the decimals. One file has one sign: a thousand and one thousandth look alike otherwise. */
public enum DecimalSign {
    POINT("point: 0.31", '.'),
    COMMA("comma: 0,31", ',');

    private static final Pattern NUMBER =
            Pattern.compile("[+-]?(?:[0-9]+(?:[.,][0-9]*)?|[.,][0-9]+)(?:[eE][+-]?[0-9]{1,3})?");

    private final String label;
    private final char sign;

    DecimalSign(String label, char sign) {
        this.label = label;
        this.sign = sign;
    }

    public String label() {
        return label;
    }

    /**
     * A number as this file writes it.
     *
     * @throws IllegalArgumentException with what was wrong and what would be accepted
     */
    public double read(String cell) {
        String text = cell.strip().replace('\u2212', '-');
        if (text.startsWith("=")) {
            throw new IllegalArgumentException("“" + clipped(text) + "” is a formula; the file needs its value");
        }
        if (!NUMBER.matcher(text).matches()) {
            throw new IllegalArgumentException("“" + clipped(text) + "” is no number; accepted: 0" + sign + "31");
        }
        char other = this == POINT ? ',' : '.';
        if (text.indexOf(other) >= 0) {
            throw new IllegalArgumentException("“" + clipped(text) + "” has a decimal "
                    + (this == POINT ? "comma" : "point")
                    + ", but the file is read with a decimal " + (this == POINT ? "point" : "comma") + "; accepted: 0"
                    + sign + "31");
        }
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** A cell short enough for a message. */
    static String clipped(String cell) {
        return cell.length() <= 30 ? cell : cell.substring(0, 29) + "…";
    }
}
