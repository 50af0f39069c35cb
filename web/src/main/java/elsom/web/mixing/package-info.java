/** The mixing bench: which parts of what make a mix. */
@NullMarked
package elsom.web.mixing;

import org.jspecify.annotations.NullMarked;
