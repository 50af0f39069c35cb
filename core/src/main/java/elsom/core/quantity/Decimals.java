package elsom.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/** Numbers as text: a point for decimals, no thousands separator, a proper minus sign. */
public final class Decimals {
    private static final double SMALLEST_P = 0.0001;

    private Decimals() {}

    /** Exactly this many decimals, as in a column of figures. */
    public static String fixed(double value, int decimals) {
        return minus(BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP));
    }

    /** At most this many decimals, trailing zeros dropped. */
    public static String upTo(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return minus(rounded.scale() < 0 ? rounded.setScale(0) : rounded);
    }

    /** A fraction as a percentage without its sign: 0.412 is "41" or "41.2". */
    public static String percent(double fraction, int decimals) {
        return fixed(fraction * 100, decimals);
    }

    /** This many significant digits, trailing zeros dropped; whole numbers keep all theirs. */
    public static String significant(double value, int digits) {
        BigDecimal number = BigDecimal.valueOf(value).round(new MathContext(digits, RoundingMode.HALF_UP));
        BigDecimal plain = number.stripTrailingZeros();
        return minus(plain.scale() < 0 ? plain.setScale(0) : plain);
    }

    /** Three digits, trailing zeros dropped, and six decimals at most. */
    public static String threeDigits(double value) {
        double size = Math.abs(value);
        int decimals = size == 0 ? 0 : Math.max(0, 2 - (int) Math.floor(Math.log10(size)));
        return upTo(value, Math.min(decimals, 6));
    }

    /** A probability as it is read in a table: two decimals, four below 0.01, and no smaller than can be told. */
    public static String p(double p) {
        return p < SMALLEST_P ? "< 0.0001" : fixed(p, p < 0.01 ? 4 : 2);
    }

    private static String minus(BigDecimal number) {
        return number.signum() < 0 ? "−" + number.negate().toPlainString() : number.toPlainString();
    }
}
