/** Nonlinear models and their least-squares fits. */
@NullMarked
package elsom.core.curve;

import org.jspecify.annotations.NullMarked;
