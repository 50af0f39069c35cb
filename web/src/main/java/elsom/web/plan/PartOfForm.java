package elsom.web.plan;

import elsom.core.plan.Plan;

/** A part of a plan as a form: out of the plan into fields, and out of fields into a changed plan. */
interface PartOfForm {
    Form of(Plan plan);

    /**
     * The plan with what the form says.
     *
     * @param problems where problems are added; with any, the result is not to be kept
     */
    Plan read(Form form, Plan plan, Problems problems);
}
