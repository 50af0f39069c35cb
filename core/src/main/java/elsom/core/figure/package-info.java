/**
 * Figures as they are worked out and shown: of a unit, and of a treatment's units together. A
 * {@link elsom.core.figure.FigureKind} knows how its values are written.
 */
@NullMarked
package elsom.core.figure;

import org.jspecify.annotations.NullMarked;
