/**
 * What doses do: the curve through them, the highest without and the lowest with harm, how both change with time, the rate
 * that can be worked with, and how it is mixed.
 */
@NullMarked
package elsom.core.dose;

import org.jspecify.annotations.NullMarked;
