/** Endpoints worked out from others: formulas with their units checked. */
@NullMarked
package elsom.core.formula;

import org.jspecify.annotations.NullMarked;
