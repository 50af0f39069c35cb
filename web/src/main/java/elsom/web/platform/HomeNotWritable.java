package elsom.web.platform;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in plain words that the folder for the data can't be written to. */
final class HomeNotWritable extends AbstractFailureAnalyzer<HomeWritable.NotWritable> {
    @Override
    protected FailureAnalysis analyze(Throwable root, HomeWritable.NotWritable cause) {
        return new FailureAnalysis(
                "Elsom keeps its data in " + cause.home() + ", and can't write there ("
                        + root.getClass().getSimpleName() + ": " + root.getMessage() + ").",
                "Make that folder writable, free some space, or give Elsom another one: ELSOM_HOME=elsewhere bin/run",
                cause);
    }
}
