package elsom.core.practice;

import elsom.core.design.Layout;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A plan made in the planner, seen as a practice level sees it: what it costs, what it can tell, what it names. */
public final class Planned {
    private static final double MINUTES_TO_SET_UP = 4;
    private static final double A_POT = 0.9;
    private static final double MINUTES_A_LOOK = 10;
    private static final double FLAT_CM = 10;

    private Planned() {}

    /**
     * What a plan takes.
     *
     * @param money for containers, media, seed and what is given
     */
    public record Costs(int places, double hours, double money) {
        /** Whether the budget covers it. */
        public boolean within(Brief.Budget budget) {
            return places <= budget.places() && hours <= budget.hours() && money <= budget.money();
        }
    }

    /** What a plan takes: 4 minutes and 0.90 to set a unit up, 10 minutes a look, and the seconds of each reading. */
    public static Costs costs(Plan plan) {
        int units = plan.units();
        double seconds = 0;
        for (PlannedLook look : plan.schedule().looks()) {
            seconds += MINUTES_A_LOOK * 60;
            for (var code : look.endpoints()) {
                seconds += plan.asked()
                                .measure(code)
                                .map(measure -> measure.secondsEach()
                                        * (double)
                                                Math.max(1, measure.endpoint().readingsEach()))
                                .orElse(0.0)
                        * units;
            }
        }
        double hours = (units * MINUTES_TO_SET_UP * 60 + seconds) / 3600;
        return new Costs(units, hours, units * A_POT);
    }

    /** Treatments of a plan that there is nothing for on the level's shelf. */
    public static List<String> unknown(Level level, Plan plan) {
        return plan.treatments().all().stream()
                .filter(treatment ->
                        level.meant(words(treatment, plan.container(treatment))).isEmpty())
                .map(PlannedTreatment::name)
                .toList();
    }

    private static String words(PlannedTreatment treatment, Container container) {
        return words(treatment.name(), treatment.mix(), container);
    }

    /** What is said of a treatment in all: its name, its medium, and whether its container is flat or tall. */
    static String words(String name, String material, Container container) {
        return name + " " + material + (container.depthCm() > FLAT_CM ? " tub" : " bowl");
    }

    /** The treatment of the shelf that one of a trial is. */
    static Optional<String> meant(Level level, TrialRecord record, ExperimentalUnit unit) {
        Treatment treatment = record.treatment(unit);
        return level.meant(words(treatment.name(), treatment.material(), record.container(unit)));
    }

    /**
     * What decides what a plan can tell; empty when it has treatments that the level doesn't know.
     *
     * @param best how many of the best are measured of each treatment but the first; 0 for all
     */
    public static Optional<Trialled> of(Level level, Plan plan, TrialRecord drawn, int best) {
        List<String> treatments = new ArrayList<>();
        for (PlannedTreatment treatment : plan.treatments().all()) {
            level.meant(words(treatment, plan.container(treatment)))
                    .filter(name -> !treatments.contains(name))
                    .ifPresent(treatments::add);
        }
        if (treatments.isEmpty()) {
            return Optional.empty();
        }
        int units = Math.min(Trialled.MOST_UNITS, plan.arrangement().replicates());
        double last = plan.schedule().looks().stream()
                .filter(look ->
                        look.endpoints().contains(level.brief().measured().endpoint()))
                .map(PlannedLook::after)
                .mapToDouble(
                        after -> after.toMinutes() / (double) Duration.ofDays(1).toMinutes())
                .max()
                .orElse(0);
        return Optional.of(new Trialled(
                treatments, units, placing(plan, drawn), Math.max(0, Math.min(400, last)), Math.min(best, units)));
    }

    /** A side each where every treatment's units stand together along the walk from the light. */
    private static Trialled.Placing placing(Plan plan, TrialRecord drawn) {
        if (plan.arrangement().kind() != LayoutKind.COMPLETELY_RANDOM) {
            return Trialled.Placing.BLOCKS;
        }
        Map<Integer, List<Integer>> stands = new HashMap<>();
        var places = Layout.places(drawn.benches());
        for (ExperimentalUnit unit : drawn.units()) {
            stands.computeIfAbsent(unit.treatment(), key -> new ArrayList<>()).add(places.indexOf(unit.position()));
        }
        boolean together = plan.arrangement().replicates() > 1
                && stands.values().stream().allMatch(own -> spread(own) < own.size());
        return together ? Trialled.Placing.SIDE_BY_SIDE : Trialled.Placing.BY_LOT;
    }

    private static int spread(List<Integer> places) {
        return places.stream().mapToInt(i -> i).max().orElse(0)
                - places.stream().mapToInt(i -> i).min().orElse(0);
    }

    /** Whether a look of a trial decides the level. */
    public static boolean decides(Level level, Look look) {
        return look.endpoints().contains(level.brief().measured().endpoint());
    }
}
