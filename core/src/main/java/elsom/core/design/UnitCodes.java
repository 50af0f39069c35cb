package elsom.core.design;

import elsom.core.quantity.Bounds;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * Codes that survive being shouted across a tunnel and written on a wet label. Letters sound unlike each other (one
 * of the B/D/E/P/T family, one of M/N, none of F/S, I/O/Q); digits leave out 0, 1 and 5. There are seven letters and
 * seven digits, and the last digit is a check over the others modulo 7, so any two codes differ in at least two characters and one slip never makes another valid code.
 */
public final class UnitCodes {
    private static final String LETTERS = "HKMRTWX";
    private static final String DIGITS = "2346789";
    private static final int BASE = DIGITS.length();
    private static final int[] WEIGHTS = {3, 2, 5};

    /** The most units one trial can have. */
    public static final int MOST = Bounds.UNITS;

    private UnitCodes() {}

    /**
     * Draws distinct codes in random order, with as few digits as suffice: two for 49 codes, three for 343, else four.
     *
     * @throws IllegalArgumentException if count is below 1 or above {@link #MOST}
     */
    public static List<UnitCode> draw(int count, long seed) {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("a trial has 1 to " + MOST + " units, asked for " + count);
        }
        List<UnitCode> pool = pool(count);
        shuffle(pool, seed);
        return List.copyOf(pool.subList(0, count));
    }

    /**
     * In an order drawn by lot. {@link Random}'s algorithm is fixed by its specification, so that a seed gives the same
     * codes on every machine.
     */
    private static void shuffle(List<UnitCode> pool, long seed) {
        Random random = new Random(seed);
        for (int left = pool.size(); left > 1; left--) {
            Collections.swap(pool, left - 1, random.nextInt(left));
        }
    }

    /** All codes with the fewest free digits that suffice. */
    private static List<UnitCode> pool(int count) {
        int free = 1;
        int size = LETTERS.length() * BASE;
        while (size < count) {
            free++;
            size *= BASE;
        }
        List<UnitCode> codes = new ArrayList<>(size);
        for (int number = 0; number < size; number++) {
            codes.add(code(number, free));
        }
        return codes;
    }

    private static UnitCode code(int number, int free) {
        int letter = number % LETTERS.length();
        int rest = number / LETTERS.length();
        int check = letter;
        StringBuilder code = new StringBuilder().append(LETTERS.charAt(letter));
        for (int place = 0; place < free; place++) {
            int digit = rest % BASE;
            rest /= BASE;
            check += WEIGHTS[place] * digit;
            code.append(DIGITS.charAt(digit));
        }
        return new UnitCode(code.append(DIGITS.charAt(check % BASE)).toString());
    }
}
