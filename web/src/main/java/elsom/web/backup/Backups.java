package elsom.web.backup;

import elsom.web.platform.DiskSpace;
import elsom.web.platform.OwnerOnly;
import elsom.web.platform.Settings;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * A copy of the whole store beside it every day that Elsom runs, made while it runs; the last fourteen are kept. H2 writes it
 * as a zip of a state between two commits, so that no reading is torn. Where a second folder is named, on another disk, the
 * newest copy is there too as soon as that disk is.
 */
@Component
public class Backups {
    static final int KEPT = 14;
    private static final String FOLDER = "backups";
    private static final String PART = ".part";
    private static final Duration A_DAY = Duration.ofHours(24);
    private static final Pattern NAME = Pattern.compile("elsom-\\d{4}-\\d{2}-\\d{2}\\.zip");
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

    private final JdbcTemplate store;
    private final Path folder;
    private final Optional<Path> second;
    private final DiskSpace disk;
    private final Clock clock;

    Backups(JdbcTemplate store, Settings settings, DiskSpace disk, Clock clock) {
        this.disk = disk;
        this.store = store;
        this.folder = settings.home().toAbsolutePath().normalize().resolve(FOLDER);
        this.second = Optional.ofNullable(settings.backups())
                .map(named -> named.toAbsolutePath().normalize())
                .filter(named -> !named.equals(folder));
        this.clock = clock;
    }

    /** Soon after the start and then every hour it is asked whether today has its copy, and the second folder too. */
    @Scheduled(initialDelay = 2, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void daily() {
        try {
            if (latest().filter(file -> file.equals(today())).isEmpty()) {
                make();
            } else {
                copyOut();
            }
        } catch (RuntimeException failed) {
            // The day's work goes on; the next hour tries again.
            LOG.warn("No backup could be made in {}", folder, failed);
        }
    }

    /** A laptop that is used for minutes a day has its copy too: one is made at the stop when the last is older than a day. */
    @PreDestroy
    void atTheStop() {
        try {
            Integer trials = store.queryForObject("select count(*) from trial", Integer.class);
            if (trials != null
                    && trials > 0
                    && age().map(age -> age.compareTo(A_DAY) > 0).orElse(true)) {
                make();
            }
        } catch (RuntimeException failed) {
            LOG.warn("No backup could be made in {}", folder, failed);
        }
    }

    /** How long ago the newest copy was made; empty where there is none. */
    public Optional<Duration> age() {
        return age(folder);
    }

    /** The second folder, and how long ago the newest copy in it was made; empty where none is named. */
    public Optional<Second> second() {
        return second.map(there -> new Second(there, Files.isDirectory(there), age(there)));
    }

    /**
     * A second place for copies.
     *
     * @param there whether the folder can be seen: a stick may be unplugged
     */
    public record Second(Path folder, boolean there, Optional<Duration> age) {}

    private Optional<Duration> age(Path in) {
        return latest(in).flatMap(file -> {
            try {
                return Optional.of(
                        Duration.between(Files.getLastModifiedTime(file).toInstant(), clock.instant()));
            } catch (IOException gone) {
                return Optional.empty();
            }
        });
    }

    /** What is left of a copy that was never finished is nobody's. */
    private void clear() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path part : files.filter(file -> file.getFileName().toString().endsWith(PART))
                    .toList()) {
                Files.deleteIfExists(part);
            }
        }
    }

    /** A copy is smaller than the store, being packed; it is made only where the store would still have all its room. */
    private void room() throws IOException {
        Path file = folder.resolveSibling("elsom.mv.db");
        long needed = Files.exists(file) ? Files.size(file) : 0;
        if (!disk.sufficient(needed)) {
            throw new IOException("there is no room for a backup: " + (needed >> 20) + " MB may be needed");
        }
    }

    /** Makes today's copy, in place of an earlier one of today. */
    public Path make() {
        Path whole = today();
        Path part = folder.resolve(whole.getFileName() + PART);
        try {
            Files.createDirectories(folder);
            clear();
            room();
            store.update("backup to ?", part.toString());
            OwnerOnly.file(part);
            Files.move(part, whole, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            prune(folder);
            copyOut();
            return whole;
        } catch (IOException failed) {
            throw new UncheckedIOException("no backup in " + folder, failed);
        } finally {
            try {
                Files.deleteIfExists(part);
            } catch (IOException busy) {
                LOG.warn("{} could not be removed", part, busy);
            }
        }
    }

    private static void prune(Path in) throws IOException {
        List<Path> all = of(in);
        for (Path old : all.subList(0, Math.max(0, all.size() - KEPT))) {
            Files.delete(old);
        }
    }

    /** The newest copy into the second folder, unless it is there; what is not plugged in is not made. */
    private void copyOut() {
        if (second.isEmpty() || !Files.isDirectory(second.get())) {
            return;
        }
        latest().ifPresent(newest -> {
            Path there = second.get().resolve(newest.getFileName());
            Path part = second.get().resolve(newest.getFileName() + PART);
            try {
                if (!Files.exists(there) || Files.mismatch(newest, there) >= 0) {
                    Files.copy(newest, part, StandardCopyOption.REPLACE_EXISTING);
                    OwnerOnly.file(part);
                    Files.move(part, there, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
                    prune(second.get());
                }
            } catch (IOException failed) {
                // The first copy stands; Today tells how old the second is.
                LOG.warn("No second backup could be made in {}", second.get(), failed);
            }
        });
    }

    private Path today() {
        return folder.resolve("elsom-" + LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()) + ".zip");
    }

    /** The newest copy. */
    public Optional<Path> latest() {
        return latest(folder);
    }

    private static Optional<Path> latest(Path in) {
        List<Path> all = of(in);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** Copies in a folder, the oldest first. */
    static List<Path> of(Path folder) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(
                            file -> NAME.matcher(file.getFileName().toString()).matches())
                    .sorted(Comparator.comparing(Path::getFileName))
                    .toList();
        } catch (IOException unreadable) {
            throw new UncheckedIOException("can't read " + folder, unreadable);
        }
    }
}
