/** Estimates with their uncertainty; what can't be had is a value, never a NaN. */
@NullMarked
package elsom.core.stats;

import org.jspecify.annotations.NullMarked;
