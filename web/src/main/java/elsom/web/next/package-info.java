/** What a trial came from, what its chain says together, and what to try next. */
@NullMarked
package elsom.web.next;

import org.jspecify.annotations.NullMarked;
