/** Trials without plants, or with whatever the planner makes of them. */
@NullMarked
package elsom.core.protocol.general;

import org.jspecify.annotations.NullMarked;
