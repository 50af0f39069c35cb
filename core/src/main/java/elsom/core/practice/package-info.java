/**
 * Benches to practise on, whose truth is known: ten levels, each with a plan that falls into its trap and one that is fair,
 * and what else could have come of another plan. To add a level: a subclass of {@link elsom.core.practice.Level} and a line in
 * {@link elsom.core.practice.Levels}.
 */
@NullMarked
package elsom.core.practice;

import org.jspecify.annotations.NullMarked;
