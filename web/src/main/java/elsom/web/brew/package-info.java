/** Brews: recipe, log with its stop rule, the laboratory's counts, and what factors did to them. */
@NullMarked
package elsom.web.brew;

import org.jspecify.annotations.NullMarked;
