/** Drench and dip dose series: which strength helps, which is safe, which harms. */
@NullMarked
package elsom.core.protocol.dose;

import org.jspecify.annotations.NullMarked;
