/**
 * What hurt the seedlings: causes ranked by naive Bayes over one table of likelihoods, which anybody may replace.
 */
@NullMarked
package elsom.core.diagnosis;

import org.jspecify.annotations.NullMarked;
