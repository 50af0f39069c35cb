package elsom.core.sim;

import elsom.core.mix.Mix;
import java.util.Map;
import java.util.Random;

/**
 * What a medium is really like on the simulated bench.
 *
 * @param bulkDensity dry, g/mL
 * @param capacityAt6Cm water by volume after draining at 6 cm depth
 * @param wetFootCm added height of a saturated foot, spread over the depth: capacity changes by this over depth
 * @param ratePerHour k of its dry-down in the sun
 * @param keeps share of its water it never loses on a bench
 */
public record MediumTruth(
        double bulkDensity, double capacityAt6Cm, double wetFootCm, double ratePerHour, double keeps) {
    private static final double CLOSER = 1.08;

    private static final MediumTruth GREEN_WASTE = new MediumTruth(0.46, 0.56, 1.0, 0.0100, 0.14);

    private static final Map<String, MediumTruth> KNOWN = Map.ofEntries(
            Map.entry("wood fibre", new MediumTruth(0.092, 0.55, 1.1, 0.0078, 0.12)),
            Map.entry("composted bracken", new MediumTruth(0.21, 0.58, 1.3, 0.0092, 0.10)),
            Map.entry("rice hulls", new MediumTruth(0.105, 0.23, 0.6, 0.0195, 0.05)),
            Map.entry("crushed brick 2–8 mm", new MediumTruth(1.02, 0.25, 0.5, 0.0170, 0.06)),
            Map.entry("green-waste compost gw-31", GREEN_WASTE),
            Map.entry("gw-31", GREEN_WASTE),
            Map.entry("gw-32", GREEN_WASTE),
            Map.entry("leaf mould", new MediumTruth(0.26, 0.57, 1.2, 0.0093, 0.11)),
            Map.entry("foamed-glass grit", new MediumTruth(0.24, 0.19, 0.4, 0.0230, 0.04)),
            Map.entry("sheep-wool compost", new MediumTruth(0.33, 0.61, 1.2, 0.0080, 0.13)));

    private static final Materials<MediumTruth> ALL = new Materials<>(KNOWN, MediumTruth::ofMix, MediumTruth::drawn);

    /** The truth of a named material; one not known gets its own, always the same. */
    public static MediumTruth of(String material) {
        return ALL.of(material);
    }

    private static MediumTruth drawn(Random random) {
        return new MediumTruth(
                0.1 + 0.5 * random.nextDouble(),
                0.25 + 0.35 * random.nextDouble(),
                0.5 + random.nextDouble(),
                0.006 + 0.014 * random.nextDouble(),
                0.05 + 0.1 * random.nextDouble());
    }

    /** Its parts by volume, packed closer: fine parts fill the pores of coarse ones. */
    private static MediumTruth ofMix(Mix mix) {
        double density = 0;
        double capacity = 0;
        double foot = 0;
        double rate = 0;
        double keeps = 0;
        for (Mix.Part part : mix.parts()) {
            double share = part.parts() / mix.total();
            MediumTruth truth = of(part.material());
            density += CLOSER * share * truth.bulkDensity;
            capacity += CLOSER * share * truth.capacityAt6Cm;
            foot += share * truth.wetFootCm;
            rate += share * truth.ratePerHour;
            keeps += share * truth.keeps;
        }
        return new MediumTruth(density, Math.min(0.9, capacity), foot, rate, keeps);
    }

    /** Water by volume after draining in a container of this depth. */
    public double capacity(double depthCm) {
        double atSix = capacityAt6Cm - wetFootCm * 0.25 / 6;
        return Math.min(0.95, atSix + wetFootCm * 0.25 / depthCm);
    }
}
