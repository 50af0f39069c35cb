package elsom.core.trial;

/** A trial's number in this store; it changes when a trial is copied to another store. */
public record TrialId(long value) {
    @Override
    public String toString() {
        return Long.toString(value);
    }
}
