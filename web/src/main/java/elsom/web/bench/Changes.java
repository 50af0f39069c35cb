package elsom.web.bench;

import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What was read at a look since a page last heard of it.
 *
 * @param seen the number of the last reading
 * @param done how many observations of the look are made
 */
record Changes(long seen, int done, List<Change> changes) {
    /**
     * An observation that was made, corrected or taken back.
     *
     * @param station where
     * @param current the reading that stands now; null for none
     */
    record Change(
            String key, String station, BenchData.@Nullable Current current, List<BenchData.Correction> history) {}

    /** Readings after the one numbered {@code since}. */
    static Changes of(TrialRecord record, Look look, long since) {
        Map<ReadingRef, Reading> latest = new LinkedHashMap<>();
        record.readings().stream()
                .filter(reading -> reading.id().value() > since && reading.ref().look() == look.number())
                .forEach(reading -> latest.put(reading.ref(), reading));
        List<Change> changes = latest.entrySet().stream()
                .map(one -> new Change(
                        BenchData.key(one.getKey()),
                        one.getValue().station(),
                        record.current(one.getKey())
                                .map(reading -> BenchData.current(
                                        reading, record.endpoint(one.getKey().endpoint())))
                                .orElse(null),
                        BenchData.history(record, one.getKey())))
                .toList();
        return new Changes(BenchData.lastOf(record), record.progress(look).done(), changes);
    }
}
