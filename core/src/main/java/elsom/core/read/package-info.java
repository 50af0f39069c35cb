/** What people type into a box: amounts, doses, dates, counts and mixes, understood, asked about, or refused. */
@NullMarked
package elsom.core.read;

import org.jspecify.annotations.NullMarked;
