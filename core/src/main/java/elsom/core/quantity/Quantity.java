package elsom.core.quantity;

/** A finite amount in a unit. */
public record Quantity(double value, UnitOfMeasure unit) {
    public Quantity {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("an amount must be finite, got " + value + " " + unit.symbol());
        }
    }

    /**
     * The same amount in another unit.
     *
     * @throws IllegalArgumentException if the other unit measures something else
     */
    public Quantity in(UnitOfMeasure other) {
        if (other.dimension() != unit.dimension()) {
            throw new IllegalArgumentException(
                    unit.symbol() + " is " + unit.dimension().words() + " and can't be given in " + other.symbol());
        }
        return unit == other
                ? this
                : new Quantity((value - unit.nought()) * unit.toBase() / other.toBase() + other.nought(), other);
    }

    /** The amount with its unit and at most this many decimals: "48.2 g". */
    public String show(int decimals) {
        String symbol = unit.symbol(value);
        return Decimals.upTo(value, decimals) + (symbol.isEmpty() ? "" : " " + symbol);
    }
}
