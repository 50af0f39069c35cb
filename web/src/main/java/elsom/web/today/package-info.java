/** The first page: what is due. */
@NullMarked
package elsom.web.today;

import org.jspecify.annotations.NullMarked;
