/** The explanation every computed figure carries, so that a person can follow it on paper. */
@NullMarked
package elsom.core.working;

import org.jspecify.annotations.NullMarked;
