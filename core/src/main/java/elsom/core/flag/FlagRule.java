package elsom.core.flag;

import java.util.Optional;

/** Looks at a judged question for one thing that weakens it. */
interface FlagRule {
    Optional<Flag> check(Scene scene);
}
