package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.web.trial.WholeTrial;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** Makes a trial of a zip that an Elsom wrote: whole, or not at all. */
@Component
public class TrialImport {
    private final PackageParts parts;
    private final SealOfStore seal;

    TrialImport(PackageParts parts, SealOfStore seal) {
        this.seal = seal;
        this.parts = parts;
    }

    /**
     * What became of a zip.
     *
     * @param trial empty when something is wrong
     * @param problems where it is wrong
     */
    public record Outcome(Optional<TrialId> trial, List<BadRow> problems) {}

    /** Reads a zip into a new trial, once for its token. */
    public Outcome readIn(InputStream zip, UUID token) throws IOException {
        List<BadRow> problems = new ArrayList<>();
        PackageZip.Opened opened = PackageZip.open(zip, parts.paths(), seal.get(), problems);
        Optional<WholeTrial> read =
                problems.isEmpty() ? new TrialPackageReader(opened, problems).read() : Optional.empty();
        List<Consumer<TrialId>> beside = read.map(whole -> parts.read(opened.files(), whole.record(), problems))
                .orElse(List.of());
        return new Outcome(
                problems.isEmpty() ? read.map(whole -> parts.create(whole, beside, token)) : Optional.empty(),
                List.copyOf(problems));
    }
}
