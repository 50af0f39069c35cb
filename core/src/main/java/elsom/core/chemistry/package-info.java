/** pH and salts of media and waters. */
@NullMarked
package elsom.core.chemistry;

import org.jspecify.annotations.NullMarked;
