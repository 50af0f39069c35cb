/**
 * Care that was planned against care that was written down: which entry of the log answers which step, for how many units, how
 * late. Today, the time bar, the audit, the calendar and the report read this one account; nothing compares labels.
 */
@NullMarked
package elsom.core.care;

import org.jspecify.annotations.NullMarked;
