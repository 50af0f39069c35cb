package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Remedy;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanCopy;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The trial that would part the two likeliest causes, filled in from the one that could not. */
public final class NextTrial {
    /** Points of injury. */
    private static final double MATTERS = 2;

    private NextTrial() {}

    /**
     * The plan; empty where a meter tells, or nothing is left to tell.
     *
     * @param start of the new trial
     * @param seed of its draw
     */
    public static Optional<Plan> of(Plan before, TrialRecord from, BioassayResult result, Instant start, long seed) {
        if (result.next().isEmpty() || result.diagnosis().isEmpty()) {
            return Optional.empty();
        }
        NextTest test = result.next().get();
        List<Factor> factors = factors(test, result);
        if (factors.isEmpty()) {
            return Optional.empty();
        }
        Diagnosis found = result.diagnosis().get();
        String question = clipped("What hurts " + plant(result) + " in " + result.lot() + ": "
                + found.first().cause().label() + " or "
                + found.second().cause().label() + "?");
        String change =
                test.words() + test.remedy().map(remedy -> ". " + remedy.how()).orElse("");
        int replicates = Math.min(
                Arrangement.MOST_REPLICATES, Math.max(4, before.arrangement().replicates()));
        return Optional.of(PlanCopy.anew(before, from, Set.of(), replicates, start, seed)
                .with(Treatments.crossed(factors, "", List.of()), before.pots())
                .with(new Asked(
                        question, plant(result), asked(test), before.asked().measures()))
                .from(new PlanOrigin(from.trial().id().value(), before.question(), change, List.of())));
    }

    private static String clipped(String question) {
        return question.length() <= Bounds.QUESTION ? question : question.substring(0, Bounds.QUESTION - 1) + "…";
    }

    /** What was injured most. */
    private static String plant(BioassayResult result) {
        return result.species().get(0).name();
    }

    private static List<Factor> factors(NextTest test, BioassayResult result) {
        Factor lot = named("Mix", FactorKind.MATERIAL, result.clean(), result.lot());
        return switch (test) {
            case CHARCOAL, LEACHING, AIRING, NITROGEN, LIME ->
                List.of(
                        lot,
                        named(
                                "Pair",
                                FactorKind.HANDLING,
                                "as it is",
                                test.remedy().map(Remedy::level).orElse("")));
            case DILUTION ->
                List.of(named(
                        "Mix",
                        FactorKind.MATERIAL,
                        result.clean(),
                        "1 " + result.lot() + " + 3 " + result.clean(),
                        "1 " + result.lot() + " + 1 " + result.clean(),
                        result.lot()));
            case GRASS ->
                List.of(named("Seedling", FactorKind.HANDLING, plant(result), beside(result, "barley", "oat")), lot);
            case LEGUME ->
                List.of(named("Seedling", FactorKind.HANDLING, plant(result), beside(result, "pea", "bean")), lot);
            case EC, PH -> List.of();
        };
    }

    /** Another plant than the one that was injured. */
    private static String beside(BioassayResult result, String usual, String other) {
        return plant(result).equalsIgnoreCase(usual) ? other : usual;
    }

    private static Factor named(String name, FactorKind kind, String... levels) {
        List<Factor.Level> all = new ArrayList<>();
        Stream.of(levels).forEach(level -> all.add(new Factor.Level(level, null, all.isEmpty())));
        return new Factor(name, kind, UnitOfMeasure.COUNT, all, null, null);
    }

    /** With a remedy, the lot is asked about beside itself as it is; else everything beside its control. */
    private static List<Question> asked(NextTest test) {
        boolean pair = test.remedy().isPresent();
        EndpointCode injury = EndpointCode.INJURY;
        return List.of(new Question(
                pair ? List.of(4) : List.of(),
                pair ? 3 : 0,
                injury,
                pair ? Direction.LOWER : Direction.HIGHER,
                MATTERS,
                false,
                Stated.BEFORE_START));
    }
}
