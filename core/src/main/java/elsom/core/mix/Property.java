package elsom.core.mix;

import java.util.Arrays;
import java.util.Optional;

/** What a mix is judged by, and what its parts give it by their share of the volume: predicted, not measured. */
public enum Property {
    WATER("water", "Water held after draining", "%", 100),
    AIR("air", "Air after draining", "%", 100),
    DENSITY("density", "Bulk density", "g/L", 5000),
    EC("ec", "EC of the 1:5 extract", "mS/cm", 50),
    NITROGEN("nitrogen", "Nitrogen in it", "mg/L", 50_000);

    private final String code;
    private final String label;
    private final String unit;
    private final double most;

    Property(String code, String label, String unit, double most) {
        this.code = code;
        this.label = label;
        this.unit = unit;
        this.most = most;
    }

    public String code() {
        return code;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return unit;
    }

    /** The most that can be true. */
    public double most() {
        return most;
    }

    public static Optional<Property> called(String code) {
        return Arrays.stream(values())
                .filter(property -> property.code.equals(code))
                .findFirst();
    }
}
