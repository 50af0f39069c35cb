/** The bench: measuring unit by unit, corrections, mishaps. */
@NullMarked
package elsom.web.bench;

import org.jspecify.annotations.NullMarked;
