package elsom.core.plan;

import elsom.core.trial.Container;

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
    public static final double USUAL_SETTLING = 0.15;
    public static final double USUAL_SPARE = 0.10;

    public Pots {
        if (!(volumeMl >= 0 && volumeMl <= 1e6) || plants < 0 || seeds < 0 || !(thousandSeedG >= 0)) {
            throw new IllegalArgumentException("volumes, plants and seeds are 0 or more");
        }
        if (!(settling >= 0 && settling <= 0.6) || !(spare >= 0 && spare <= 1) || !(doseMl >= 0 && doseMl <= 1e6)) {
            throw new IllegalArgumentException(
                    "settling is 0 to 60 %, spare 0 to 100 %, got " + settling + " and " + spare);
        }
    }

    public static Pots of(Container container) {
        return new Pots(container, 0, 0, 0, 0, USUAL_SETTLING, USUAL_SPARE, 0);
    }
}
