package elsom.core.read;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A measure of somebody's own, weighed or measured once: "a scoop is 40 g, of biochar".
 *
 * @param word what it is called, one of {@link #words}
 * @param size what one holds, g or mL
 * @param of the material it was measured with; may be empty for a volume
 */
public record OwnMeasure(String word, Quantity size, String of) {
    private static final double MOST = 1e6;
    private static final Pattern WEIGHED =
            Pattern.compile("(?i)(?<![a-z])(?:m?g|kg|oz|ounces?|lbs?|pounds?|(?:kilo|milli)?grams?)\\b");
    private static final Pattern FLUID = Pattern.compile("(?i)\\bfl(?:uid)?\\b");

    public OwnMeasure {
        if (!Units.OWN_MEASURES.contains(word)) {
            throw new IllegalArgumentException(
                    "“" + word + "” is no measure of one's own. Accepted: " + String.join(", ", words()));
        }
        Bounds.number("what a " + word + " holds", size.value(), Double.MIN_VALUE, MOST);
        Bounds.line("what it was measured with", of, Bounds.NAME);
        if (size.unit().dimension() == Dimension.MASS && of.isBlank()) {
            throw new IllegalArgumentException("A " + word + " that was weighed weighs otherwise with another material:"
                    + " what was in it? Accepted: biochar");
        }
    }

    /** What one may be called, in order of the alphabet. */
    public static List<String> words() {
        return Units.OWN_MEASURES.stream().sorted().toList();
    }

    /**
     * One that holds so much.
     *
     * @param typed a mass or a volume with its unit
     * @throws IllegalArgumentException saying what can't be read, with an accepted example
     */
    public static OwnMeasure of(String word, String typed, String of) {
        boolean weighed = WEIGHED.matcher(typed).find() && !FLUID.matcher(typed).find();
        UnitOfMeasure unit = weighed ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE;
        if (typed.chars().noneMatch(Character::isLetter)) {
            throw new IllegalArgumentException("How much it holds needs its unit. Accepted: 12 mL, or 40 g");
        }
        Typed size = Typed.parse(typed, unit);
        if (size instanceof Typed.Refused refused) {
            throw new IllegalArgumentException(refused.message("Accepted: 12 mL, or 40 g"));
        }
        return new OwnMeasure(word, ((Typed.Understood) size).stored(), of.strip());
    }

    /** "1 scoop = 40 g, measured with biochar". */
    public String says() {
        return "1 " + word + " = " + Decimals.significant(size.value(), 4) + " "
                + size.unit().symbol() + (of.isEmpty() ? "" : ", measured with " + of);
    }

    /** Whether it stands in what was typed. */
    public boolean in(String typed) {
        return Token.of(typed, true).stream()
                .anyMatch(
                        token -> token.isWord() && Units.singular(token.word()).equals(word));
    }
}
