package elsom.core.trial;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.RandomAccess;

/**
 * A trial's readings in order of entry, found by what they are of. Immutable; a log with a reading more shares all but
 * the touched part with the one before, so that adding costs the same in a trial of a hundred readings or of a hundred
 * thousand.
 */
final class ReadingLog {
    private static final ReadingLog EMPTY = new ReadingLog(Map.of(), Chunks.none());

    /** All readings of one endpoint at one look. */
    private record Place(int look, EndpointCode endpoint) {}

    /** One observation within a place. */
    private record Spot(UnitCode unit, int subReading) {}

    private final Map<Place, Map<Spot, List<Reading>>> places;
    private final Chunks<Reading> all;

    private ReadingLog(Map<Place, Map<Spot, List<Reading>>> places, Chunks<Reading> all) {
        this.places = places;
        this.all = all;
    }

    /** Readings in any order. */
    static ReadingLog of(List<Reading> readings) {
        return EMPTY.plus(
                readings.stream().sorted(Comparator.comparing(Reading::id)).toList());
    }

    /** This log with readings entered after all that it holds, in order of entry. */
    ReadingLog plus(List<Reading> entered) {
        if (entered.isEmpty()) {
            return this;
        }
        Map<Place, Map<Spot, List<Reading>>> more = new HashMap<>(places);
        Map<Place, Map<Spot, List<Reading>>> touched = new HashMap<>();
        for (Reading reading : entered) {
            Place place = placeOf(reading.ref());
            Map<Spot, List<Reading>> spots =
                    touched.computeIfAbsent(place, p -> new HashMap<>(more.getOrDefault(p, Map.of())));
            spots.merge(spotOf(reading.ref()), List.of(reading), ReadingLog::joined);
        }
        more.putAll(touched);
        return new ReadingLog(more, all.plus(entered));
    }

    private static List<Reading> joined(List<Reading> before, List<Reading> after) {
        List<Reading> both = new ArrayList<>(before);
        both.addAll(after);
        return List.copyOf(both);
    }

    private static Place placeOf(ReadingRef ref) {
        return new Place(ref.look(), ref.endpoint());
    }

    private static Spot spotOf(ReadingRef ref) {
        return new Spot(ref.unit(), ref.subReading());
    }

    /** All readings in order of entry. */
    List<Reading> all() {
        return all;
    }

    /** All readings of an observation, first to last. */
    List<Reading> history(ReadingRef ref) {
        return places.getOrDefault(placeOf(ref), Map.of()).getOrDefault(spotOf(ref), List.of());
    }

    /** A list in pieces of equal length, of which a longer copy shares all but the last. */
    private static final class Chunks<T> extends AbstractList<T> implements RandomAccess {
        private static final int LENGTH = 512;

        private final Object[][] chunks;
        private final int size;

        private Chunks(Object[][] chunks, int size) {
            this.chunks = chunks;
            this.size = size;
        }

        static <T> Chunks<T> none() {
            return new Chunks<>(new Object[0][], 0);
        }

        Chunks<T> plus(List<T> more) {
            int total = size + more.size();
            Object[][] longer = Arrays.copyOf(chunks, (total + LENGTH - 1) / LENGTH);
            for (int chunk = size / LENGTH; chunk < longer.length; chunk++) {
                longer[chunk] = longer[chunk] == null ? new Object[LENGTH] : longer[chunk].clone();
            }
            for (int i = 0; i < more.size(); i++) {
                longer[(size + i) / LENGTH][(size + i) % LENGTH] = more.get(i);
            }
            return new Chunks<>(longer, total);
        }

        @Override
        @SuppressWarnings("unchecked") // only what is a T is put in
        public T get(int index) {
            if (index < 0 || index >= size) {
                throw new IndexOutOfBoundsException("no element " + index + " of " + size);
            }
            return (T) chunks[index / LENGTH][index % LENGTH];
        }

        @Override
        public int size() {
            return size;
        }
    }
}
