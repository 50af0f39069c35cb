/** What sensors and laboratories send in files: rows understood, series thinned for drawing, one figure a unit and look. */
@NullMarked
package elsom.core.series;

import org.jspecify.annotations.NullMarked;
