package elsom.web.plan;

import elsom.core.design.LayoutKind;
import elsom.core.flag.Flag;
import elsom.core.plan.Factor;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.plan.ReadyMade;
import elsom.core.plan.Stated;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Container;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.web.kit.Swatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What the pages of a plan's parts show besides their forms. */
final class Pages {
    static final int BLANK_LINES = 2;

    private Pages() {}

    static Protocol kindOf(Plan plan) {
        return Protocols.find(plan.protocol()).orElseThrow();
    }

    /** A container to choose, with what it holds. */
    public record Offered(String name, String label) {
        static Offered of(Container container) {
            return new Offered(
                    container.name(), container.name() + " · " + Decimals.upTo(container.volumeMl(), 0) + " mL");
        }
    }

    /** A treatment as it is drawn before the trial is. */
    static Swatch swatch(int number, String name) {
        return new Swatch(
                number, Treatment.codeFor(number), name, Texture.forTreatment(number), Tint.forTreatment(number));
    }

    /** Textures for as many treatments as there can be. */
    static List<Swatch> swatches() {
        return IntStream.rangeClosed(1, Treatment.MOST)
                .mapToObj(number -> swatch(number, ""))
                .toList();
    }

    /**
     * The question page.
     *
     * @param sentences what is asked so far, as sentences, with a mark on later ones
     */
    public record QuestionPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            String protocol,
            String purpose,
            List<Sentence> sentences,
            List<Measure> measures,
            List<String> looks,
            List<ReadyMade> ready,
            Set<EndpointCode> unread,
            int askedLines,
            int ownLines,
            List<Swatch> treatments,
            List<String> validity) {
        /** Whether a rule or a weight has a problem, so that they are shown. */
        public boolean isRuleWrong() {
            return problems.all().keySet().stream().anyMatch(field -> field.startsWith("measures["));
        }

        /** What is measured, named. */
        public String measured() {
            return measures.stream().map(measure -> measure.endpoint().name()).collect(Collectors.joining(", "));
        }

        static QuestionPage of(PlanFrame frame, Plan plan, Form form, Problems problems) {
            Protocol protocol = kindOf(plan);
            List<Sentence> sentences = plan.asked().questions().stream()
                    .map(question -> Sentence.of(plan, question))
                    .toList();
            return new QuestionPage(
                    frame,
                    form,
                    problems,
                    protocol.name(),
                    protocol.purpose(),
                    sentences,
                    plan.asked().measures(),
                    plan.schedule().looks().stream().map(PlannedLook::name).toList(),
                    ReadyMade.fitting(plan.asked().measures()),
                    plan.unread().stream()
                            .map(measure -> measure.endpoint().code())
                            .collect(Collectors.toSet()),
                    Math.min(Question.MOST, Math.max(form.lines(QuestionPart.ASKED), sentences.size()) + 1),
                    Math.max(BLANK_LINES, form.lines(QuestionPart.OWN)),
                    swatchesOf(plan),
                    protocol.validity());
        }
    }

    /** A comparison in words. */
    public record Sentence(String text, String later) {
        static Sentence of(Plan plan, Question question) {
            return new Sentence(
                    question.sentence(plan),
                    question.stated() == Stated.BEFORE_START
                            ? ""
                            : question.stated().label());
        }
    }

    static List<Swatch> swatchesOf(Plan plan) {
        List<Swatch> swatches = new ArrayList<>();
        plan.treatments().all().stream()
                .limit(Treatment.MOST)
                .forEach(treatment -> swatches.add(swatch(swatches.size() + 1, treatment.name())));
        return swatches;
    }

    /** The treatments page. */
    public record TreatmentsPage(
            PlanFrame frame,
            Form form,
            Problems problems,
            List<Offered> containers,
            List<String> lots,
            List<String> kinds,
            boolean asksOrganic,
            boolean asksFeed,
            boolean grows,
            int listLines,
            TreatmentsPreview preview) {
        static TreatmentsPage of(
                PlanFrame frame, Plan plan, Form form, Problems problems, List<Container> shelf, List<String> lots) {
            Protocol protocol = kindOf(plan);
            return new TreatmentsPage(
                    frame,
                    form,
                    problems,
                    shelf.stream().map(Offered::of).toList(),
                    lots,
                    protocol.kinds(),
                    protocol.properties().contains(TreatmentProperty.ORGANIC_MATTER),
                    protocol.properties().contains(TreatmentProperty.NITROGEN),
                    protocol.habit().plants() > 0,
                    Math.min(Treatment.MOST, Math.max(4, form.lines(TreatmentsPart.LIST) + BLANK_LINES)),
                    TreatmentsPreview.of(plan, form, problems, lots));
        }
    }

    /** What the treatments come to, while they are typed. */
    public record TreatmentsPreview(
            List<Swatch> treatments,
            List<String> columns,
            List<GridRow> rows,
            List<Flag> flags,
            List<String> mixes,
            Problems problems) {
        static TreatmentsPreview of(Plan plan, Form form, Problems problems, List<String> lots) {
            List<Factor> factors = plan.treatments().factors();
            List<String> columns = factors.size() < 2
                    ? factors.stream().map(Factor::name).toList()
                    : factors.get(factors.size() - 1).levels().stream()
                            .map(factors.get(factors.size() - 1)::told)
                            .toList();
            List<Flag> flags = new ArrayList<>(PlanCheck.ofTreatments(plan));
            flags.addAll(Strangers.of(plan, lots));
            return new TreatmentsPreview(swatchesOf(plan), columns, rows(plan), flags, mixes(plan), problems);
        }

        /** Mixes of two parts or more, each once; those that can't be read are told among the flags. */
        private static List<String> mixes(Plan plan) {
            return plan.treatments().all().stream()
                    .map(PlannedTreatment::mix)
                    .filter(mix -> mix.contains("+"))
                    .distinct()
                    .toList();
        }

        /** A row for each combination of all factors but the last; of a single factor, a row for each level. */
        private static List<GridRow> rows(Plan plan) {
            List<Factor> factors = plan.treatments().factors();
            if (factors.isEmpty()) {
                return List.of();
            }
            List<GridRow> rows = new ArrayList<>();
            List<List<Integer>> struck = plan.treatments().struck();
            int number = 0;
            for (List<Integer> cell : plan.treatments().cells()) {
                if (factors.size() == 1 || cell.get(cell.size() - 1) == 0) {
                    rows.add(new GridRow(name(factors, cell), new ArrayList<>()));
                }
                boolean out = struck.contains(cell);
                number += out ? 0 : 1;
                boolean shown = !out && number <= Treatment.MOST;
                rows.get(rows.size() - 1)
                        .cells()
                        .add(new GridCell(
                                TreatmentsPart.cell(cell),
                                out,
                                shown ? swatch(number, "") : swatch(1, ""),
                                shown ? Treatment.codeFor(number) : ""));
            }
            return rows;
        }

        private static String name(List<Factor> factors, List<Integer> cell) {
            List<String> names = new ArrayList<>();
            for (int i = 0; i < Math.max(1, factors.size() - 1); i++) {
                names.add(factors.get(i).told(factors.get(i).levels().get(cell.get(i))));
            }
            return String.join(" · ", names);
        }
    }

    /** A row of the grid of factors. */
    public record GridRow(String name, List<GridCell> cells) {}

    /** A cell of the grid. */
    public record GridCell(String key, boolean struck, Swatch swatch, String code) {}

    /** Ways to lay out, for the form. */
    static List<LayoutKind> layouts() {
        return List.of(LayoutKind.values());
    }
}
