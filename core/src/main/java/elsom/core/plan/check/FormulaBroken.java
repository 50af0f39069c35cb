package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.FormulaCheck;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.quantity.Sentence;
import java.util.List;

/** What can not be worked out is never known. */
final class FormulaBroken implements PlanRule {
    @Override
    public void check(Plan plan, Noted noted) {
        List<Measure> all = plan.asked().measures();
        all.forEach(measure -> FormulaCheck.problem(all, measure)
                .ifPresent(problem -> noted.flag(
                        Flag.Severity.WRONG,
                        Sentence.inside(measure.endpoint().name()) + " can't be worked out: " + problem,
                        "It would never have a value.",
                        "Put its formula right under “Question”, or leave it out.")));
    }
}
