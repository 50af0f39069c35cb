/** Salinity series: from which salinity on a crop loses yield, and how fast. */
@NullMarked
package elsom.core.protocol.salt;

import org.jspecify.annotations.NullMarked;
