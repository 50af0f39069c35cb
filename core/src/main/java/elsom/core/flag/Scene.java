package elsom.core.flag;

import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.analysis.Observed;
import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What flag rules look at.
 *
 * @param askedLate whether the question was added when readings were there already
 * @param range lowest and highest value that can be true; empty when nobody said
 * @param expected what the control must show for the trial to hold; empty when its kind asks for nothing
 */
public record Scene(
        Observations observations,
        Judgement judgement,
        boolean asksMargin,
        boolean askedLate,
        Optional<Interval> range,
        Optional<Expected> expected) {
    /**
     * What the control's mean must be.
     *
     * @param sentence as people say it: "the control must germinate to 80 %"
     */
    public record Expected(Interval range, String sentence) {}

    public static Scene of(Observations observations, Judgement judgement) {
        return new Scene(observations, judgement, false, false, Optional.empty(), Optional.empty());
    }

    List<Observed> of(int arm) {
        return observations.seen().stream().filter(unit -> unit.arm() == arm).toList();
    }

    /** Values of a treatment's seen units, those that have come. */
    double[] values(int arm) {
        return of(arm).stream()
                .mapToDouble(unit -> unit.value().inSums())
                .filter(Double::isFinite)
                .toArray();
    }

    String name(int arm) {
        return observations.arms().get(arm).name();
    }

    int arms() {
        return observations.arms().size();
    }

    /** Arms with one unit or more set up. */
    IntStream used() {
        return IntStream.range(0, arms()).filter(arm -> observations.planned(arm) > 0);
    }
}
