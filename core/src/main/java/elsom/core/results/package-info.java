/**
 * What a trial found: {@link elsom.core.results.Evidence} goes through a protocol's list of
 * {@link elsom.core.results.Analysis analyses}, which add answers, {@link elsom.core.section.Section sections}, figures and
 * flags to {@link elsom.core.results.Findings}. What belongs to one subject lives beside its protocol; here is what all share.
 */
@NullMarked
package elsom.core.results;

import org.jspecify.annotations.NullMarked;
