package elsom.core.sim;

import elsom.core.mix.Mix;
import java.util.Map;
import java.util.Random;

/**
 * What the water in a medium on the simulated bench really carries.
 *
 * @param ph of the medium
 * @param ecMs of the saturated medium, mS/cm
 * @param nitrogenPpm mg/L
 * @param residue of a weedkiller of the auxin type, in shares of a badly loaded lot
 */
public record SolutionTruth(double ph, double ecMs, double nitrogenPpm, double residue) {
    private static final Map<String, SolutionTruth> KNOWN = Map.ofEntries(
            Map.entry("wood fibre", new SolutionTruth(5.2, 0.4, 45, 0)),
            Map.entry("composted bracken", new SolutionTruth(4.9, 0.6, 70, 0)),
            Map.entry("rice hulls", new SolutionTruth(6.4, 0.4, 40, 0)),
            Map.entry("crushed brick 2–8 mm", new SolutionTruth(7.6, 0.3, 20, 0)),
            Map.entry("leaf mould", new SolutionTruth(6.3, 1.1, 100, 0)),
            Map.entry("foamed-glass grit", new SolutionTruth(8.1, 0.2, 10, 0)),
            Map.entry("sheep-wool compost", new SolutionTruth(6.9, 1.9, 240, 0)),
            Map.entry("gw-31", new SolutionTruth(6.8, 1.6, 150, 0)),
            Map.entry("green-waste compost gw-31", new SolutionTruth(6.8, 1.6, 150, 0)),
            Map.entry("gw-32", new SolutionTruth(6.8, 1.6, 150, 1)),
            Map.entry("green-waste compost gw-32", new SolutionTruth(6.8, 1.6, 150, 1)));

    private static final Materials<SolutionTruth> ALL =
            new Materials<>(KNOWN, SolutionTruth::ofMix, SolutionTruth::drawn);

    /** The truth of a named material or mix; one not known gets its own, always the same. */
    public static SolutionTruth of(String material) {
        return ALL.of(material);
    }

    private static SolutionTruth drawn(Random random) {
        return new SolutionTruth(
                5.6 + 1.4 * random.nextDouble(), 0.7 + random.nextDouble(), 70 + 90 * random.nextDouble(), 0);
    }

    /** By parts of volume; pH too, as media hold theirs against each other. */
    private static SolutionTruth ofMix(Mix mix) {
        double ph = 0;
        double ecMs = 0;
        double nitrogenPpm = 0;
        double residue = 0;
        for (Mix.Part part : mix.parts()) {
            double share = part.parts() / mix.total();
            SolutionTruth truth = of(part.material());
            ph += share * truth.ph;
            ecMs += share * truth.ecMs;
            nitrogenPpm += share * truth.nitrogenPpm;
            residue += share * truth.residue;
        }
        return new SolutionTruth(ph, ecMs, nitrogenPpm, residue);
    }
}
