/**
 * Sums that stand on their own: a sentence with blanks, an answer as a sentence, and how it was worked out. One class a sum, one
 * line in {@link elsom.core.sums.Sums}; its page, its link and its family of {@code bin/calc} come with it.
 */
@NullMarked
package elsom.core.sums;

import org.jspecify.annotations.NullMarked;
