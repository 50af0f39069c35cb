package elsom.web.practice;

import elsom.core.trial.TrialId;
import elsom.web.exchange.TrialImport;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The finished example that ships with Elsom: a trial like any other, which no list of real work shows. */
@Component
public class Examples {
    private static final ClassPathResource ZIP = new ClassPathResource("example/trial.zip");
    private static final UUID TOKEN = UUID.fromString("6f0c2a6e-53f5-4a0d-9d55-3f7c5b1e9a01");

    private final TrialImport incoming;
    private final Trials trials;
    private final PracticeMapper mapper;

    Examples(TrialImport incoming, Trials trials, PracticeMapper mapper) {
        this.incoming = incoming;
        this.trials = trials;
        this.mapper = mapper;
    }

    /** The example, while it is in the store. */
    @Transactional(readOnly = true)
    public Optional<TrialId> there() {
        return mapper.example(TOKEN);
    }

    /** Brings it in; where it is there already, that one stays. */
    @Transactional
    public TrialId bringIn() {
        try (InputStream zip = ZIP.getInputStream()) {
            TrialImport.Outcome outcome = incoming.readIn(zip, TOKEN);
            TrialId id = outcome.trial()
                    .orElseThrow(() -> new IllegalStateException("The example can't be read: " + outcome.problems()));
            mapper.mark(id);
            return id;
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Takes it away with all that was tried on it. */
    @Transactional
    public void takeAway() {
        there().ifPresent(trials::delete);
    }
}
