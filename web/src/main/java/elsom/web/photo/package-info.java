/** Photos of units, and the green cover of a tray worked out from one. */
@NullMarked
package elsom.web.photo;

import org.jspecify.annotations.NullMarked;
