package elsom.core.figure;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;

/**
 * A kind of computed figure.
 *
 * @param code in addresses and files
 * @param label in a grower's words
 * @param term the technical term; empty where the words are the term
 * @param decimals shown; of the percentage for a fraction
 */
public record FigureKind(String code, String label, String term, UnitOfMeasure unit, int decimals) {
    /** How an endpoint's values are shown: counts of known numbers as a percentage. */
    public static FigureKind of(Endpoint endpoint) {
        return endpoint.among() > 0
                ? new FigureKind(
                        endpoint.code().value(), endpoint.name(), "of " + endpoint.among(), UnitOfMeasure.FRACTION, 0)
                : new FigureKind(endpoint.code().value(), endpoint.name(), "", endpoint.unit(), endpoint.decimals());
    }

    /** A value of this kind without its unit; a fraction as a percentage. */
    public String number(double value) {
        return unit == UnitOfMeasure.FRACTION ? Decimals.percent(value, decimals) : Decimals.fixed(value, decimals);
    }

    /** What stands after the number. */
    public String unitSymbol() {
        return unit == UnitOfMeasure.FRACTION ? "%" : unit.symbol();
    }

    /** A value with its unit. */
    public String show(double value) {
        return (number(value) + " " + unitSymbol()).strip();
    }

    /** The same with one decimal more, as means have. */
    public FigureKind finer() {
        return new FigureKind(code, label, term, unit, decimals + 1);
    }

    /** The same with other words beside it. */
    public FigureKind termed(String words) {
        return new FigureKind(code, label, words, unit, decimals);
    }

    /** The same with other decimals. */
    public FigureKind rounded(int shown) {
        return new FigureKind(code, label, term, unit, shown);
    }
}
