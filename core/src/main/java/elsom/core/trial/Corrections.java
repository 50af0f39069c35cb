package elsom.core.trial;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The chain of readings of one observation, in which each supersedes the one before. */
public final class Corrections {
    private final Map<ReadingId, Reading> chain = new HashMap<>();

    /** The history of one observation, in any order. */
    public Corrections(List<Reading> history) {
        history.forEach(reading -> chain.put(reading.id(), reading));
    }

    /**
     * What stands again when a reading is undone. Undoing a reading that an undo brought back goes one step further
     * back, never forward again.
     *
     * @return empty when nothing stood before
     */
    public Optional<Reading> before(ReadingId undone) {
        @Nullable ReadingId previous = entered(chain.get(undone)).supersedes();
        if (previous == null) {
            return Optional.empty();
        }
        Reading brought = entered(chain.get(previous));
        return brought.value() == null ? Optional.empty() : Optional.of(brought);
    }

    /** The reading somebody entered whose value this one holds; an undo's empty result stands for itself. */
    private Reading entered(@Nullable Reading reading) {
        Reading here = Objects.requireNonNull(reading, "a reading outside its chain");
        while (here.reason() == CorrectionReason.UNDONE) {
            Optional<Reading> brought = before(Objects.requireNonNull(here.supersedes()));
            if (brought.isEmpty()) {
                return here;
            }
            here = brought.get();
        }
        return here;
    }
}
