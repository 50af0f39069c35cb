/** What files and {@code bin/calc} give to the outside of a judgement, field by field as docs/calc.md says. */
@NullMarked
package elsom.core.contract;

import org.jspecify.annotations.NullMarked;
