/**
 * What weakens what readings say. Each rule is one small class in the list of {@link elsom.core.flag.Flags}, for every
 * kind of trial. To add one: write a {@link elsom.core.flag.FlagRule}, give it a code in {@link elsom.core.flag.FlagCode},
 * put it in the list.
 */
@NullMarked
package elsom.core.flag;

import org.jspecify.annotations.NullMarked;
