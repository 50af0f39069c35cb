/** Trials in which seeds and seedlings tell what is in a compost or soil. */
@NullMarked
package elsom.core.protocol.seedling;

import org.jspecify.annotations.NullMarked;
