package elsom.core.plan;

import elsom.core.quantity.Bounds;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;

/**
 * What a unit is and what goes into it.
 *
 * @param container the usual one
 * @param volumeMl filled volume; 0 fills to the brim
 * @param plants plants measured in a unit; 0 when nothing grows
 * @param seeds seeds sown in a unit; 0 when nothing is sown
 * @param thousandSeedG mass of a thousand seeds in g; 0 when unknown
 * @param settling share of loose volume that mixing and tapping take away
 * @param spare share that is made, sown or filled in addition
 * @param doseMl of drench, feed or solution a unit gets at a time; 0 for none
 */
public record Pots(
        Container container,
        double volumeMl,
        int plants,
        int seeds,
        double thousandSeedG,
        double settling,
        double spare,
        double doseMl) {
    public static final int MOST_PLANTS = 1000;
    public static final int MOST_SEEDS = 10_000;
    public static final double USUAL_SETTLING = 0.15;
    public static final double USUAL_SPARE = 0.10;

    public Pots {
        Bounds.present("a container", container);
        Bounds.number("filled volume in mL", volumeMl, 0, ExperimentalUnit.LARGEST_ML);
        Bounds.count("plants in a unit", plants, 0, MOST_PLANTS);
        Bounds.count("seeds in a unit", seeds, 0, MOST_SEEDS);
        Bounds.number("the mass of a thousand seeds in g", thousandSeedG, 0, 5000);
        Bounds.number("settling as a share", settling, 0, 0.6);
        Bounds.number("spare as a share", spare, 0, 1);
        Bounds.number("a dose in mL", doseMl, 0, ExperimentalUnit.LARGEST_ML);
    }

    public static Pots of(Container container) {
        return new Pots(container, 0, 0, 0, 0, USUAL_SETTLING, USUAL_SPARE, 0);
    }
}
