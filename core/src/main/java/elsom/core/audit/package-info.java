/** Whether a trial could answer what it asked: what was fair about it and what was not. */
@NullMarked
package elsom.core.audit;

import org.jspecify.annotations.NullMarked;
