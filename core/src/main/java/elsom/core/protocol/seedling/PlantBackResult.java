package elsom.core.protocol.seedling;

import elsom.core.figure.FigureKind;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.seedling.HalfLives;
import elsom.core.seedling.InjuryDecline;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * From which day after a treatment a crop grows clean.
 *
 * @param last whether no later look will read injury again
 * @param limit the most injury beyond the untreated twin's that is let pass, in points
 * @param sowings in order of days
 * @param decline of injury over days, corrected for the twins; not estimable with the reason
 * @param dayAtLimit when that curve falls to the limit
 */
public record PlantBackResult(
        FigureKind kind,
        Look look,
        boolean last,
        double limit,
        List<Sowing> sowings,
        Outcome<InjuryDecline> decline,
        Outcome<InjuryDecline.Day> dayAtLimit)
        implements Section {
    @Override
    public Subject subject() {
        return Subject.of(kind.code());
    }

    @Override
    public Account account(TrialRecord record) {
        return account(record, HalfLives.USUAL);
    }

    /** The same with what is left of a substance by other half-lives. */
    public Account account(TrialRecord record, HalfLives halfLives) {
        return new PlantBackAccount(record, this, halfLives).account();
    }

    /** How far a sowing is clean. */
    public enum Clean {
        YES("clean within the limit"),
        NOT_SHOWN("not shown clean"),
        INJURED("injured"),
        NO_TWIN("no untreated pot"),
        TWIN_FAILED("its untreated pots were injured too");

        private final String label;

        Clean(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** A reading of a unit; {@code arm} is its treatment's index. */
    public record Point(String unit, int arm, boolean treated, double value) {}

    /**
     * All that was sown on a day.
     *
     * @param days since the treatment
     * @param untreated the twin's mean; empty when there is none
     * @param difference treated less untreated, its interval holding for all sowings together
     */
    public record Sowing(
            double days,
            double treated,
            OptionalDouble untreated,
            Optional<Interval> difference,
            Clean clean,
            List<Point> points) {
        public Sowing {
            points = List.copyOf(points);
        }
    }

    public PlantBackResult {
        sowings = List.copyOf(sowings);
    }

    /** The first day from which all later sowings were clean; empty when even the last was not. */
    public OptionalDouble cleanFrom() {
        OptionalDouble from = OptionalDouble.empty();
        for (int i = sowings.size() - 1; i >= 0 && sowings.get(i).clean() == Clean.YES; i--) {
            from = OptionalDouble.of(sowings.get(i).days());
        }
        return from;
    }

    public double lastDay() {
        return sowings.get(sowings.size() - 1).days();
    }

    public boolean withoutTwins() {
        return sowings.stream().allMatch(sowing -> sowing.clean() == Clean.NO_TWIN);
    }
}
