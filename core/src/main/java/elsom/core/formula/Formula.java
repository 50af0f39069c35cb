package elsom.core.formula;

import elsom.core.quantity.Powers;
import java.util.Set;
import java.util.function.Function;

/**
 * How an endpoint is worked out from others, as it was written: "height / stem-diameter". Endpoints stand by their codes, at
 * the same look; {@link OverTime} is what can be made of their course, and {@link Known} what else a unit has.
 *
 * @param text what was written
 */
public record Formula(String text) {
    public static final int LONGEST = 200;

    /**
     * A formula that can be read.
     *
     * @throws IllegalArgumentException with what is wrong and what would be right
     */
    public Formula {
        if (text == null || text.isBlank() || text.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "A formula of 1 to " + LONGEST + " characters. Accepted: height / stem-diameter.");
        }
        text = text.strip();
        new Grammar(text).expression();
    }

    /** What is to be worked out. */
    public Expression expression() {
        return new Grammar(text).expression();
    }

    /** Codes of endpoints, and names of what a unit has, that stand in it. */
    public Set<String> names() {
        return expression().names();
    }

    /** Whether it waits for something to come, which may not have come yet. */
    public boolean waits() {
        return expression() instanceof Expression.Course course && course.what() == OverTime.DAYS_TO;
    }

    /**
     * What the result is made of.
     *
     * @param known what each name is made of
     * @throws IllegalArgumentException if unlike things are added, or a logarithm is taken of what has a unit
     */
    public Powers powers(Function<String, Powers> known) {
        return expression().powers(known);
    }
}
