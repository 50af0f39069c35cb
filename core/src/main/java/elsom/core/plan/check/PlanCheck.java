package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Plan;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a plan can't answer, said before anything is sown: no control, one unit each, two things changed together, equal
 * spoons of unequal products, a series that stops short of the effect.
 */
public final class PlanCheck {
    private static final List<PlanRule> RULES = List.of(
            new WithoutControl(),
            new NoUntreatedDay(),
            new TiedChanges(),
            new UnequalNitrogen(),
            new ShortSeries(),
            new MixUnread(),
            new ShareOfNothing(),
            new StockUnnamed(),
            new NothingAsked(),
            new LookBeforeStart(),
            new TooFewUnits(),
            new NeverRead(),
            new FormulaBroken(),
            new LikelyMissed());

    private PlanCheck() {}

    /** What is wrong with the treatments; empty when there is nothing to say or there are no treatments yet. */
    public static List<Flag> ofTreatments(Plan plan) {
        PlanRule.Noted noted = new PlanRule.Noted();
        if (!plan.treatments().all().isEmpty()) {
            RULES.stream().filter(PlanRule::ofTreatments).forEach(rule -> rule.check(plan, noted));
        }
        return noted.flags();
    }

    /** What is wrong with the whole plan, the most serious first. */
    public static List<Flag> of(Plan plan) {
        PlanRule.Noted noted = new PlanRule.Noted();
        RULES.stream().filter(rule -> !rule.ofTreatments()).forEach(rule -> rule.check(plan, noted));
        return Stream.concat(ofTreatments(plan).stream(), noted.flags().stream())
                .sorted(Comparator.comparing(Flag::severity).reversed())
                .toList();
    }
}
