package elsom.web.people;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in plain words how the first account is made. */
final class NobodyKeepsAnalyzer extends AbstractFailureAnalyzer<NobodyKeeps> {
    @Override
    protected FailureAnalysis analyze(Throwable root, NobodyKeeps cause) {
        return new FailureAnalysis(
                cause.getMessage(),
                "Add who keeps it, then start again:  bin/person add NAME keep\n"
                        + "Or let it answer to this machine only:  server.address=127.0.0.1 and no other name in elsom.hosts",
                cause);
    }
}
