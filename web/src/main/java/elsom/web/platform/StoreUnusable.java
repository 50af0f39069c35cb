package elsom.web.platform;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in plain words that the store can't be used, and which backup there is. */
final class StoreUnusable extends AbstractFailureAnalyzer<StoreOpens.Unusable> {
    @Override
    protected FailureAnalysis analyze(Throwable root, StoreOpens.Unusable cause) {
        return new FailureAnalysis(cause.what(), cause.todo(), cause);
    }
}
