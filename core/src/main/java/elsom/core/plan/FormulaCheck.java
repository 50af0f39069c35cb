package elsom.core.plan;

import elsom.core.formula.Formula;
import elsom.core.formula.Known;
import elsom.core.quantity.Powers;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** Whether a formula can be worked out of a plan's measures, and gives what its unit says. */
public final class FormulaCheck {
    private static final int FEW = 3;

    private FormulaCheck() {}

    /** Why a measure's own formula can't be worked out; empty when it can, or when it has none. */
    public static Optional<String> problem(List<Measure> all, Measure own) {
        return own.formula() == null
                ? Optional.empty()
                : problem(
                        all.subList(0, Math.max(0, all.indexOf(own))),
                        own.endpoint().unit(),
                        own.formula());
    }

    /**
     * Why a formula can't be worked out, as a sentence; empty when it can.
     *
     * @param before measures that stand before it: it can't stand on itself or on what comes after it
     * @param unit what its result is to be in
     */
    public static Optional<String> problem(List<Measure> before, UnitOfMeasure unit, Formula formula) {
        try {
            Powers made = formula.powers(name -> powers(before, name));
            return made.equals(unit.dimension().powers())
                    ? Optional.empty()
                    : Optional.of("“" + formula.text() + "” does not give "
                            + unit.dimension().words() + (unit.symbol().isEmpty() ? "" : " in " + unit.symbol())
                            + suggested(made));
        } catch (IllegalArgumentException unlike) {
            return Optional.of(Objects.requireNonNullElse(unlike.getMessage(), "The formula can't be worked out."));
        }
    }

    private static String suggested(Powers made) {
        List<String> fitting = new ArrayList<>();
        for (UnitOfMeasure unit : UnitOfMeasure.values()) {
            if (unit.dimension().powers().equals(made) && !unit.symbol().isEmpty() && fitting.size() < FEW) {
                fitting.add(unit.symbol());
            }
        }
        return fitting.isEmpty()
                ? "; no unit known here fits what it gives."
                : "; it gives something in " + String.join(", ", fitting) + ".";
    }

    private static Powers powers(List<Measure> before, String name) {
        return before.stream()
                .filter(measure -> measure.endpoint().code().value().equals(name))
                .findFirst()
                .map(measure -> measure.endpoint())
                .filter(Endpoint::measured)
                .map(endpoint -> endpoint.unit().dimension().powers())
                .or(() ->
                        Known.named(name).map(known -> known.unit().dimension().powers()))
                .orElseThrow(() -> new IllegalArgumentException("“" + name
                        + "” is no endpoint that stands before it, and nothing a unit has. Accepted: "
                        + before.stream()
                                .map(measure -> measure.endpoint().code().value())
                                .limit(6)
                                .reduce((a, b) -> a + ", " + b)
                                .orElse("the code of an endpoint")
                        + "; a minus has spaces around it."));
    }
}
