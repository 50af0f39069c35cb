package elsom.core.dose;

import elsom.core.stats.Interval;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A curve fitted through a dose series: the mean of several, each with the weight that the data give it. */
public sealed interface DoseCurve permits MeasuredCurves, CountedCurves {
    /**
     * A curve of those that are averaged.
     *
     * @param label in words
     * @param weight 0 to 1; all together 1
     */
    record Part(String label, double weight) {}

    /** What a percentage of the effect is of. */
    enum Meaning {
        BELOW_CONTROL("A tenth less", "A fifth less", "Half as much", "below the control's mean"),
        TO_THE_END(
                "A tenth of the way",
                "A fifth of the way",
                "Half way",
                "of the way from the control's mean to the end of the scale"),
        ABOVE_CONTROL("A tenth more", "A fifth more", "Half as much again", "above the control's mean");

        private final String tenth;
        private final String fifth;
        private final String half;
        private final String of;

        Meaning(String tenth, String fifth, String half, String of) {
            this.tenth = tenth;
            this.fifth = fifth;
            this.half = half;
            this.of = of;
        }

        /** What EC10 is, in words. */
        public String tenth() {
            return tenth;
        }

        /** What EC20 is, in words. */
        public String fifth() {
            return fifth;
        }

        /** What EC50 is, in words. */
        public String half() {
            return half;
        }

        /** What follows "10 %". */
        public String of() {
            return of;
        }
    }

    /**
     * A dose with so much of the effect.
     *
     * @param percent below the control's mean for what falls; of the way from the control to the end of the scale for what
     *     rises towards one; above the control's mean for what rises without an end
     * @param dose infinite where the effect is more likely than not never reached
     * @param interval95 on the dose scale; 0 below and infinite above where it has no such end
     * @param outside whether it lies outside the doses tested
     */
    record Effective(double percent, double dose, Interval interval95, boolean outside) {
        /** Whether its interval says anything: it spans no more than all doses tested, or ends within them. */
        boolean tells(double lowestTested, double highestTested) {
            return interval95.low() >= lowestTested
                    || interval95.high() <= highestTested / lowestTested * interval95.low();
        }
    }

    /** What the percentages of its doses are of. */
    Meaning meaning();

    /** What is averaged, the heaviest first. */
    List<Part> parts();

    /** The fitted response at a dose. */
    double at(double dose);

    /** The 95 % interval of the fitted response at a dose; empty where it can't be had. */
    Optional<Interval> bandAt(double dose);

    /** Empty where nothing can be said. */
    Optional<Effective> effective(double percent);

    /** Chance of missing the doses' means by so much when the curve is right; empty without replicates. */
    OptionalDouble lackOfFitP();

    /** Who described curves and averaging. */
    String source();
}
