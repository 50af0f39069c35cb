/** Whether a trial was a fair test, as pages tell it. */
@NullMarked
package elsom.web.audit;

import org.jspecify.annotations.NullMarked;
