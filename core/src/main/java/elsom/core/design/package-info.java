/** Laying out a trial: codes, randomised benches, replicates. */
@NullMarked
package elsom.core.design;

import org.jspecify.annotations.NullMarked;
