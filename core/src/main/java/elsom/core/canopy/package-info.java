/** Green cover of a tray from a photo. */
@NullMarked
package elsom.core.canopy;

import org.jspecify.annotations.NullMarked;
