package elsom.web.plan;

import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Measure;
import elsom.core.plan.NamedTreatments;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Question;
import elsom.core.plan.QuestionReader;
import elsom.core.plan.Step;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What is asked, and how it is measured. */
final class QuestionPart implements PartOfForm {
    static final String ASKED = "asked";
    static final String MEASURES = "measures";
    static final String OWN = "own";
    private static final int LONGEST_SCORER = 60;
    private static final int MOST_SUBS = 20;

    @Override
    public Form of(Plan plan) {
        Form.UnitFill filling = new Form.UnitFill()
                .put("question", plan.question())
                .put("crop", plan.asked().crop());
        List<Question> questions = plan.asked().questions();
        for (int i = 0; i < questions.size(); i++) {
            Question q = questions.get(i);
            Hypothesis stated = q.hypothesis();
            filling.put(ASKED, i, "who", who(q))
                    .put(ASKED, i, "comparator", with(plan, q))
                    .put(ASKED, i, "endpoint", q.endpoint())
                    .put(ASKED, i, "claim", stated.claim())
                    .put(ASKED, i, "look", stated.look() == 0 ? "" : stated.look())
                    .put(ASKED, i, "place", stated.place())
                    .put(
                            ASKED,
                            i,
                            "matters",
                            q.margin().isPresent()
                                    ? Decimals.upTo(q.matters(), 6) + (q.inPercent() ? " %" : symbol(plan, q))
                                    : "");
        }
        List<Measure> measures = plan.asked().measures();
        for (int i = 0; i < measures.size(); i++) {
            Measure m = measures.get(i);
            filling.put(MEASURES, i, "code", m.endpoint().code())
                    .put(MEASURES, i, "rule", m.rule())
                    .put(MEASURES, i, "scorer", m.scorer())
                    .put(MEASURES, i, "weight", m.weight() == 0 ? "" : Decimals.upTo(m.weight(), 2))
                    .put(MEASURES, i, "better", m.better());
        }
        return filling.form();
    }

    private static String who(Question question) {
        Step step = question.hypothesis().step();
        return step == null
                ? question.treatments().stream().map(Treatment::codeFor).collect(Collectors.joining(", "))
                : String.join("; ", step.levels());
    }

    private static String with(Plan plan, Question question) {
        Hypothesis stated = question.hypothesis();
        if (stated.figure() != null) {
            return Decimals.upTo(stated.figure(), 6) + symbol(plan, question);
        }
        return stated.step() != null
                ? stated.step().beside()
                : question.comparator() == 0 ? "" : Treatment.codeFor(question.comparator());
    }

    private static String symbol(Plan plan, Question question) {
        return plan.asked()
                .measure(question.endpoint())
                .map(measure -> " " + measure.endpoint().unit().symbol(question.matters()))
                .orElse("");
    }

    @Override
    public Plan read(Form form, Plan plan, Problems problems) {
        String question = problems.required(
                "question",
                form.text("question"),
                Trial.LONGEST_QUESTION,
                "Write the question as a sentence. Accepted: Which medium grows the heavier plug?");
        String crop = problems.limited("crop", form.text("crop"), Treatment.LONGEST_NAME);
        List<Measure> measures = measures(form, plan, problems);
        NamedTreatments named = new NamedTreatments(plan.treatments());
        AskedLines lines = new AskedLines(plan, measures, new QuestionReader(plan.treatments(), named), problems);
        List<Question> questions = lines.read(form);
        if (!problems.none()) {
            return plan;
        }
        emptyLooks(plan, measures)
                .forEach(look -> problems.add(
                        "own[0].name",
                        "Look “" + look
                                + "” would measure nothing. Tick something else for it under “Dates and care” first, or"
                                + " keep the endpoint."));
        return problems.none()
                ? SensedLines.taken(plan, named.in(plan).measuring(new Asked(question, crop, questions, measures)))
                : plan;
    }

    /** Looks that measure only what is left out now. */
    private static List<String> emptyLooks(Plan plan, List<Measure> measures) {
        Set<EndpointCode> left =
                measures.stream().map(measure -> measure.endpoint().code()).collect(Collectors.toSet());
        return plan.schedule().looks().stream()
                .filter(look -> look.endpoints().stream().noneMatch(left::contains))
                .map(PlannedLook::name)
                .toList();
    }

    private static List<Measure> measures(Form form, Plan plan, Problems problems) {
        List<Measure> measures = new ArrayList<>();
        for (int i = 0; i < form.lines(MEASURES); i++) {
            String field = Form.name(MEASURES, i, "rule");
            String code = form.text(MEASURES, i, "code");
            Optional<Measure> known = plan.asked().measures().stream()
                    .filter(measure -> measure.endpoint().code().value().equals(code))
                    .findFirst();
            if (known.isEmpty() || form.ticked(MEASURES, i, "drop")) {
                continue;
            }
            measures.add(known.get()
                    .with(
                            problems.limited(field, form.text(MEASURES, i, "rule"), Measure.LONGEST_RULE),
                            problems.limited(field, form.text(MEASURES, i, "scorer"), LONGEST_SCORER),
                            problems.amount(
                                    Form.name(MEASURES, i, "weight"),
                                    form.text(MEASURES, i, "weight"),
                                    UnitOfMeasure.COUNT,
                                    0,
                                    100,
                                    0,
                                    "A weight from 0 to 100; empty leaves it out of the ranking. Accepted: 2."),
                            Problems.choice(
                                    Direction.class,
                                    form.text(MEASURES, i, "better"),
                                    known.get().better())));
        }
        for (int i = 0; i < form.lines(OWN); i++) {
            own(form, i, measures, problems).ifPresent(measures::add);
        }
        SensedLines.read(form, measures, problems, name -> code(name, measures));
        WorkedLines.read(form, measures, problems, name -> code(name, measures));
        if (measures.size() > Asked.MOST_MEASURES) {
            problems.add(
                    "own[0].name",
                    "At most " + Asked.MOST_MEASURES + " endpoints; there are " + measures.size()
                            + ". Leave some out.");
        }
        if (measures.isEmpty()) {
            problems.add("own[0].name", "Nothing would be measured. Keep an endpoint, or write one of your own.");
        }
        return measures;
    }

    /** An endpoint of the planner's own. */
    private static Optional<Measure> own(Form form, int i, List<Measure> before, Problems problems) {
        String name = form.text(OWN, i, "name");
        if (name.isEmpty()) {
            return Optional.empty();
        }
        String field = Form.name(OWN, i, "name");
        Own kind = Problems.choice(Own.class, form.text(OWN, i, "kind"), Own.NUMBER);
        if (kind != Own.NUMBER) {
            return unmeasured(form, i, kind, name, before, problems);
        }
        String spelled = form.text(OWN, i, "unit");
        Optional<UnitOfMeasure> unit =
                spelled.isEmpty() ? Optional.of(UnitOfMeasure.COUNT) : UnitOfMeasure.spelled(spelled);
        if (unit.isEmpty()) {
            problems.add(
                    field,
                    "“" + spelled
                            + "” is not a unit known here. Accepted: mm, g, %, points, mS/cm, or nothing for a count.");
            return Optional.empty();
        }
        int subs = problems.whole(
                field,
                form.text(OWN, i, "several"),
                1,
                MOST_SUBS,
                1,
                "1 to " + MOST_SUBS + " readings a unit. Accepted: 3.");
        int decimals = problems.whole(field, form.text(OWN, i, "decimals"), 0, 4, 0, "0 to 4 decimals. Accepted: 1.");
        double highest = problems.amount(
                field,
                form.text(OWN, i, "highest"),
                unit.get(),
                1e-6,
                1e8,
                1e6,
                "The highest value that can be true. Accepted: 10.");
        String code = code(name, before);
        return problems.tried(
                field,
                () -> Measure.byHand(
                        new Endpoint(
                                new EndpointCode(code),
                                problems.limited(field, name, Treatment.LONGEST_NAME),
                                unit.get(),
                                subs > 1 ? Counting.SUB_READINGS : Counting.SINGLE,
                                subs,
                                0,
                                highest,
                                decimals,
                                null),
                        problems.limited(field, form.text(OWN, i, "rule"), Measure.LONGEST_RULE),
                        "",
                        0,
                        Direction.HIGHER,
                        0.2,
                        30));
    }

    /** How an endpoint of one's own is read. */
    public enum Own {
        NUMBER("a number"),
        PLACE("a place, 1 the best"),
        WORDS("words");

        private final String label;

        Own(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** A place or words: without a unit. */
    private static Optional<Measure> unmeasured(
            Form form, int i, Own kind, String name, List<Measure> before, Problems problems) {
        String field = Form.name(OWN, i, "name");
        EndpointCode code = new EndpointCode(code(name, before));
        String limited = problems.limited(field, name, Treatment.LONGEST_NAME);
        return problems.tried(
                field,
                () -> Measure.byHand(
                        kind == Own.PLACE ? Endpoint.place(code, limited) : Endpoint.words(code, limited),
                        problems.limited(field, form.text(OWN, i, "rule"), Measure.LONGEST_RULE),
                        "",
                        0,
                        kind == Own.PLACE ? Direction.LOWER : Direction.EITHER,
                        0.4,
                        20));
    }

    /** A code made of the name, unlike those before. */
    private static String code(String name, List<Measure> before) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^[^a-z]+|-+$", "");
        String stem = plain.isEmpty() ? "own" : plain.substring(0, Math.min(30, plain.length()));
        String code = stem;
        for (int number = 2; taken(code, before); number++) {
            code = stem + "-" + number;
        }
        return code;
    }

    private static boolean taken(String code, List<Measure> before) {
        return before.stream()
                .anyMatch(measure -> measure.endpoint().code().value().equals(code));
    }
}
