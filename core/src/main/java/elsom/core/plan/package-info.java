/**
 * What is decided before a trial starts: questions, treatments, size, layout, dates; what it needs, and what a plan
 * can't answer. A plan is one immutable document; {@link elsom.core.plan.Plan#draw} makes the trial from it.
 */
@NullMarked
package elsom.core.plan;

import org.jspecify.annotations.NullMarked;
