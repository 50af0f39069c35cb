package elsom.web.findings;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Two waters and what is drained, as typed, and what of it can't be.
 *
 * @param ecA and {@code ecB}: mS/cm
 * @param drained share of the water that drains, 0 to 1
 */
public record BlendingForm(
        String a, double ecA, String b, double ecB, String drain, double drained, Map<String, String> problems) {
    private static final double LARGEST_EC = 100;

    static BlendingForm read(String a, String b, String drain) {
        Map<String, String> problems = new LinkedHashMap<>();
        return new BlendingForm(
                a.strip(),
                ec(a, "a", problems),
                b.strip(),
                ec(b, "b", problems),
                drain.strip(),
                share(drain, problems),
                problems);
    }

    private static double ec(String text, String field, Map<String, String> problems) {
        Typed typed = Typed.parse(text, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE);
        if (typed instanceof Typed.Understood understood
                && understood.stored().value() >= 0
                && understood.stored().value() <= LARGEST_EC) {
            return understood.stored().value();
        }
        problems.put(
                field,
                typed instanceof Typed.Refused refused
                        ? refused.message() + "."
                        : "An EC from 0 to 100 mS/cm. Accepted: 0.6 mS/cm.");
        return 0;
    }

    private static double share(String text, Map<String, String> problems) {
        if (Typed.parse(text.replace("%", ""), UnitOfMeasure.COUNT) instanceof Typed.Understood understood
                && understood.stored().value() >= 1
                && understood.stored().value() <= 90) {
            return understood.stored().value() / 100;
        }
        problems.put("drain", "A percentage from 1 to 90. Accepted: 30.");
        return 0.3;
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
