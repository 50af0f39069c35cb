/** Planning: a new trial from a protocol, and its drawn layout. */
@NullMarked
package elsom.web.plan;

import org.jspecify.annotations.NullMarked;
