/** The command line over the core: JSON cases in, JSON results out. Names in files are mapped to the core's here. */
@NullMarked
package elsom.calc;

import org.jspecify.annotations.NullMarked;
