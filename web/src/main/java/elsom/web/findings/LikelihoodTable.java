package elsom.web.findings;

import elsom.core.diagnosis.Likelihoods;
import elsom.web.platform.Settings;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The table that causes are judged by: the one that comes with Elsom, or the file of one's own beside the store. */
@Component
class LikelihoodTable {
    private static final Logger LOG = LoggerFactory.getLogger(LikelihoodTable.class);

    private final Path file;
    private final List<Runnable> listeners = new CopyOnWriteArrayList<>();
    private volatile Likelihoods current;

    LikelihoodTable(Settings settings) {
        this.file = settings.home().resolve("likelihoods.csv");
        this.current = Files.exists(file) ? kept(file) : Likelihoods.SHIPPED;
    }

    /** A file that somebody broke must not keep Elsom from starting. */
    private static Likelihoods kept(Path file) {
        try {
            return Likelihoods.parse(new StringReader(Files.readString(file)));
        } catch (IOException | IllegalArgumentException broken) {
            LOG.warn("{} is not used; the table that comes with Elsom is: {}", file, broken.getMessage());
            return Likelihoods.SHIPPED;
        }
    }

    /** Called when another table is used from now on. */
    void onChange(Runnable listener) {
        listeners.add(listener);
    }

    Likelihoods current() {
        return current;
    }

    /** Another one whenever another table is used. */
    String version() {
        try {
            return own() ? Files.getLastModifiedTime(file).toInstant().toString() : "shipped";
        } catch (IOException gone) {
            return "kept";
        }
    }

    boolean own() {
        return !current.equals(Likelihoods.SHIPPED);
    }

    /**
     * Takes another table.
     *
     * @throws IllegalArgumentException with every bad row
     */
    synchronized void replace(String csv) {
        try {
            Likelihoods read = Likelihoods.parse(new StringReader(csv));
            Files.createDirectories(file.toAbsolutePath().getParent());
            Path fresh = Files.writeString(file.resolveSibling("likelihoods.new"), csv, StandardCharsets.UTF_8);
            Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING);
            use(read);
        } catch (IOException notWritten) {
            throw new UncheckedIOException(notWritten);
        }
    }

    /** Goes back to the table that comes with Elsom. */
    synchronized void restore() {
        try {
            Files.deleteIfExists(file);
            use(Likelihoods.SHIPPED);
        } catch (IOException notDeleted) {
            throw new UncheckedIOException(notDeleted);
        }
    }

    private void use(Likelihoods table) {
        current = table;
        listeners.forEach(Runnable::run);
    }
}
