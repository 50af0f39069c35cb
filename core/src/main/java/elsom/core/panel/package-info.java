/** Tasting panels: who can tell, who prefers what, and in which order plates are served. */
@NullMarked
package elsom.core.panel;

import org.jspecify.annotations.NullMarked;
