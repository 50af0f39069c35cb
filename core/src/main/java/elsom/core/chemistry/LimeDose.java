package elsom.core.chemistry;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How much of a product brings a medium to a pH, by a titration of the same medium.
 *
 * @param gramsPerLitre of the product that is used, after its neutralising value
 * @param low and {@code high}: the amounts for a pH as far off as the jars' mean can be, and as the curve can be where pH
 *     jumps between two amounts; empty where that goes beyond what was tested
 * @param testedBelow and {@code testedAbove}: the two amounts it lies between, of the product that is used
 * @param jumps whether pH rises so much more steeply between those than beside them that where it does isn't known
 * @param nearEnd whether the target lies within a quarter of a pH of the last that was reached
 */
public record LimeDose(
        double gramsPerLitre,
        OptionalDouble low,
        OptionalDouble high,
        double testedBelow,
        double testedAbove,
        boolean jumps,
        boolean nearEnd) {
    /** A pH that no meter tells from another. */
    private static final double SURE = 0.1;

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
        double last = titration.meanPh().get(titration.meanPh().size() - 1);
        return titration
                .gap(targetPh)
                .then(gap -> titration
                        .dose(targetPh)
                        .then(grams -> Outcome.found(new LimeDose(
                                grams * stronger,
                                scaled(end(titration, gap, targetPh, halfWidth, false), stronger),
                                scaled(end(titration, gap, targetPh, halfWidth, true), stronger),
                                gap.from() * stronger,
                                gap.to() * stronger,
                                gap.unsure() > Math.max(SURE, halfWidth),
                                Math.abs(last - targetPh) < NEAR))));
    }

    /** One end: where the curve reaches a pH as far off as the mean can be, or as far as it is unsure in the gap. */
    private static OptionalDouble end(
            Titration titration, Titration.Gap gap, double target, double halfWidth, boolean upper) {
        boolean up = gap.phTo() > gap.phFrom() == upper;
        OptionalDouble byScatter = titration.dose(target + (up ? halfWidth : -halfWidth)).asOptional().stream()
                .mapToDouble(Double::doubleValue)
                .findFirst();
        double off = halfWidth + gap.unsure();
        double atEnd = upper ? gap.phTo() : gap.phFrom();
        double inGap = Math.abs(atEnd - target) <= off
                ? upper ? gap.to() : gap.from()
                : titration.dose(target + (up ? off : -off)).asOptional().orElse(upper ? gap.to() : gap.from());
        if (byScatter.isEmpty() || gap.unsure() == 0 || halfWidth == 0) {
            return byScatter;
        }
        return OptionalDouble.of(
                upper ? Math.max(byScatter.getAsDouble(), inGap) : Math.min(byScatter.getAsDouble(), inGap));
    }

    /** What to try next where pH jumps between two amounts; empty where it does not. */
    public Optional<String> untried() {
        String between = Decimals.threeDigits(testedBelow) + " and " + Decimals.threeDigits(testedAbove);
        return jumps
                ? Optional.of("pH changes faster between " + between
                        + " g/L than beside them, and nothing between them was tried: jars of amounts in between would"
                        + " narrow it.")
                : Optional.empty();
    }

    /** What a volume of medium needs, in grams. */
    public double gramsFor(double millilitres) {
        return gramsPerLitre * millilitres / 1000;
    }

    private static OptionalDouble scaled(OptionalDouble grams, double stronger) {
        return grams.isPresent() ? OptionalDouble.of(grams.getAsDouble() * stronger) : OptionalDouble.empty();
    }
}
