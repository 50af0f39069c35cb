package elsom.web.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the bench is told about a reading it sent.
 *
 * @param status what became of it
 * @param current the reading that stands now; null for none
 * @param message why it was not taken, or what looks odd about it; empty when all is well
 * @param nothing keys of what can't be read of the unit now, as its count fell short
 */
record EntryAnswer(
        Status status,
        String key,
        BenchData.@Nullable Current current,
        List<BenchData.Correction> history,
        String message,
        List<String> nothing,
        int done,
        int expected) {
    /** What became of a reading. */
    enum Status {
        SAVED,
        ODD,
        STALE,
        REFUSED
    }
}
