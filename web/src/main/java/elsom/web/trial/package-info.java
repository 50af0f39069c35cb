/** Trials: their list, their question, and the storage of their records. */
@NullMarked
package elsom.web.trial;

import org.jspecify.annotations.NullMarked;
