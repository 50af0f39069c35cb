package elsom.core.results;

import elsom.core.analysis.Comparison;
import elsom.core.analysis.Observed;
import elsom.core.analysis.Value;
import java.util.List;

/** Tells times of which some have not come: "drench: none of 6 by day 28; control at 21 days". */
final class TimesWording {
    private final JudgedQuestion question;

    TimesWording(JudgedQuestion question) {
        this.question = question;
    }

    /** Whether something of a pair has not come. */
    boolean open(Comparison c) {
        return waiting(c.treatment()) + waiting(c.comparator()) > 0;
    }

    String told(Comparison c) {
        return told(c.treatment()) + "; " + told(c.comparator());
    }

    /** "none of 6 by day 28". */
    String come(int arm) {
        return ofAll(arm) + " by " + question.look().said();
    }

    private String ofAll(int arm) {
        List<Observed> seen = seen(arm);
        long late = waiting(arm);
        return (late == seen.size() ? "none" : String.valueOf(seen.size() - late)) + " of " + seen.size();
    }

    private String told(int arm) {
        List<Observed> seen = seen(arm);
        String name = question.name(arm);
        if (waiting(arm) == 0) {
            double[] days = seen.stream()
                    .mapToDouble(unit -> unit.value().inSums())
                    .sorted()
                    .toArray();
            return name + " at " + question.kind().show((days[(days.length - 1) / 2] + days[days.length / 2]) / 2);
        }
        return name + ": " + ofAll(arm) + " by then";
    }

    private List<Observed> seen(int arm) {
        return question.observations().seen().stream()
                .filter(unit -> unit.arm() == arm)
                .toList();
    }

    private long waiting(int arm) {
        return seen(arm).stream()
                .filter(unit -> unit.value() instanceof Value.NotYet)
                .count();
    }
}
