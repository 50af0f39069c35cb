/** A trial's records (question, treatments, units, looks, readings, mishaps) and their immutable snapshot. Nothing here knows what a protocol measures. */
@NullMarked
package elsom.core.trial;

import org.jspecify.annotations.NullMarked;
