package elsom.web.platform;

import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in plain words that another Elsom has the store open, instead of pages of stack. */
final class StoreInUse extends AbstractFailureAnalyzer<SQLException> {
    /** H2's DATABASE_ALREADY_OPEN_1. */
    private static final int H2_ALREADY_OPEN = 90020;

    @Override
    protected @Nullable FailureAnalysis analyze(Throwable root, SQLException cause) {
        return cause.getErrorCode() == H2_ALREADY_OPEN
                ? new FailureAnalysis(
                        "Another Elsom has this store open: " + cause.getMessage(),
                        "Use the one that runs, stop it, or give this one a place of its own: ELSOM_HOME=elsewhere"
                                + " SERVER_PORT=8081 bin/run",
                        cause)
                : null;
    }
}
