/** Water holding: pots weighed empty, dry, soaked and drained, and what their weights tell of the medium. */
@NullMarked
package elsom.core.protocol.water;

import org.jspecify.annotations.NullMarked;
