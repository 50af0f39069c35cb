/** What a trial found: figures, rankings, flags, courses and the sentences that answer its question. */
@NullMarked
package elsom.core.verdict;

import org.jspecify.annotations.NullMarked;
