package elsom.web.kit;

import elsom.core.trial.LookState;
import java.util.ArrayList;
import java.util.List;

/**
 * A trial's looks on a strip as small as a line of a list; what it shows is said in words beside it.
 *
 * @param nowAt where now is, in percent of its width
 */
public record SmallBar(List<Dot> dots, double nowAt) {
    /** A look, in percent of the width. */
    public record Dot(double at, LookState state) {}

    /**
     * The strip of a trial.
     *
     * @param hours of its looks after the start, in order; not empty
     * @param next the number of the first look with something left to do; 0 when all are done
     * @param state of that look
     * @param now hours after the start
     */
    public static SmallBar of(List<Double> hours, int next, LookState state, double now) {
        List<Double> places = TimeBar.places(hours);
        List<Dot> dots = new ArrayList<>();
        for (int look = 1; look <= hours.size(); look++) {
            LookState stands = next == 0 || look < next ? LookState.DONE : look == next ? state : LookState.PLANNED;
            dots.add(new Dot(places.get(look - 1), stands));
        }
        return new SmallBar(dots, TimeBar.at(now, hours, places));
    }
}
