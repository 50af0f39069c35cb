package elsom.core.plan;

import elsom.core.design.Association;
import elsom.core.design.DoseSeries;
import elsom.core.flag.Flag;
import elsom.core.flag.FlagCode;
import elsom.core.mix.Mix;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TreatmentProperty;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What a plan can't answer, said before anything is sown: no control, one unit each, two things changed together, equal
 * spoons of unequal products, a series that stops short of the effect.
 */
public final class PlanCheck {
    private static final double ALIKE = 0.05;

    /** More often than this a difference that matters would be missed: less than 80 % power. */
    private static final double MISSED = 0.2;

    private final Plan plan;
    private final List<PlannedTreatment> all;
    private final List<Flag> flags = new ArrayList<>();

    private PlanCheck(Plan plan) {
        this.plan = plan;
        this.all = plan.treatments().all();
    }

    /** What is wrong with the treatments; empty when there is nothing to say or there are no treatments yet. */
    public static List<Flag> ofTreatments(Plan plan) {
        PlanCheck check = new PlanCheck(plan);
        if (!check.all.isEmpty()) {
            check.control();
            check.changedTogether();
            check.nitrogen();
            plan.treatments().factors().stream()
                    .filter(factor -> factor.kind() == FactorKind.DOSE)
                    .forEach(check::series);
            check.mixes();
            check.shares();
        }
        return List.copyOf(check.flags);
    }

    /** What is wrong with the whole plan, the most serious first. */
    public static List<Flag> of(Plan plan) {
        PlanCheck check = new PlanCheck(plan);
        check.flags.addAll(ofTreatments(plan));
        check.questions();
        check.looks();
        check.size();
        check.unread();
        check.formulas();
        check.power();
        check.flags.sort((a, b) -> b.severity().compareTo(a.severity()));
        return List.copyOf(check.flags);
    }

    private void flag(Flag.Severity severity, String seen, String why, String next) {
        flags.add(new Flag(FlagCode.PLAN, severity, seen, why, next, List.of()));
    }

    /** A share of a mix needs the rest of it. */
    private void shares() {
        List<Factor> shares = plan.treatments().factors().stream()
                .filter(factor -> factor.kind() == FactorKind.SHARE)
                .toList();
        boolean material =
                plan.treatments().factors().stream().anyMatch(factor -> factor.kind() == FactorKind.MATERIAL);
        if (!shares.isEmpty() && (plan.treatments().base().isBlank() || !material)) {
            flag(
                    Flag.Severity.WRONG,
                    "“" + shares.get(0).name() + "” is a share of a mix, yet "
                            + (material ? "nothing says what the rest of it is." : "no factor says of which material."),
                    "Units would be filled with the pure material, or with none of it.",
                    material
                            ? "Write the base medium, such as leaf mould."
                            : "Add a factor about what it is made of, or name the factor a dose.");
        }
        if (shares.stream()
                .flatMap(factor -> factor.levels().stream())
                .anyMatch(level -> level.amount() != null && level.amount() > 100)) {
            flag(
                    Flag.Severity.WRONG,
                    "A share of a mix is above 100 %.",
                    "There is no more of it than all.",
                    "Write shares from 0 to 100 %.");
        }
    }

    private void control() {
        if (all.stream().noneMatch(PlannedTreatment::isControl)) {
            flag(
                    Flag.Severity.CAUTION,
                    "There is no control.",
                    "Without one, nothing says what would have happened anyway.",
                    "Mark the treatment the others are compared with, or add an untreated one.");
        }
        if (all.size() == 1) {
            flag(
                    Flag.Severity.WRONG,
                    "There is one treatment only.",
                    "One alone is better or worse than nothing.",
                    "Add what you would use otherwise.");
        }
    }

    private void changedTogether() {
        for (Association.Tied tied : Association.tied(TreatmentAttributes.of(plan))) {
            flag(
                    Flag.Severity.CAUTION,
                    Sentence.capital(tied.one().name()) + " and " + tied.other().name() + " change together.",
                    "Whatever comes out, you can't say which of the two did it.",
                    "Keep one the same, or add the treatments that have one without the other.");
        }
    }

    /** Products of different strength by the same spoon. */
    private void nitrogen() {
        List<PlannedTreatment> fed = all.stream()
                .filter(t -> t.properties().getOrDefault(TreatmentProperty.PRODUCT_RATE, 0.0) > 0
                        && t.properties().getOrDefault(TreatmentProperty.NITROGEN, 0.0) > 0)
                .toList();
        if (fed.size() < 2 || alike(fed.stream().map(PlanCheck::nitrogenRate).toList())) {
            return;
        }
        boolean equalSpoon = alike(fed.stream().map(PlanCheck::rate).toList());
        String given = fed.stream()
                .map(t -> t.name() + " " + Decimals.upTo(nitrogenRate(t), 3) + " g N/L")
                .collect(Collectors.joining(", "));
        double target = nitrogenRate(fed.get(0));
        String equal = fed.stream()
                .map(t -> t.name() + " "
                        + Decimals.upTo(
                                target / Objects.requireNonNull(t.properties().get(TreatmentProperty.NITROGEN)), 2)
                        + " g/L")
                .collect(Collectors.joining(", "));
        flag(
                Flag.Severity.CAUTION,
                (equalSpoon ? "Equal spoon, not equal nitrogen: " : "Product and nitrogen both differ: ") + given + ".",
                "The stronger product wins by its nitrogen, and nothing is learnt of the products.",
                "For equal nitrogen give " + equal + "; or say that the spoon is the question.");
    }

    private static double rate(PlannedTreatment treatment) {
        return Objects.requireNonNull(treatment.properties().get(TreatmentProperty.PRODUCT_RATE));
    }

    private static double nitrogenRate(PlannedTreatment treatment) {
        return rate(treatment) * Objects.requireNonNull(treatment.properties().get(TreatmentProperty.NITROGEN));
    }

    private static boolean alike(List<Double> values) {
        double low = values.stream().mapToDouble(v -> v).min().orElse(0);
        double high = values.stream().mapToDouble(v -> v).max().orElse(0);
        return high - low <= ALIKE * high;
    }

    private void series(Factor factor) {
        if (!factor.measured()) {
            return;
        }
        List<Double> doses = factor.levels().stream()
                .map(level -> Objects.requireNonNull(level.amount()))
                .sorted()
                .toList();
        Double effect = factor.expectedEffect();
        if (effect != null && doses.get(doses.size() - 1) <= effect) {
            flag(
                    Flag.Severity.CAUTION,
                    "No level of " + factor.name() + " lies above " + shown(factor, effect)
                            + ", where you expect the effect.",
                    "If nothing happens, you have only learnt that the series was too short.",
                    "Add a level well above it.");
        }
        if (effect != null && doses.stream().noneMatch(dose -> dose > 0 && dose < effect)) {
            flag(
                    Flag.Severity.CAUTION,
                    "No level of " + factor.name() + " lies between none and " + shown(factor, effect) + ".",
                    "The dose without harm would be none at all.",
                    "Add a level well below the expected effect.");
        }
        if (doses.size() < DoseSeries.FEWEST_FOR_A_CURVE) {
            flag(
                    Flag.Severity.NOTE,
                    factor.name() + " has " + doses.size() + " levels.",
                    "A dose-response curve needs " + DoseSeries.FEWEST_FOR_A_CURVE
                            + " or more; with fewer, levels are only compared with the control.",
                    "Add levels between the lowest and the highest.");
        }
        if (factor.labelRate() != null && !doses.contains(factor.labelRate())) {
            flag(
                    Flag.Severity.NOTE,
                    "The label's rate, " + shown(factor, factor.labelRate()) + ", is not among the levels.",
                    "What people will do is then never tested.",
                    "Add it as a level.");
        }
    }

    private static String shown(Factor factor, double amount) {
        return (Decimals.upTo(amount, 4) + " " + factor.unit().symbol()).strip();
    }

    private void mixes() {
        for (PlannedTreatment treatment : all) {
            if (treatment.mix().isBlank()) {
                continue;
            }
            try {
                Mix.parse(treatment.mix());
            } catch (IllegalArgumentException unreadable) {
                flag(
                        Flag.Severity.CAUTION,
                        "The mix of " + treatment.name() + " can't be read: " + unreadable.getMessage() + ".",
                        "Its batch can't be worked out.",
                        "Write parts: 3 leaf mould + 1 GW-32.");
            }
        }
    }

    private void questions() {
        if (plan.asked().questions().isEmpty()) {
            flag(
                    Flag.Severity.NOTE,
                    "No comparison is stated yet.",
                    "What is asked after looking proves less than what was asked before.",
                    "State what is compared with what, on which endpoint, and which difference would matter.");
        }
        for (Question asked : plan.asked().questions()) {
            Optional<PlannedTreatment> comparator = plan.comparator(asked);
            if (comparator.isEmpty()) {
                flag(
                        Flag.Severity.CAUTION,
                        "“" + asked.sentence(plan) + "” has nothing to compare with.",
                        "There is no control among the treatments.",
                        "Mark a control, or choose another comparator.");
            }
        }
    }

    /** With staggered starts, what a look would find nothing of yet. */
    private void looks() {
        for (PlannedLook look : plan.schedule().looks()) {
            Instant at = plan.schedule().start().plus(look.after());
            String absent = IntStream.rangeClosed(1, all.size())
                    .filter(number -> plan.schedule().endsTogether()
                            && plan.schedule().startOf(number).isAfter(at))
                    .mapToObj(number -> all.get(number - 1).name())
                    .collect(Collectors.joining(", "));
            if (!absent.isEmpty()) {
                flag(
                        Flag.Severity.NOTE,
                        "Look “" + look.name() + "” comes before " + absent
                                + (absent.contains(", ") ? " start." : " starts."),
                        "There is nothing to read of them yet, so the look stays incomplete.",
                        "Move it after the last start, or read the others only.");
            }
        }
    }

    /** What can't be worked out is never known. */
    private void formulas() {
        List<Measure> all = plan.asked().measures();
        all.forEach(measure -> FormulaCheck.problem(all, measure)
                .ifPresent(problem -> flag(
                        Flag.Severity.WRONG,
                        Sentence.inside(measure.endpoint().name()) + " can't be worked out: " + problem,
                        "It would never have a value.",
                        "Put its formula right under “Question”, or leave it out.")));
    }

    /** What no look takes is never read. */
    private void unread() {
        Set<EndpointCode> asked =
                plan.asked().questions().stream().map(Question::endpoint).collect(Collectors.toSet());
        plan.asked().measures().stream()
                .filter(measure -> !measure.endpoint().measured())
                .filter(measure -> asked.contains(measure.endpoint().code()) || measure.weight() > 0)
                .forEach(measure -> flag(
                        Flag.Severity.WRONG,
                        Sentence.inside(measure.endpoint().name()) + " is written in words and can't be compared.",
                        "Words have no mean and no scatter, so the question would never be answered.",
                        "Score it with anchors, or put the units in order of it."));
        Map<Boolean, List<Measure>> unread = plan.unread().stream()
                .collect(Collectors.partitioningBy(
                        measure -> asked.contains(measure.endpoint().code())));
        unread.getOrDefault(true, List.of())
                .forEach(measure -> flag(
                        Flag.Severity.WRONG,
                        "No look takes " + lower(measure) + ", which is asked about.",
                        "It would never be read, and the question never answered.",
                        "Tick it at a look under “Dates and care”, or ask about something that is read."));
        unread.getOrDefault(false, List.of()).stream()
                .filter(measure -> measure.weight() > 0)
                .forEach(measure -> flag(
                        Flag.Severity.CAUTION,
                        "No look takes " + lower(measure) + ", which has a weight.",
                        "The ranking by all together would lack it.",
                        "Tick it at a look under “Dates and care”, or take its weight away."));
    }

    private static String lower(Measure measure) {
        return Sentence.inside(measure.endpoint().name());
    }

    /** Units that are too few would likely miss what matters. */
    private void power() {
        for (Question question : plan.asked().questions()) {
            plan.asked().measure(question.endpoint()).ifPresent(measure -> {
                DetectableTable table = DetectableTable.of(plan, measure, measure.typicalCv(), OptionalDouble.empty());
                double missed =
                        1 - table.at(plan.arrangement().replicates()).power().orElse(1);
                if (missed > MISSED && plan.arrangement().replicates() > 1) {
                    flag(
                            Flag.Severity.CAUTION,
                            "A difference that matters in " + lower(measure) + " would be missed "
                                    + Decimals.percent(missed, 0) + " times in a hundred.",
                            "So “can't tell” is the likely answer, with what units of a treatment usually scatter.",
                            table.needed().isPresent()
                                    ? table.needed().getAsInt() + " units of each would see it four times in five."
                                    : "Ask for a larger difference, or an endpoint that scatters less.");
                }
            });
        }
    }

    private void size() {
        Arrangement arrangement = plan.arrangement();
        if (plan.kept().isEmpty() && arrangement.replicates() == 1) {
            flag(
                    Flag.Severity.WRONG,
                    "One unit of each treatment.",
                    "A difference between two pots is a difference between two pots: it says nothing of the treatments.",
                    "Four of each is a beginning; see what they can tell.");
        }
        if (!plan.kept().isEmpty()) {
            flag(
                    Flag.Severity.NOTE,
                    "The units were chosen, not drawn by lot, from the earlier trial.",
                    "If the best were kept, what follows flatters their treatments.",
                    "Keep all units of a treatment, or say how they were chosen.");
        }
        if (plan.rules().blind() && plan.arrangement().moves().size() > 0) {
            flag(
                    Flag.Severity.NOTE,
                    "Units were moved by hand in a blind trial.",
                    "Whoever moved them may remember which was which.",
                    "Draw again without moves, or let somebody else set up.");
        }
    }
}
