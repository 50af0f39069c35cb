/** Claims in words, held against the numbers they rest on. */
@NullMarked
package elsom.core.claim;

import org.jspecify.annotations.NullMarked;
