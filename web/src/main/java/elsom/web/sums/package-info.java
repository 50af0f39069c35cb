/** Sums that stand on their own, one sheet each. */
@NullMarked
package elsom.web.sums;

import org.jspecify.annotations.NullMarked;
