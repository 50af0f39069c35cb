package elsom.core.sim;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Instruments that are held to a unit, simulated: each shows what is true of the unit with noise of its own. Like real
 * ones they can be out of power, or off because nobody zeroed them.
 */
public enum HandMeter {
    CALLIPER("calliper", Dimension.LENGTH, UnitOfMeasure.MILLIMETRE, 1, 60, 0.01),
    GREENNESS("leaf-greenness meter", Dimension.COUNT, UnitOfMeasure.COUNT, 1, 34, 0.03),
    LIGHT("light meter", Dimension.LIGHT, UnitOfMeasure.PHOTON_FLUX, 0, 260, 0.02),
    PH("pH meter", Dimension.ACIDITY, UnitOfMeasure.PH, 2, 6.2, 0.005),
    EC("EC meter", Dimension.CONDUCTIVITY, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 2, 1.4, 0.01);

    private static final EndpointCode GREEN = new EndpointCode("greenness");
    private static final double OFF = 0.12;

    private final String label;
    private final Dimension dimension;
    private final UnitOfMeasure unit;
    private final int decimals;
    private final double usual;
    private final double noise;

    HandMeter(String label, Dimension dimension, UnitOfMeasure unit, int decimals, double usual, double noise) {
        this.label = label;
        this.dimension = dimension;
        this.unit = unit;
        this.decimals = decimals;
        this.usual = usual;
        this.noise = noise;
    }

    /** What is wrong with one. */
    public enum Fault {
        NONE("working"),
        NO_POWER("without power"),
        NOT_ZEROED("not zeroed");

        private final String label;

        Fault(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public String label() {
        return label;
    }

    /** The instrument that reads an endpoint; empty where it is counted, weighed or scored. */
    public static Optional<HandMeter> of(Endpoint endpoint) {
        return endpoint.code().equals(GREEN)
                ? Optional.of(GREENNESS)
                : Arrays.stream(values())
                        .filter(meter -> meter != GREENNESS
                                && meter.dimension == endpoint.unit().dimension())
                        .findFirst();
    }

    /**
     * What its display shows, with the unit: "61.4 mm".
     *
     * @param truth of what it is held to, in the endpoint's unit
     * @param seed of its noise
     * @return empty when it has no power
     */
    public Optional<String> shows(double truth, Endpoint endpoint, Fault fault, long seed) {
        if (fault == Fault.NO_POWER) {
            return Optional.empty();
        }
        double off = fault == Fault.NOT_ZEROED ? OFF * usual : 0;
        double shown = (inOwn(truth, endpoint) + off) * (1 + noise * (2 * new SplittableRandom(seed).nextDouble() - 1));
        double within = Math.max(
                inOwn(endpoint.lowest(), endpoint), Math.min(inOwn(endpoint.highest(), endpoint), Math.max(0, shown)));
        return Optional.of((Decimals.fixed(within, decimals) + " " + unit.symbol()).strip());
    }

    private double inOwn(double value, Endpoint endpoint) {
        return new Quantity(value, endpoint.unit()).in(unit).value();
    }
}
