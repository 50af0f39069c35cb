package elsom.core.chemistry;

import elsom.core.stats.Outcome;
import java.util.OptionalDouble;

/**
 * How much of a product brings a medium to a pH, by a titration of the same medium.
 *
 * @param gramsPerLitre of the product that is used, after its neutralising value
 * @param low and {@code high}: the amounts for a pH as far off as the jars' mean can be; empty where that goes beyond what
 *     was tested
 * @param nearEnd whether the target lies within a quarter of a pH of the last that was reached
 */
public record LimeDose(double gramsPerLitre, OptionalDouble low, OptionalDouble high, boolean nearEnd) {
    /** Pure calcium carbonate, in percent. */
    public static final double PURE = 100;

    private static final double NEAR = 0.25;

    /**
     * The dose for a target.
     *
     * @param halfWidth of the 95 % interval of an amount's mean pH; 0 where nobody knows
     * @param testedPercent calcium carbonate equivalent of the product in the jars
     * @param usedPercent of the product that will be used; 1 to 200
     * @return not estimable outside the tested range
     */
    public static Outcome<LimeDose> of(
            Titration titration, double targetPh, double halfWidth, double testedPercent, double usedPercent) {
        if (!(usedPercent >= 1 && usedPercent <= 200) || !(testedPercent >= 1 && testedPercent <= 200)) {
            throw new IllegalArgumentException(
                    "a calcium carbonate equivalent is 1 to 200 %, got " + testedPercent + " and " + usedPercent);
        }
        double stronger = testedPercent / usedPercent;
        double first = titration.meanPh().get(0);
        double last = titration.meanPh().get(titration.meanPh().size() - 1);
        return titration
                .dose(targetPh)
                .then(grams -> Outcome.found(new LimeDose(
                        grams * stronger,
                        scaled(titration.dose(targetPh - (last > first ? halfWidth : -halfWidth)), stronger),
                        scaled(titration.dose(targetPh + (last > first ? halfWidth : -halfWidth)), stronger),
                        Math.abs(last - targetPh) < NEAR)));
    }

    /** What a volume of medium needs, in grams. */
    public double gramsFor(double millilitres) {
        return gramsPerLitre * millilitres / 1000;
    }

    private static OptionalDouble scaled(Outcome<Double> grams, double stronger) {
        return grams.asOptional()
                .map(found -> OptionalDouble.of(found * stronger))
                .orElse(OptionalDouble.empty());
    }
}
