package elsom.core.truth;

/** The curves that responses follow. Pure sums; each gives a factor, 1 where nothing is lost. */
public final class Shapes {
    private Shapes() {}

    /**
     * Rising to 1, each step of a scarce thing doing less than the one before (Mitscherlich 1909).
     *
     * @param half of what is needed for half of the growth, in the unit of the amount
     */
    public static double saturating(double amount, double half) {
        return -Math.expm1(-Math.log(2) * Math.max(0, amount) / half);
    }

    /** Rising to 1 in proportion at first (Michaelis and Menten 1913), as carbon gain does with light. */
    public static double hyperbolic(double amount, double half) {
        return Math.max(0, amount) / (Math.max(0, amount) + half);
    }

    /** 1 up to a threshold, then falling along a line (Maas and Hoffman 1977); never below 0.02. */
    public static double beyond(double amount, double threshold, double lossPerUnit) {
        return Math.max(0.02, 1 - lossPerUnit * Math.max(0, amount - threshold));
    }

    /** 1 at the best amount, falling like a bell on both sides; a width away 0.61 is left. */
    public static double bell(double amount, double best, double width) {
        double away = (amount - best) / width;
        return Math.exp(-away * away / 2);
    }

    /**
     * The share of the effect that a dose has, 0 to 1: log-logistic (Finney 1971).
     *
     * @param half dose of half the effect
     * @param slope how steeply it comes, above 0
     */
    public static double doseEffect(double dose, double half, double slope) {
        return dose <= 0 ? 0 : 1 / (1 + Math.pow(half / dose, slope));
    }

    /** The share of an effect that has come by a day: none before it begins, all when it is over, in a line between. */
    public static double come(double days, double begins, double over) {
        return Math.min(1, Math.max(0, (days - begins) / Math.max(1e-9, over - begins)));
    }
}
