/** Tasting panels: plates with codes in a balanced order, a phone handed round, and what the tasters' answers say. */
@NullMarked
package elsom.web.tasting;

import org.jspecify.annotations.NullMarked;
