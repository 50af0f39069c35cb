package elsom.core.plan;

import elsom.core.design.LayoutKind;
import elsom.core.quantity.Decimals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** From one trial to the next: the same plan with treatments dropped, more replicates, or chosen units kept. */
public final class PlanCopy {
    private PlanCopy() {}

    /**
     * The same plan anew.
     *
     * @param dropped numbers of treatments that are left out
     * @param start of the new trial
     * @param seed of the new draw
     */
    public static Plan anew(
            Plan plan, TrialRecord from, Set<Integer> dropped, int replicates, Instant start, long seed) {
        List<String> words = new ArrayList<>();
        List<PlannedTreatment> all = plan.treatments().all();
        dropped.stream()
                .sorted()
                .forEach(number -> words.add("without " + all.get(number - 1).name()));
        if (replicates != plan.arrangement().replicates()) {
            words.add(replicates + " of each instead of " + plan.arrangement().replicates());
        }
        Arrangement arrangement = plan.arrangement().withReplicates(replicates).drawnFrom(seed);
        return started(plan, start)
                .with(without(plan.treatments(), dropped), plan.pots())
                .with(arrangement)
                .with(renumbered(plan, from, dropped))
                .from(origin(plan, from, String.join("; ", words), List.of()));
    }

    /**
     * A second stage with units that go on. Treatments of which no unit is kept are left out.
     *
     * @param kept codes of the units that go on
     */
    public static Plan secondStage(Plan plan, TrialRecord from, Set<UnitCode> kept, Instant start, long seed) {
        Set<Integer> alive = new TreeSet<>();
        List<ExperimentalUnit> going =
                from.units().stream().filter(unit -> kept.contains(unit.code())).toList();
        going.forEach(unit -> alive.add(unit.treatment()));
        Set<Integer> dropped = new TreeSet<>();
        for (int number = 1; number <= plan.treatments().size(); number++) {
            if (!alive.contains(number)) {
                dropped.add(number);
            }
        }
        Map<Integer, Integer> numbers = new LinkedHashMap<>();
        alive.forEach(number -> numbers.put(number, numbers.size() + 1));
        List<PlanOrigin.Kept> units = going.stream()
                .map(unit -> new PlanOrigin.Kept(unit.code(), Objects.requireNonNull(numbers.get(unit.treatment()))))
                .toList();
        Arrangement arrangement = plan.arrangement().drawnFrom(seed);
        return started(plan, start)
                .with(without(plan.treatments(), dropped), plan.pots())
                .with(new Arrangement(
                        LayoutKind.COMPLETELY_RANDOM,
                        arrangement.replicates(),
                        arrangement.sites().subList(0, 1),
                        false,
                        0,
                        false,
                        arrangement.rotateEveryDays(),
                        seed,
                        List.of()))
                .with(renumbered(plan, from, dropped))
                .from(origin(plan, from, Decimals.upTo(units.size(), 0) + " units kept", units));
    }

    private static PlanOrigin origin(Plan plan, TrialRecord from, String change, List<PlanOrigin.Kept> kept) {
        return new PlanOrigin(
                from.trial().id().value(), plan.question(), change.isEmpty() ? "the same again" : change, kept);
    }

    private static Plan started(Plan plan, Instant start) {
        Schedule schedule = plan.schedule();
        if (!schedule.endsTogether()) {
            return plan.with(schedule.startingTogether(start));
        }
        Duration longest = schedule.runs().stream().max(Duration::compareTo).orElse(Duration.ZERO);
        return plan.with(schedule.endingTogether(start.plus(longest), schedule.runs()));
    }

    private static Treatments without(Treatments treatments, Set<Integer> dropped) {
        List<PlannedTreatment> all = treatments.all();
        if (!treatments.factorial()) {
            List<PlannedTreatment> left = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                if (!dropped.contains(i + 1)) {
                    left.add(all.get(i));
                }
            }
            return Treatments.listed(left);
        }
        List<List<Integer>> struck = new ArrayList<>(treatments.struck());
        dropped.forEach(number -> struck.add(all.get(number - 1).levels()));
        return Treatments.crossed(treatments.factors(), treatments.base(), struck);
    }

    /** Questions by their new numbers; one whose comparator or every treatment is dropped goes too. */
    private static Asked renumbered(Plan plan, TrialRecord from, Set<Integer> dropped) {
        Map<Integer, Integer> numbers = new LinkedHashMap<>();
        for (int number = 1; number <= plan.treatments().size(); number++) {
            if (!dropped.contains(number)) {
                numbers.put(number, numbers.size() + 1);
            }
        }
        List<Question> questions = new ArrayList<>();
        for (Question question : plan.asked().questions()) {
            List<Integer> left = question.treatments().stream()
                    .filter(numbers::containsKey)
                    .map(numbers::get)
                    .toList();
            boolean asksNothing = left.isEmpty() && !question.treatments().isEmpty();
            boolean compares = question.comparator() == 0 || numbers.containsKey(question.comparator());
            if (compares && !asksNothing) {
                questions.add(new Question(
                        left,
                        question.comparator() == 0 ? 0 : Objects.requireNonNull(numbers.get(question.comparator())),
                        question.endpoint(),
                        question.direction(),
                        question.matters(),
                        question.inPercent(),
                        Stated.BEFORE_START,
                        question.more()));
            }
        }
        return new Asked(
                plan.question(),
                plan.asked().crop(),
                questions,
                plan.asked().measures().stream()
                        .map(measure -> asSeen(measure, from))
                        .toList());
    }

    /** Reckoned with the scatter that units had before, so that what is promised of the next trial is what this one showed. */
    private static Measure asSeen(Measure measure, TrialRecord from) {
        return PastScatter.of(List.of(from), measure.endpoint().code())
                .map(seen -> measure.scattering(DetectableTable.scatter(measure, Optional.of(seen))))
                .orElse(measure);
    }
}
