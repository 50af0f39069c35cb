package elsom.core.mix;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a material or a mix is judged by. */
public enum Property {
    WATER("water", "Water held after draining", "%", 100),
    AIR("air", "Air after draining", "%", 100),
    DENSITY("density", "Bulk density", "g/L", 5000),
    EC("ec", "EC of the 1:5 extract", "mS/cm", 50),
    NITROGEN("nitrogen", "Nitrogen in it", "mg/L", 50_000),
    PH("ph", "pH", "", 14),
    PRICE("price", "Price of a litre", "", 1_000_000);

    /** What a mix has in proportion to its parts by volume. */
    private static final List<Property> MIXING = List.of(WATER, AIR, DENSITY, EC, NITROGEN);

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

    /** Whether it depends on how deep the container is. */
    public boolean byDepth() {
        return this == WATER || this == AIR;
    }

    /** What a mix has in proportion to its parts by volume, and can be asked to have; pH is none of them. */
    public static List<Property> mixing() {
        return MIXING;
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
