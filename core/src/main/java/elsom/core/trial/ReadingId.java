package elsom.core.trial;

/** A reading's number in this store, rising with the order of entry. */
public record ReadingId(long value) implements Comparable<ReadingId> {
    @Override
    public int compareTo(ReadingId other) {
        return Long.compare(value, other.value);
    }

    @Override
    public String toString() {
        return Long.toString(value);
    }
}
