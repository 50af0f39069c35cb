/** Benches to practise on: levels, a bench run in seconds, the call, the truth, and what another plan would have told. */
@NullMarked
package elsom.web.practice;

import org.jspecify.annotations.NullMarked;
