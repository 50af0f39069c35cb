package elsom.web.platform;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Whether there is room to write. The store is never let run against a full disk: it would have to close, and every page
 * with it. While room is short, nothing is written and all can be read.
 */
@Component
public class DiskSpace {
    /** What is left for what the store itself still writes. */
    static final long RESERVE_BYTES = 24L * 1024 * 1024;

    private final Path home;

    DiskSpace(@Value("${elsom.home}") Path home) {
        this.home = home;
    }

    /** Whether something can be written. */
    public boolean sufficient() {
        try {
            FileStore disk = Files.getFileStore(home);
            return disk.getUsableSpace() >= RESERVE_BYTES;
        } catch (IOException gone) {
            return false;
        }
    }
}
