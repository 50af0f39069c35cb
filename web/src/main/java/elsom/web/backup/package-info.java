/** A copy of the store every day, and back again. */
@NullMarked
package elsom.web.backup;

import org.jspecify.annotations.NullMarked;
