package elsom.web.kit;

import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import java.util.List;

/** Where a unit stands, in words. */
public final class Places {
    private static final List<String> ORDINALS = List.of(
            "first",
            "second",
            "third",
            "fourth",
            "fifth",
            "sixth",
            "seventh",
            "eighth",
            "ninth",
            "tenth",
            "eleventh",
            "twelfth");

    private Places() {}

    /** "block 2, third from the left"; with the bench's name when there is more than one. */
    public static String words(TrialRecord record, ExperimentalUnit unit) {
        int column = unit.position().column();
        String across = column <= ORDINALS.size() ? ORDINALS.get(column - 1) : "place " + column;
        String bench = record.benches().size() > 1
                ? record.bench(unit.position().bench()).name() + ", "
                : "";
        return bench + "block " + unit.block() + ", " + across + " from the left";
    }
}
