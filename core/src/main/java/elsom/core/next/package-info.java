/** The trial that would tell most after this one: proposed with its reason, and filled in. */
@NullMarked
package elsom.core.next;

import org.jspecify.annotations.NullMarked;
