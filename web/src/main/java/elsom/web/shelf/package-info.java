/** The shelf: lots of materials and mixes with their figures, held against uses; containers; quarantine. */
@NullMarked
package elsom.web.shelf;

import org.jspecify.annotations.NullMarked;
