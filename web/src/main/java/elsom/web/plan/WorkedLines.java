package elsom.web.plan;

import elsom.core.formula.Formula;
import elsom.core.plan.Direction;
import elsom.core.plan.FormulaCheck;
import elsom.core.plan.Measure;
import elsom.core.plan.ReadyMade;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Treatment;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Endpoints that are worked out from others, chosen or written on the question's page. */
final class WorkedLines {
    static final String WORKED = "worked";
    static final String READY = "ready";
    private static final int MOST_DECIMALS = 4;

    private WorkedLines() {}

    /**
     * Adds what was chosen and written. They come last: what they stand on stands before them.
     *
     * @param code makes a code of a name
     */
    static void read(Form form, List<Measure> measures, Problems problems, UnaryOperator<String> code) {
        List<String> ticked = form.values(READY);
        for (ReadyMade ready : ReadyMade.fitting(measures)) {
            if (ticked.contains(ready.name())) {
                measures.add(ready.measure());
            }
        }
        for (int i = 0; i < form.lines(WORKED); i++) {
            if (!form.text(WORKED, i, "name").isEmpty()
                    || !form.text(WORKED, i, "formula").isEmpty()) {
                own(form, i, measures, problems, code).ifPresent(measures::add);
            }
        }
        List<Measure> all = List.copyOf(measures);
        all.forEach(measure -> FormulaCheck.problem(all, measure)
                .ifPresent(problem -> problems.add(
                        Form.name(WORKED, 0, "name"), "“" + measure.endpoint().name() + "”: " + problem)));
    }

    private static Optional<Measure> own(
            Form form, int i, List<Measure> before, Problems problems, UnaryOperator<String> code) {
        String field = Form.name(WORKED, i, "name");
        String name = problems.required(
                field, form.text(WORKED, i, "name"), Treatment.LONGEST_NAME, "A name. Accepted: Sturdiness.");
        String spelled = form.text(WORKED, i, "unit");
        Optional<UnitOfMeasure> unit =
                spelled.isEmpty() ? Optional.of(UnitOfMeasure.COUNT) : UnitOfMeasure.spelled(spelled);
        if (unit.isEmpty()) {
            problems.add(
                    field,
                    "“" + spelled
                            + "” is not a unit known here. Accepted: cm/mm, g/g, g/m², per day, days, or nothing.");
        }
        int decimals = problems.whole(
                field,
                form.text(WORKED, i, "decimals"),
                0,
                MOST_DECIMALS,
                2,
                "0 to " + MOST_DECIMALS + " decimals. Accepted: 2.");
        Direction better = Problems.choice(Direction.class, form.text(WORKED, i, "better"), Direction.HIGHER);
        Optional<Formula> formula = problems.tried(field, () -> new Formula(form.text(WORKED, i, "formula")));
        if (name.isEmpty() || unit.isEmpty() || formula.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> problem = FormulaCheck.problem(before, unit.get(), formula.get());
        if (problem.isPresent()) {
            problems.add(field, problem.get());
            return Optional.empty();
        }
        return problems.tried(
                field,
                () -> Measure.worked(
                        new EndpointCode(code.apply(name)), name, formula.get(), unit.get(), decimals, better));
    }
}
