package elsom.core.sums;

import elsom.core.quantity.Decimals;

/** Amounts as people read them: four digits that mean something, in the unit that fits. */
final class Amounts {
    private static final double LITRE = 1000;
    private static final int DIGITS = 4;

    private Amounts() {}

    /** A number to four digits. */
    static String number(double value) {
        double size = Math.abs(value);
        int decimals = size == 0 ? 0 : Math.max(0, DIGITS - 1 - (int) Math.floor(Math.log10(size)));
        return Decimals.upTo(value, Math.min(decimals, 8));
    }

    static String ml(double millilitres) {
        return Math.abs(millilitres) >= LITRE ? number(millilitres / LITRE) + " L" : number(millilitres) + " mL";
    }

    static String grams(double grams) {
        return Math.abs(grams) >= LITRE ? number(grams / LITRE) + " kg" : number(grams) + " g";
    }
}
