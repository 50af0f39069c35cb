/**
 * What a trial found: {@link elsom.core.results.Evidence} goes through a protocol's list of
 * {@link elsom.core.results.Analysis analyses}, which add answers, {@link elsom.core.section.Section sections}, figures and
 * flags to {@link elsom.core.results.Findings}. Pages have one fragment and one script module for each kind of section.
 */
@NullMarked
package elsom.core.results;

import org.jspecify.annotations.NullMarked;
