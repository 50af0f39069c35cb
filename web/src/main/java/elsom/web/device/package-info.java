/** Stand-ins for the instruments on the bench. */
@NullMarked
package elsom.web.device;

import org.jspecify.annotations.NullMarked;
