package elsom.web.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Makes what Elsom keeps readable for whoever runs it, and for nobody else on that machine, where its disk knows of owners. */
public final class OwnerOnly {
    private static final Logger LOG = LoggerFactory.getLogger(OwnerOnly.class);
    private static final String FILE = "rw-------";
    private static final String FOLDER = "rwx------";

    private OwnerOnly() {}

    /** A store's files and the folders of its own beside it; the folder they are in may be another's. */
    static void store(Path home) {
        for (String folder : List.of("backups", "tls")) {
            if (Files.isDirectory(home.resolve(folder))) {
                set(home.resolve(folder), FOLDER);
                files(home.resolve(folder), "elsom");
            }
        }
        files(home, "elsom");
    }

    /** A file that was just written. */
    public static void file(Path file) {
        set(file, FILE);
    }

    private static void files(Path folder, String beginning) {
        try (Stream<Path> all = Files.list(folder)) {
            all.filter(Files::isRegularFile)
                    .filter(file -> file.getFileName().toString().startsWith(beginning))
                    .forEach(OwnerOnly::file);
        } catch (IOException unreadable) {
            LOG.warn("can't see to it that only its owner reads {}: {}", folder, unreadable.getMessage());
        }
    }

    private static void set(Path path, String permissions) {
        try {
            Files.setPosixFilePermissions(path, PosixFilePermissions.fromString(permissions));
        } catch (UnsupportedOperationException noOwners) {
            // A stick with no owners protects nothing, whatever is asked of it.
        } catch (IOException notOurs) {
            LOG.warn("can't see to it that only its owner reads {}: {}", path, notOurs.getMessage());
        }
    }
}
