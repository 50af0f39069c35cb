/** Aerated extracts: recipes scaled to a vessel, the stop rule and the use-by clock, and what factors did to counts. */
@NullMarked
package elsom.core.brew;

import org.jspecify.annotations.NullMarked;
