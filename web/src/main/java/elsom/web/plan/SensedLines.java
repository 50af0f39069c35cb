package elsom.web.plan;

import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.series.Channel;
import elsom.core.series.Measurand;
import elsom.core.series.Sensed;
import elsom.core.series.SeriesSummary;
import elsom.core.trial.EndpointCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Endpoints that are made of a sensor's series, chosen on the question's page. */
final class SensedLines {
    static final String SENSED = "sensed";
    private static final String NOTHING = "";

    private SensedLines() {}

    /**
     * Adds what was chosen.
     *
     * @param code makes a code of a name
     */
    static void read(Form form, List<Measure> measures, Problems problems, UnaryOperator<String> code) {
        for (int i = 0; i < form.lines(SENSED); i++) {
            if (form.text(SENSED, i, "what").equals(NOTHING)) {
                continue;
            }
            int line = i;
            String field = Form.name(SENSED, i, "what");
            Measurand what = Problems.choice(Measurand.class, form.text(SENSED, i, "what"), Measurand.MOISTURE);
            SeriesSummary summary =
                    Problems.choice(SeriesSummary.class, form.text(SENSED, i, "summary"), SeriesSummary.MEAN);
            double depth = problems.amount(
                    field,
                    form.text(SENSED, line, "depth"),
                    UnitOfMeasure.CENTIMETRE,
                    0,
                    Channel.DEEPEST_CM,
                    0,
                    "A depth below the surface, or nothing. Accepted: 10 cm.");
            if (summary == SeriesSummary.HOURS_ABOVE
                    && form.text(SENSED, line, "limit").isEmpty()) {
                problems.add(
                        field, "Hours above what? Accepted: 2.5 " + what.unit().symbol() + ".");
                continue;
            }
            double limit = summary == SeriesSummary.HOURS_ABOVE
                    ? problems.amount(
                            field,
                            form.text(SENSED, line, "limit"),
                            what.unit(),
                            what.lowest(),
                            what.highest(),
                            what.lowest(),
                            "A limit that " + what.label() + " can pass. Accepted: 2.5 "
                                    + what.unit().symbol() + ".")
                    : 0;
            problems.tried(field, () -> new Sensed(what, depth, summary, limit))
                    .ifPresent(sensed -> add(measures, sensed, code, field, problems));
        }
    }

    private static void add(
            List<Measure> measures, Sensed sensed, UnaryOperator<String> code, String field, Problems problems) {
        if (measures.stream().anyMatch(measure -> sensed.equals(measure.sensed()))) {
            problems.add(field, "“" + sensed.name() + "” is measured already.");
            return;
        }
        measures.add(Measure.sensed(new EndpointCode(code.apply(sensed.name())), sensed));
    }

    /** In a plan that has not started, every look after the start takes what was added: a file is taken once for all. */
    static Plan taken(Plan before, Plan after) {
        Set<EndpointCode> known = before.asked().measures().stream()
                .map(measure -> measure.endpoint().code())
                .collect(Collectors.toSet());
        List<EndpointCode> added = after.asked().measures().stream()
                .filter(measure -> measure.sensed() != null)
                .map(measure -> measure.endpoint().code())
                .filter(code -> !known.contains(code))
                .toList();
        if (added.isEmpty()) {
            return after;
        }
        List<PlannedLook> looks = after.schedule().looks().stream()
                .map(look -> look.after().isNegative() || look.after().isZero()
                        ? look
                        : new PlannedLook(look.name(), look.after(), joined(look.endpoints(), added)))
                .toList();
        return after.with(after.schedule()
                .with(looks, after.schedule().steps(), after.schedule().hours()));
    }

    private static List<EndpointCode> joined(List<EndpointCode> before, List<EndpointCode> added) {
        List<EndpointCode> all = new ArrayList<>(before);
        all.addAll(added);
        return all;
    }
}
