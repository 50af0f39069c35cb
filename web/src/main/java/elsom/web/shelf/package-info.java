/** The library of containers. */
@NullMarked
package elsom.web.shelf;

import org.jspecify.annotations.NullMarked;
