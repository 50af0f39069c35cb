package elsom.web.bench;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Typed;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Refill;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;

/**
 * An amount for each unit, as typed.
 *
 * @param treatment whose units get it; 0 for all
 */
public record WaterForm(GivenKind kind, String what, String amount, int treatment, UUID token) {
    static final WaterForm EMPTY = new WaterForm(GivenKind.WATER, "", "", 0, new UUID(0, 0));

    public WaterForm {
        what = what.strip();
        amount = amount.strip();
    }

    /**
     * The form as understood.
     *
     * @param problems by field; none when it can be written down
     */
    public record Checked(WaterForm form, double millilitres, Map<String, String> problems) {}

    Checked checked() {
        Map<String, String> problems = new LinkedHashMap<>();
        Typed typed = Refill.amount(amount);
        double ml = typed instanceof Typed.Understood understood
                ? understood.stored().value()
                : 0;
        if (typed instanceof Typed.Refused refused) {
            problems.put("amount", refused.message());
        } else if (!(ml >= Given.LEAST_ML && ml <= Given.MOST_ML)) {
            problems.put("amount", "From 0.01 mL to 50 L a unit. Accepted: 50 mL, or 338 - 301 from below");
        }
        if (what.length() > Bounds.NAME) {
            problems.put("what", "At most " + Bounds.NAME + " characters. Accepted: kelp feed, 2 mL/L");
        } else if (kind != GivenKind.WATER && what.isEmpty()) {
            problems.put("what", "Which, and how strong? Accepted: kelp feed, 2 mL/L");
        }
        return new Checked(this, ml, problems);
    }
}
