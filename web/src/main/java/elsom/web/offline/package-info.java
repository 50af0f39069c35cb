/** Benches that open without a network: what a device keeps of them, and the worker that keeps it. */
@NullMarked
package elsom.web.offline;

import org.jspecify.annotations.NullMarked;
