/** Liming titration: how much lime or sulfur brings a medium to a pH. */
@NullMarked
package elsom.core.protocol.liming;

import org.jspecify.annotations.NullMarked;
