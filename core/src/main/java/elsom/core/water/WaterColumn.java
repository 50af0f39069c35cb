package elsom.core.water;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/**
 * Water in a column of media at container capacity: suction at a height is that height in cm, as free water stands at
 * the base. Means are weighted by the cross-section at each height.
 */
public final class WaterColumn {
    private static final int PANELS = 64;
    private static final GaussIntegratorFactory GAUSS = new GaussIntegratorFactory();

    private WaterColumn() {}

    /** A layer of one medium between two heights above the base, in cm. */
    public record Layer(double bottomCm, double topCm, RetentionCurve curve) {
        public Layer {
            if (!(bottomCm >= 0 && topCm > bottomCm) || Double.isInfinite(topCm)) {
                throw new IllegalArgumentException(
                        "a layer runs upward from 0 or more, got " + bottomCm + " to " + topCm + " cm");
            }
        }
    }

    /** Mean water by volume of a layer; areaCm2 is the cross-section at a height above the base. */
    public static double meanWater(Layer layer, DoubleUnaryOperator areaCm2) {
        return waterMl(layer, areaCm2) / volumeMl(layer, areaCm2);
    }

    /** Mean water by volume of all layers together. */
    public static double meanWater(List<Layer> layers, DoubleUnaryOperator areaCm2) {
        return layers.stream().mapToDouble(layer -> waterMl(layer, areaCm2)).sum()
                / layers.stream().mapToDouble(layer -> volumeMl(layer, areaCm2)).sum();
    }

    /** Water in a layer, mL. */
    public static double waterMl(Layer layer, DoubleUnaryOperator areaCm2) {
        return integral(layer, z -> layer.curve().waterAt(z) * areaCm2.applyAsDouble(z));
    }

    /** Volume of a layer, mL. */
    public static double volumeMl(Layer layer, DoubleUnaryOperator areaCm2) {
        return integral(layer, areaCm2);
    }

    /** Gauss–Legendre on panels that narrow towards the base, where coarse media drain within millimetres. */
    private static double integral(Layer layer, DoubleUnaryOperator f) {
        double height = layer.topCm() - layer.bottomCm();
        double sum = 0;
        for (int i = 0; i < PANELS; i++) {
            double from = layer.bottomCm() + height * Math.pow((double) i / PANELS, 3);
            double to = layer.bottomCm() + height * Math.pow((i + 1.0) / PANELS, 3);
            GaussIntegrator rule = GAUSS.legendre(12, from, to);
            sum += rule.integrate(f::applyAsDouble);
        }
        return sum;
    }
}
