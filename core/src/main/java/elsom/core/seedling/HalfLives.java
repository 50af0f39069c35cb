package elsom.core.seedling;

/**
 * The range in which a substance's half-life lies, and what of it is left: first-order decay, {@code 0.5^(t/DT50)}.
 *
 * @param shortestDays above 0
 * @param longestDays no less than the shortest
 */
public record HalfLives(double shortestDays, double longestDays) {
    /** Of acids and contact sprays, to those that stay weeks in cold soil. */
    public static final HalfLives USUAL = new HalfLives(2, 14);

    /** Ten years: no half-life that a plant-back calendar can answer for. */
    public static final double LONGEST_DAYS = 3650;

    public HalfLives {
        if (!(shortestDays > 0 && shortestDays <= longestDays && longestDays <= LONGEST_DAYS)) {
            throw new IllegalArgumentException(
                    "half-lives must be above 0 and in order, got " + shortestDays + " and " + longestDays + " days");
        }
    }

    /** What is left after some days, as shares of what there was. */
    public record Left(double least, double most) {}

    public Left after(double days) {
        return new Left(Math.pow(0.5, days / shortestDays), Math.pow(0.5, days / longestDays));
    }
}
