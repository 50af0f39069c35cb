/** What a trial found, with the working of every figure. */
@NullMarked
package elsom.web.findings;

import org.jspecify.annotations.NullMarked;
