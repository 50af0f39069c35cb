package elsom.core.stats;

import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntPredicate;

/**
 * The highest tested level without and the lowest with an adverse effect. Levels are indices of the doses above the
 * control, 0 the lowest; a NOEC is a tested level or none.
 *
 * @param loec empty when no level differs
 * @param noec empty when the lowest level differs already, so that only the control is left
 */
public record Noec(OptionalInt loec, OptionalInt noec) {
    private static Noec at(OptionalInt loec, int levels) {
        if (loec.isEmpty()) {
            return new Noec(loec, OptionalInt.of(levels - 1));
        }
        return new Noec(loec, loec.getAsInt() == 0 ? OptionalInt.empty() : OptionalInt.of(loec.getAsInt() - 1));
    }

    /** The lowest level that differs. */
    public static Noec lowest(List<Boolean> significant) {
        return where(significant, significant::get);
    }

    /** The lowest level from which all higher ones differ too. */
    public static Noec monotone(List<Boolean> significant) {
        return where(
                significant,
                level -> significant.subList(level, significant.size()).stream().allMatch(s -> s));
    }

    private static Noec where(List<Boolean> significant, IntPredicate effect) {
        for (int level = 0; level < significant.size(); level++) {
            if (effect.test(level)) {
                return at(OptionalInt.of(level), significant.size());
            }
        }
        return at(OptionalInt.empty(), significant.size());
    }
}
