/** Files out and in: readings as CSV, a whole trial as a data package. */
@NullMarked
package elsom.web.exchange;

import org.jspecify.annotations.NullMarked;
