/**
 * The judge: observations and a question in, intervals and answers out, whatever the kind of trial.
 *
 * <p>{@link elsom.core.analysis.Observations} hold one row a unit. {@link elsom.core.analysis.Judge} chooses how they are
 * analysed ({@link elsom.core.analysis.Method} names every way there is) and answers each comparison by the same rule.
 */
@NullMarked
package elsom.core.analysis;

import org.jspecify.annotations.NullMarked;
