package elsom.core.trial;

import java.util.regex.Pattern;

/** The short code written on a unit, such as K34; unique within a trial. */
public record UnitCode(String value) implements Comparable<UnitCode> {
    private static final Pattern SHAPE = Pattern.compile("[A-Z][0-9]{2,4}");

    public UnitCode {
        if (!SHAPE.matcher(value).matches()) {
            throw new IllegalArgumentException("a unit code is a letter and two to four digits, got " + value);
        }
    }

    @Override
    public int compareTo(UnitCode other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
