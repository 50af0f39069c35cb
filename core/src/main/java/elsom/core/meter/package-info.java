/** Meters of pH and EC: whether they can be believed today. */
@NullMarked
package elsom.core.meter;

import org.jspecify.annotations.NullMarked;
