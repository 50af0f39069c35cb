package elsom.web.findings;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.seedling.HalfLives;
import java.util.LinkedHashMap;
import java.util.Map;

/** The range of a substance's half-life, as typed, and what of it can't be. */
public record ResidueForm(String shortest, String longest, HalfLives halfLives, Map<String, String> problems) {
    static ResidueForm usual() {
        return read(Decimals.upTo(HalfLives.USUAL.shortestDays(), 1), Decimals.upTo(HalfLives.USUAL.longestDays(), 1));
    }

    static ResidueForm read(String shortest, String longest) {
        Map<String, String> problems = new LinkedHashMap<>();
        double least = days(shortest, "shortest", problems);
        double most = days(longest, "longest", problems);
        if (problems.isEmpty() && least > most) {
            problems.put("longest", "No less than the shortest. Accepted: 30.");
        }
        return new ResidueForm(
                shortest.strip(),
                longest.strip(),
                problems.isEmpty() ? new HalfLives(least, most) : HalfLives.USUAL,
                problems);
    }

    private static double days(String text, String field, Map<String, String> problems) {
        if (Typed.parse(text, UnitOfMeasure.DAY) instanceof Typed.Understood understood
                && understood.stored().value() > 0
                && understood.stored().value() <= HalfLives.LONGEST_DAYS) {
            return understood.stored().value();
        }
        problems.put(field, "Days above 0, up to 3650. Accepted: 21.");
        return 0;
    }

    public String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
