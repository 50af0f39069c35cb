/** The store of the shelf: lots of materials and mixes with their figures, and the uses they are held against. */
@NullMarked
package elsom.web.lots;

import org.jspecify.annotations.NullMarked;
