/** The frame: security, error pages, the station, type handlers. */
@NullMarked
package elsom.web.platform;

import org.jspecify.annotations.NullMarked;
