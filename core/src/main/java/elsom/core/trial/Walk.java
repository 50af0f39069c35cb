package elsom.core.trial;

import java.util.ArrayList;
import java.util.List;

/** What is read by hand at a look, and in which order. */
public final class Walk {
    private Walk() {}

    /**
     * The endpoints of a look that somebody reads: what a sensor's series gives is not asked for. A look of such
     * endpoints alone asks for them all, so that a lost file can be made good by hand. What is skipped is not asked for,
     * unless nothing would be left to ask for.
     */
    public static List<EndpointCode> byHand(TrialRecord record, Look look) {
        List<EndpointCode> read = look.endpoints().stream()
                .filter(code -> record.endpoint(code).byHand())
                .toList();
        List<EndpointCode> asked = read.isEmpty() ? look.endpoints() : read;
        List<EndpointCode> left = asked.stream()
                .filter(code -> record.skipped(look.number(), code).isEmpty())
                .toList();
        return left.isEmpty() ? asked : left;
    }

    /**
     * Units in the order they are read at a look: along the shelf and back; of a blind trial in a random order of each
     * look, so that neither the last score nor a row of likes leads the next one.
     */
    public static List<ExperimentalUnit> units(TrialRecord record, Look look) {
        List<ExperimentalUnit> order = new ArrayList<>(record.benchOrder());
        if (record.trial().blind()) {
            BlindOrder.shuffle(order, record.trial().seed(), "look " + look.number());
        }
        return List.copyOf(order);
    }
}
