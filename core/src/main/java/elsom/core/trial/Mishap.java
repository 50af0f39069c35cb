package elsom.core.trial;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that went wrong, to which units, when.
 *
 * @param number 1-based within the trial, in order of entry
 * @param note in the station's own words; may be empty
 * @param look the look during which it was seen
 * @param withdrawnAt when it was taken back; null while it stands
 */
public record Mishap(
        int number,
        MishapKind kind,
        String note,
        List<UnitCode> units,
        int look,
        Instant happenedAt,
        String station,
        @Nullable Instant withdrawnAt) {
    public static final int LONGEST_NOTE = 300;

    public Mishap {
        units = List.copyOf(units);
        if (note.length() > LONGEST_NOTE) {
            throw new IllegalArgumentException(
                    "a note has at most " + LONGEST_NOTE + " characters, got " + note.length());
        }
    }

    public boolean stands() {
        return withdrawnAt == null;
    }
}
