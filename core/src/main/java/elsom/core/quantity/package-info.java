/** Amounts with units: what people type, what is kept, what is shown. */
@NullMarked
package elsom.core.quantity;

import org.jspecify.annotations.NullMarked;
