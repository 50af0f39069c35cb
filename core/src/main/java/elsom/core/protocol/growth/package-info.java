/** Trials of plants that grow on: in pots or trays, and cuttings that root. */
@NullMarked
package elsom.core.protocol.growth;

import org.jspecify.annotations.NullMarked;
