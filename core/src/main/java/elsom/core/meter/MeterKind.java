package elsom.core.meter;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.UnitOfMeasure;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A meter with the solutions it is checked in, the first two always, the third if there is one. */
public enum MeterKind {
    PH("pH meter", Dimension.ACIDITY, UnitOfMeasure.PH, List.of(4.01, 7.00, 10.01)),
    EC("EC meter", Dimension.CONDUCTIVITY, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, List.of(1.413, 12.88));

    private final String label;
    private final Dimension dimension;
    private final UnitOfMeasure unit;
    private final List<Double> solutions;

    MeterKind(String label, Dimension dimension, UnitOfMeasure unit, List<Double> solutions) {
        this.label = label;
        this.dimension = dimension;
        this.unit = unit;
        this.solutions = solutions;
    }

    public String label() {
        return label;
    }

    public UnitOfMeasure unit() {
        return unit;
    }

    /** Buffers at 25 °C, or standards of potassium chloride in mS/cm. */
    public List<Double> solutions() {
        return solutions;
    }

    /** The meter that reads such a quantity. */
    public static Optional<MeterKind> of(Dimension dimension) {
        return Arrays.stream(values())
                .filter(kind -> kind.dimension == dimension)
                .findFirst();
    }
}
