package elsom.web.platform;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/**
 * Whether there is room to write. The store is never let run against a full disk: it would have to close, and every page
 * with it. While room is short, nothing is written and all can be read.
 */
public class DiskSpace {
    /** What is left for what the store itself still writes. */
    static final long RESERVE_BYTES = 24L * 1024 * 1024;

    private final Path home;

    DiskSpace(Path home) {
        this.home = home.toAbsolutePath().normalize();
    }

    /** Whether something can be written. */
    public boolean sufficient() {
        return sufficient(0);
    }

    /** Whether so many bytes can be written and the reserve stays. */
    public boolean sufficient(long bytes) {
        @Nullable Path there = home;
        while (there != null && !Files.exists(there)) {
            there = there.getParent();
        }
        if (there == null) {
            return false;
        }
        try {
            FileStore disk = Files.getFileStore(there);
            return disk.getUsableSpace() - bytes >= RESERVE_BYTES;
        } catch (IOException gone) {
            return false;
        }
    }
}
