/** Kinds of trial. To add one: write its sheet as {@link elsom.core.protocol.Growth} does, or a class that implements {@link elsom.core.protocol.Protocol} and add it to the list in {@link elsom.core.protocol.Protocols}. */
@NullMarked
package elsom.core.protocol;

import org.jspecify.annotations.NullMarked;
