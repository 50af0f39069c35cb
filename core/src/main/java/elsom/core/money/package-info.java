/** What treatments cost and bring, with the intervals of their yields carried through. */
@NullMarked
package elsom.core.money;

import org.jspecify.annotations.NullMarked;
