package elsom.core.quantity;

/** Volumes as people say them: small ones in mL, from a litre on in L. */
public final class Millilitres {
    private static final double LITRE = 1000;

    private Millilitres() {}

    /** "37 mL", "10 L"; what was measured finer stays as fine. */
    public static String words(double millilitres) {
        return Math.abs(millilitres) < LITRE
                ? Decimals.upTo(millilitres, 2) + " mL"
                : Decimals.upTo(millilitres / LITRE, 2) + " L";
    }
}
