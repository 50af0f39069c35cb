package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.flag.FlagCode;
import elsom.core.plan.Plan;
import java.util.ArrayList;
import java.util.List;

/** Something that a plan can't answer, said before anything is sown. To add one: a class, and its place in {@link PlanCheck}. */
interface PlanRule {
    /** Notes what is wrong with a plan; nothing when nothing is. */
    void check(Plan plan, Noted noted);

    /** Whether it looks at treatments alone, so that it is said while they are written. */
    default boolean ofTreatments() {
        return false;
    }

    /** What rules noted. */
    final class Noted {
        private final List<Flag> flags = new ArrayList<>();

        void flag(Flag.Severity severity, String seen, String why, String next) {
            flags.add(new Flag(FlagCode.PLAN, severity, seen, why, next, List.of()));
        }

        List<Flag> flags() {
            return List.copyOf(flags);
        }
    }
}
