/** Meters of a station: checked, judged, and known to the readings taken with them. */
@NullMarked
package elsom.web.meter;

import org.jspecify.annotations.NullMarked;
