/** A trial planned on one page: the kind by the words of its question, everything else as it usually is. */
@NullMarked
package elsom.core.quick;

import org.jspecify.annotations.NullMarked;
