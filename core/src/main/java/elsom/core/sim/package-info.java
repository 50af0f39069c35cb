/** Seeded stand-ins with a known truth: the bench scale and what stands on it. */
@NullMarked
package elsom.core.sim;

import org.jspecify.annotations.NullMarked;
