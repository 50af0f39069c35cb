/** What a trial found: figures, rankings, flags, courses and the sentences that answer its question. */
@NullMarked
package elsom.core.results;

import org.jspecify.annotations.NullMarked;
