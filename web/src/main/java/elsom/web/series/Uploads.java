package elsom.web.series;

import elsom.core.trial.TrialId;
import elsom.web.platform.NotFound;
import elsom.web.platform.Settings;
import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Files that were sent and are looked at before they are taken. They are kept beside the store until then, the last few. */
@Component
class Uploads {
    private static final int KEPT = 12;

    private final Path folder;
    private final Map<UUID, Upload> uploads = new LinkedHashMap<>();

    Uploads(Settings settings) {
        this.folder = settings.home().toAbsolutePath().normalize().resolve("incoming");
    }

    /** A file that was sent. */
    record Upload(UUID id, TrialId trial, String name, String source, String digest, Path file) {}

    /** What an earlier run left is nobody's any more. */
    @PostConstruct
    void empty() {
        if (Files.isDirectory(folder)) {
            try (Stream<Path> left = Files.list(folder)) {
                left.forEach(Uploads::delete);
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException busy) {
            throw new UncheckedIOException(busy);
        }
    }

    synchronized Upload keep(TrialId trial, String name, String source, InputStream bytes) throws IOException {
        Files.createDirectories(folder);
        UUID id = UUID.randomUUID();
        Path file = folder.resolve(id.toString());
        MessageDigest digest = sha256();
        try (OutputStream out = new DigestOutputStream(Files.newOutputStream(file), digest)) {
            bytes.transferTo(out);
        }
        Upload upload = new Upload(id, trial, name, source, HexFormat.of().formatHex(digest.digest()), file);
        uploads.put(id, upload);
        while (uploads.size() > KEPT) {
            forget(uploads.keySet().iterator().next());
        }
        return upload;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }

    /**
     * A file that was sent to a trial.
     *
     * @throws NotFound if it is there no longer
     */
    synchronized Upload find(TrialId trial, UUID id) {
        Upload upload = uploads.get(id);
        if (upload == null || !upload.trial().equals(trial)) {
            throw new NotFound(
                    "That file is no longer here. Send it again.", "/trials/" + trial + "/series", "To its sensors");
        }
        return upload;
    }

    synchronized void forget(UUID id) {
        Upload gone = uploads.remove(id);
        if (gone != null) {
            delete(gone.file());
        }
    }
}
