/** Water held by media: gravimetry and dry-down. */
@NullMarked
package elsom.core.water;

import org.jspecify.annotations.NullMarked;
