package elsom.core.truth;

/**
 * What plants truly live in, and what that comes to.
 *
 * @param harm what a drench or dip does in the end, 0 none to 1 dead
 * @param harmBegins day on which it begins to show
 * @param harmOver day on which all of it shows
 */
public record Living(Species species, Surroundings at, double harm, double harmBegins, double harmOver) {
    private static final double SCALE = 10;

    public static Living in(Species species, Surroundings at) {
        return new Living(species, at, 0, 0, 1);
    }

    /** The same under other light. */
    public Living lit(double factor) {
        return new Living(species, at.light(at.light() * factor), harm, harmBegins, harmOver);
    }

    /** The same with a share of the water. */
    public Living watered(double share) {
        return new Living(species, at.water(at.water() * share), harm, harmBegins, harmOver);
    }

    /** Growth as a factor of that of a plant that wants nothing. */
    public double growth() {
        return Math.exp(Growth.log(at, species)) * (1 - harm);
    }

    /** What an eye would score on a day, if it scored without steps. */
    public double injury(double days) {
        double other = Growth.injury(at, species, days) / SCALE;
        return SCALE * (1 - (1 - other) * (1 - harm * Shapes.come(days, harmBegins, harmOver)));
    }

    /**
     * A length, or what else goes as one, on a day: lengths go with the square root of mass.
     *
     * @param full that of a plant that wants nothing, on its last day
     */
    public double stature(double full, double days, double lastDay) {
        return full * Math.sqrt(growth()) * Growth.size(days, lastDay);
    }
}
