package elsom.web.bench;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Typed;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Refill;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An amount for each unit, as typed.
 *
 * @param treatment whose units get it; 0 for all
 * @param millilitres as understood; 0 while it is not
 */
record WaterForm(
        GivenKind kind,
        String what,
        String amount,
        int treatment,
        UUID token,
        double millilitres,
        @Nullable Map<String, String> found) {
    static final WaterForm EMPTY = new WaterForm(GivenKind.WATER, "", "", 0, UUID.randomUUID(), 0, Map.of());

    /** With what can't be, by field. */
    WaterForm checked() {
        Map<String, String> problems = new LinkedHashMap<>();
        Typed typed = Refill.amount(amount);
        double ml = typed instanceof Typed.Understood understood
                ? understood.stored().value()
                : 0;
        if (typed instanceof Typed.Refused refused) {
            problems.put("amount", refused.message());
        } else if (!(ml >= 0.01 && ml <= Given.MOST_ML)) {
            problems.put("amount", "From 0.01 mL to 50 L a unit. Accepted: 50 mL, or 338 - 301 from below");
        }
        if (what.strip().length() > Bounds.NAME) {
            problems.put("what", "At most " + Bounds.NAME + " characters. Accepted: kelp feed, 2 mL/L");
        } else if (kind != GivenKind.WATER && what.isBlank()) {
            problems.put("what", "Which, and how strong? Accepted: kelp feed, 2 mL/L");
        }
        return new WaterForm(kind, what, amount, treatment, token, ml, problems);
    }

    Map<String, String> problems() {
        return found == null ? Map.of() : found;
    }
}
