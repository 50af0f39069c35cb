/** Mixes of media by parts, and the batches they are made in. */
@NullMarked
package elsom.core.mix;

import org.jspecify.annotations.NullMarked;
