package elsom.core.sim;

import elsom.core.design.RandomDraw;
import elsom.core.quantity.Decimals;

/**
 * What an aerated brew truly does, for the simulated oxygen meter and the demo's log: food is eaten, which takes oxygen; an air stone
 * gives it back faster than a bare hose.
 *
 * @param stone whether finer bubbles are blown
 * @param fed whether it has more food than compost alone
 */
public record BrewTruth(boolean stone, boolean fed, long seed) {
    private static final double SATURATED = 8.7;
    private static final double WARM = 21.5;
    private static final double NOISE = 0.08;
    private static final double PEAK_H = 16;

    /** Dissolved oxygen some hours after the start, mg/L: lowest when what was fed is eaten fastest. */
    public double oxygen(double hours) {
        double eaten = (fed ? 3.4 : 1.6) * Math.exp(-Math.pow((hours - PEAK_H) / 9, 2) / 2);
        return Math.max(0.5, SATURATED - eaten * (stone ? 0.45 : 1)) + noise(hours, 1) * NOISE;
    }

    /** °C: a shed cools at night, and life warms a little. */
    public double temperature(double hours) {
        return WARM + 1.2 * Math.sin((hours - 4) / 24 * 2 * Math.PI) + (fed ? 0.5 : 0) + noise(hours, 2) * 0.1;
    }

    /** The pH falls a little while sugars are eaten. */
    public double ph(double hours) {
        return 7.3 - (fed ? 0.5 : 0.2) * (1 - Math.exp(-hours / 10)) + noise(hours, 3) * 0.03;
    }

    private double noise(double hours, int what) {
        return new RandomDraw(seed * 31 + Math.round(hours * 60) * 7 + what).deviate();
    }

    /** What the oxygen meter's display shows, with the unit. */
    public String shows(double hours) {
        return Decimals.fixed(oxygen(hours), 1) + " mg/L";
    }
}
