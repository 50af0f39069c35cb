/** Trials that were done without Elsom, copied in with what is not known left unknown. */
@NullMarked
package elsom.core.notebook;

import org.jspecify.annotations.NullMarked;
