package elsom.core.design;

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

    /** The most units one trial can have. */
    public static final int MOST = LETTERS.length() * BASE * BASE;

    private UnitCodes() {}

    /**
     * Draws distinct codes in random order; two digits while they suffice (49 codes), else three.
     *
     * @throws IllegalArgumentException if count is below 1 or above {@link #MOST}
     */
    public static List<UnitCode> draw(int count, long seed) {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("a trial has 1 to " + MOST + " units, asked for " + count);
        }
        List<UnitCode> pool = count <= LETTERS.length() * BASE ? shortCodes() : longCodes();
        Collections.shuffle(pool, new Random(seed));
        return List.copyOf(pool.subList(0, count));
    }

    private static List<UnitCode> shortCodes() {
        List<UnitCode> codes = new ArrayList<>();
        for (int letter = 0; letter < LETTERS.length(); letter++) {
            for (int first = 0; first < BASE; first++) {
                codes.add(code(letter, first, (letter + 3 * first) % BASE));
            }
        }
        return codes;
    }

    private static List<UnitCode> longCodes() {
        List<UnitCode> codes = new ArrayList<>();
        for (int letter = 0; letter < LETTERS.length(); letter++) {
            for (int first = 0; first < BASE; first++) {
                for (int second = 0; second < BASE; second++) {
                    codes.add(code(letter, first, second, (letter + 3 * first + 2 * second) % BASE));
                }
            }
        }
        return codes;
    }

    private static UnitCode code(int letter, int... digits) {
        StringBuilder code = new StringBuilder().append(LETTERS.charAt(letter));
        for (int digit : digits) {
            code.append(DIGITS.charAt(digit));
        }
        return new UnitCode(code.toString());
    }
}
