package elsom.core.protocol.liming;

import elsom.core.chemistry.LimeDose;
import elsom.core.chemistry.Titration;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/**
 * pH over the amount of lime or sulfur.
 *
 * @param product as the plan calls it
 * @param kind what it is, by that name
 * @param stillActing what is to be said of a look that comes before most of it has worked; empty afterwards
 * @param unit of amounts
 * @param curve not estimable with the reason in words
 * @param halfWidth of the 95 % interval of an amount's mean pH, by the scatter of all jars; 0 with one jar each
 * @param drift from the look before to this, jar by jar; empty at the first look
 * @param unitMl what one jar or pot is filled with
 */
public record TitrationResult(
        String product,
        Product kind,
        String stillActing,
        UnitOfMeasure unit,
        Look look,
        List<Jar> jars,
        Outcome<Titration> curve,
        double halfWidth,
        Optional<Drift> drift,
        double unitMl)
        implements Section {
    @Override
    public Subject subject() {
        return Subject.of("ph");
    }

    @Override
    public Account account(TrialRecord record) {
        return new TitrationAccount(record, this).account();
    }

    /** A jar; {@code arm} is its treatment's index. */
    public record Jar(String unit, int arm, double amount, double ph) {}

    /**
     * How pH moved between two looks.
     *
     * @param mean over jars, with its 95 % interval
     * @param moving whether it moves by more than a meter's trust, and by more than chance
     */
    public record Drift(Look before, double mean, Interval interval, boolean moving) {}

    public TitrationResult {
        jars = List.copyOf(jars);
    }

    /** The lowest and the highest mean pH that was reached; empty without a curve. */
    public Optional<Interval> range() {
        return curve.asOptional()
                .map(found -> new Interval(
                        found.meanPh().stream().mapToDouble(ph -> ph).min().orElseThrow(),
                        found.meanPh().stream().mapToDouble(ph -> ph).max().orElseThrow()));
    }

    /** The dose for a target of the product that was tested. */
    public Outcome<LimeDose> dose(double targetPh) {
        return curve.then(found -> LimeDose.of(found, targetPh, halfWidth, LimeDose.PURE, LimeDose.PURE));
    }
}
