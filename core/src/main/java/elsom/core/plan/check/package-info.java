/** What is wrong with a plan before anything is sown: one class a rule, found by the list in {@link elsom.core.plan.check.PlanCheck}. */
@NullMarked
package elsom.core.plan.check;

import org.jspecify.annotations.NullMarked;
