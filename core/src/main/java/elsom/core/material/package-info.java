/** The shelf: materials and mixes as lots with a history, what is known of each and from where, and what it is fit for. */
@NullMarked
package elsom.core.material;

import org.jspecify.annotations.NullMarked;
