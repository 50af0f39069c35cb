/** Containers side by side: where water stands in them. */
@NullMarked
package elsom.web.column;

import org.jspecify.annotations.NullMarked;
