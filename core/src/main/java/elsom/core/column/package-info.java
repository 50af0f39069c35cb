/** How water stands in a filled container after it has drained, and why gravel, depth and shape matter. */
@NullMarked
package elsom.core.column;

import org.jspecify.annotations.NullMarked;
