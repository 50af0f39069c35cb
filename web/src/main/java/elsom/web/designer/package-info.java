/** The mixing bench: which parts of what make a mix. */
@NullMarked
package elsom.web.designer;

import org.jspecify.annotations.NullMarked;
