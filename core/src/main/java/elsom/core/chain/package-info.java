/** Trials that came from each other, as one story, with what their repeats say together. */
@NullMarked
package elsom.core.chain;

import org.jspecify.annotations.NullMarked;
