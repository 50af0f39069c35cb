package elsom.web.bench;

import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.LookTiming;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One reading as it is sent from the bench.
 *
 * @param text exactly as typed, or as the scale showed it
 * @param replaces the number of the reading that the page showed; null for none
 * @param ageMs how long ago it was typed, for one that waited for the connection
 * @param token made where it was typed
 */
record EntryForm(
        @NotNull String unit,
        int look,
        @NotNull String endpoint,
        int sub,
        @NotNull String text,
        @Nullable Long replaces,
        @Nullable CorrectionReason reason,
        @NotNull LookTiming timing,
        @NotNull Instrument instrument,
        long ageMs,
        @NotNull UUID token) {}
