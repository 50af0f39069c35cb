package elsom.core.trial;

import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.Typed;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.seedling.InjuryScore;
import java.util.Optional;
import java.util.regex.Matcher;

/** What was made of a reading somebody typed, at the bench or in a file: what its endpoint can have. */
public final class TypedReading {
    private TypedReading() {}

    /** Reads "48.5 g", a total with its tare, "1.85 at 18 °C", "7 of 10" for a count, or words; refuses what the endpoint can't have, with the range it can. */
    public static Typed of(String text, Endpoint endpoint) {
        if (endpoint.counting() == Counting.WORDS) {
            return words(text, endpoint);
        }
        Matcher counted = CountedOf.TYPED.matcher(text.strip());
        if (endpoint.counting() == Counting.COUNT_OF && counted.matches()) {
            return counted(text, endpoint, counted);
        }
        if (endpoint.takesSymptoms()) {
            Optional<InjuryScore> score = InjuryScore.typed(text);
            if (score.isPresent() && text.strip().length() <= Reading.LONGEST_TEXT) {
                return scored(text, endpoint, score.get());
            }
        }
        return number(text, text, endpoint);
    }

    private static Typed words(String text, Endpoint endpoint) {
        Quantity some = new Quantity(1, UnitOfMeasure.COUNT);
        return text.isBlank() || text.strip().length() > Reading.LONGEST_TEXT
                ? new Typed.Refused(
                        text,
                        endpoint.name() + " is written in words, at most " + Reading.LONGEST_TEXT + " characters",
                        "root tips brown")
                : new Typed.Understood(text, some, some);
    }

    private static Typed scored(String text, Endpoint endpoint, InjuryScore score) {
        return score.unknown().isPresent()
                ? new Typed.Refused(
                        text, "“" + score.unknown().get() + "” is no symptom known here", "7 cupped, twisted")
                : number(score.number(), text, endpoint);
    }

    private static Typed number(String number, String text, Endpoint endpoint) {
        boolean heaped =
                endpoint.unit().dimension() == Dimension.MASS || endpoint.unit().dimension() == Dimension.VOLUME;
        Typed typed = (heaped
                        ? TotalLessTare.typed(number, endpoint.unit())
                        : AtTemperature.typed(number, endpoint.unit()))
                .orElseGet(() -> Typed.parse(number, endpoint.unit()));
        if (typed instanceof Typed.Understood understood
                && !endpoint.allows(understood.stored().value())) {
            return new Typed.Refused(
                    text,
                    endpoint.name() + " can't be " + understood.stored().show(endpoint.decimals() + 1) + "; it can be "
                            + endpoint.allowed()
                            + (understood.stored().value() > endpoint.highest() && !endpoint.whole()
                                    ? "; perhaps the unit is another"
                                    : ""),
                    example(endpoint));
        }
        return typed;
    }

    private static Typed counted(String text, Endpoint endpoint, Matcher counted) {
        Optional<CountedOf> count = CountedOf.typed(text);
        if (count.isEmpty()) {
            return new Typed.Refused(text, "More than there were in “" + text.strip() + "”", example(endpoint));
        }
        if (count.get().n() > endpoint.size()) {
            return new Typed.Refused(
                    text,
                    endpoint.name() + " is counted among " + endpoint.size() + " at most, got “" + counted.group(2)
                            + "”",
                    example(endpoint));
        }
        Quantity value = new Quantity(count.get().k(), UnitOfMeasure.COUNT);
        return new Typed.Understood(text, value, value);
    }

    private static String example(Endpoint endpoint) {
        return endpoint.counting() == Counting.COUNT_OF
                ? Math.min(7, endpoint.size()) + ", or “" + Math.max(0, endpoint.size() - 2) + " of "
                        + Math.max(1, endpoint.size() - 1) + "” when some are gone"
                : endpoint.whole() ? "7" : "48.5";
    }
}
