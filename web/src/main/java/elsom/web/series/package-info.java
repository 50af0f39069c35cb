/** Files of sensors and laboratories: understood, kept as series, drawn, and made into one figure a unit and look. */
@NullMarked
package elsom.web.series;

import org.jspecify.annotations.NullMarked;
