/** What was done to a trial beside its readings, and what it took the place of: nothing here is ever changed. */
@NullMarked
package elsom.web.events;

import org.jspecify.annotations.NullMarked;
