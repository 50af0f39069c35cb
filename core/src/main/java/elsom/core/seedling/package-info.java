/** Germination, injury, and residues that seedlings show. */
@NullMarked
package elsom.core.seedling;

import org.jspecify.annotations.NullMarked;
