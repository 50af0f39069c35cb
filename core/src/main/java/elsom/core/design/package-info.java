/** Laying out a trial: codes, randomised benches and their balance, factorials, dose series, replicates. A new way to lay out is a constant of {@link elsom.core.design.LayoutKind} and its case in {@link elsom.core.design.Layout}. */
@NullMarked
package elsom.core.design;

import org.jspecify.annotations.NullMarked;
