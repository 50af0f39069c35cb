package elsom.core.practice;

import elsom.core.truth.Growth;
import elsom.core.truth.Shapes;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;

/**
 * What the plants of a treatment truly live in.
 *
 * @param harm what a drench or dip does in the end, 0 none to 1 dead
 * @param harmBegins day on which it begins to show
 * @param harmOver day on which all of it shows
 */
record Living(Species species, Surroundings at, double harm, double harmBegins, double harmOver) {
    private static final double SCALE = 10;

    static Living in(Species species, Surroundings at) {
        return new Living(species, at, 0, 0, 1);
    }

    /** The same under other light. */
    Living lit(double factor) {
        return new Living(species, at.light(at.light() * factor), harm, harmBegins, harmOver);
    }

    Living watered(double share) {
        return new Living(species, at.water(at.water() * share), harm, harmBegins, harmOver);
    }

    /** Growth as a factor of that of a plant that wants nothing. */
    double growth() {
        return Math.exp(Growth.log(at, species)) * (1 - harm);
    }

    /** What an eye would score on a day, if it scored without steps. */
    double injury(double days) {
        double other = Growth.injury(at, species, days) / SCALE;
        return SCALE * (1 - (1 - other) * (1 - harm * Shapes.come(days, harmBegins, harmOver)));
    }
}
