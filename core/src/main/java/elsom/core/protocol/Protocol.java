package elsom.core.protocol;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Hours;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Pots;
import elsom.core.plan.Recurring;
import elsom.core.plan.Rules;
import elsom.core.plan.Schedule;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/** A kind of trial: what is measured when, how to prepare, what to be careful of, and how it is worked out. */
public interface Protocol {
    ProtocolCode code();

    /** What it is called, in a grower's words. */
    String name();

    /** What it tells, in a sentence. */
    String purpose();

    /** An example of the question it answers. */
    String exampleQuestion();

    /** What may be measured, with its rule and what units usually scatter. */
    List<Measure> measures();

    /** Whether treatments are usually strengths of one thing, so that a plan opens with a grid for them. */
    default boolean series() {
        return false;
    }

    /** What is asked of each treatment beforehand. */
    List<TreatmentProperty> properties();

    /** The classes treatments are ranked within; empty for none. */
    List<String> kinds();

    /** Looks to begin a plan with. */
    List<PlannedLook> usualLooks();

    /** Recurring steps to begin a plan with. */
    List<Recurring> usualSteps();

    /** What to do before the start, with cautions in place. */
    List<Step> preparation();

    /** When its answer holds, and when it does not. */
    List<String> validity();

    /** What a unit usually is. */
    Habit habit();

    /**
     * How a trial of this kind is usually set up.
     *
     * @param plants measured in a unit; 0 when nothing grows
     * @param seeds sown in a unit; 0 when nothing is sown
     * @param doseMl of drench or solution a unit gets at a time; 0 for none
     * @param endsTogether whether treatments usually start apart and end together
     */
    record Habit(int replicates, LayoutKind layout, int plants, int seeds, double doseMl, boolean endsTogether) {
        public static final Habit POTS = new Habit(4, LayoutKind.BLOCKS, 0, 0, 0, false);
    }

    /** What to do before a look. */
    Step stepBefore(TrialRecord record, Look look);

    /** Whether a value looks odd beside the unit's own history and its neighbours. */
    Optional<Concern> concern(TrialRecord record, ReadingRef ref, double value);

    /** Settings that only this kind of trial has, as sentences for the report. */
    default List<String> settings(Plan plan) {
        return List.of();
    }

    /** What is looked at to work a trial out, in the order findings are shown. */
    List<Analysis> analyses();

    /** What findings say of a trial. */
    default Findings findings(Evidence evidence) {
        return Findings.of(evidence, analyses());
    }

    /** A plan to begin with, without treatments. */
    default Plan begin(String question, ZoneId zone, Instant start, Pots pots, long seed) {
        Habit habit = habit();
        return new Plan(
                code(),
                new Asked(question, "", List.of(), measures()),
                Treatments.NONE,
                new Pots(
                        pots.container(),
                        pots.volumeMl(),
                        habit.plants(),
                        habit.seeds(),
                        pots.thousandSeedG(),
                        pots.settling(),
                        pots.spare(),
                        habit.doseMl()),
                new Arrangement(
                        habit.layout(),
                        habit.replicates(),
                        List.of(Site.named("Bench")),
                        true,
                        1,
                        false,
                        0,
                        seed,
                        List.of()),
                new Schedule(zone, start, null, List.of(), usualLooks(), usualSteps(), Hours.ANY),
                Rules.USUAL,
                null);
    }
}
