package elsom.web.backup;

import elsom.web.platform.StoreAddress;
import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Puts a copy back in the place of the store; run by {@code bin/restore}. What stood there is kept aside. */
public final class Restore {
    private static final String STORE = "elsom.mv.db";
    private static final String ASIDE = "elsom-before-restore-";
    private static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH-mm-ss-SSS", Locale.ROOT);
    private static final String CHECK = "--check";

    private Restore() {}

    /**
     * Restores.
     *
     * @param arguments the folder of the store and, if it is not the newest, the copy; with {@code --check} the copy is only
     *     opened, and nothing is changed
     */
    public static void main(String[] arguments) {
        try {
            Path home = Path.of(arguments[0]);
            List<String> rest = List.of(arguments).subList(1, arguments.length);
            Optional<Path> named =
                    rest.stream().filter(one -> !one.equals(CHECK)).findFirst().map(Path::of);
            Path copy = named.isPresent() ? named.get() : newest(home.resolve("backups"));
            System.out.println(rest.contains(CHECK) ? check(home, copy) : from(home, copy));
        } catch (NoSuchFileException missing) {
            System.err.println("Nothing was restored: there is no file " + missing.getFile() + ".");
            System.exit(1);
        } catch (IOException | SQLException failed) {
            System.err.println("Nothing was restored: " + failed.getMessage());
            System.exit(1);
        }
    }

    private static Path newest(Path folder) throws IOException {
        List<Path> all = Backups.of(folder);
        if (all.isEmpty()) {
            throw new IOException("there is no backup in " + folder + " yet.");
        }
        return all.get(all.size() - 1);
    }

    /**
     * Restores one copy, once it is known that it opens.
     *
     * @return what was done, as a sentence
     * @throws IOException when the store is in use, or the copy is none
     * @throws SQLException when the copy does not open
     */
    public static String from(Path home, Path copy) throws IOException, SQLException {
        Path store = home.resolve(STORE);
        notInUse(store);
        Path fresh = home.resolve("restoring.mv.db");
        try {
            unpack(copy, fresh);
            String holds = holds(home.resolve("restoring"));
            Optional<Path> aside = Files.exists(store) ? Optional.of(putAside(store)) : Optional.empty();
            // In one step over what stands there: there is no moment without a store.
            Files.move(fresh, store, StandardCopyOption.ATOMIC_MOVE);
            return "Restored " + copy.getFileName() + ": " + holds + "."
                    + aside.map(path -> " What stood there before is in " + path + ".")
                            .orElse("")
                    + earlier(home, aside);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }

    /**
     * Opens a copy, and changes nothing.
     *
     * @return what it holds, as a sentence
     * @throws IOException when the copy is none
     * @throws SQLException when it does not open
     */
    public static String check(Path home, Path copy) throws IOException, SQLException {
        Path folder = Files.createTempDirectory(home, "checking");
        Path fresh = folder.resolve("checking.mv.db");
        try {
            unpack(copy, fresh);
            return copy.getFileName() + " opens: " + holds(folder.resolve("checking")) + ". Nothing was changed.";
        } finally {
            Files.deleteIfExists(fresh);
            Files.deleteIfExists(folder.resolve("checking.trace.db"));
            Files.deleteIfExists(folder);
        }
    }

    /** Each under its own time: a second restore takes nothing from the first. The store itself stays where it is. */
    private static Path putAside(Path store) throws IOException {
        String at = ASIDE + AT.format(LocalDateTime.now(ZoneId.systemDefault()));
        Path aside = store.resolveSibling(at + ".mv.db");
        for (int again = 2; Files.exists(aside); again++) {
            aside = store.resolveSibling(at + "-" + again + ".mv.db");
        }
        try {
            Files.createLink(aside, store);
        } catch (UnsupportedOperationException | IOException noLinks) {
            Files.copy(store, aside);
        }
        return aside;
    }

    private static String earlier(Path home, Optional<Path> now) throws IOException {
        try (Stream<Path> files = Files.list(home)) {
            List<String> earlier = files.map(file -> file.getFileName().toString())
                    .filter(name -> name.startsWith(ASIDE.substring(0, ASIDE.length() - 1)) && name.endsWith(".mv.db"))
                    .filter(name -> now.isEmpty()
                            || !name.equals(now.get().getFileName().toString()))
                    .sorted()
                    .toList();
            return earlier.isEmpty() ? "" : " Put aside earlier and still there: " + String.join(", ", earlier) + ".";
        }
    }

    private static void notInUse(Path store) throws IOException {
        if (!Files.exists(store)) {
            return;
        }
        try (FileChannel channel = FileChannel.open(store, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            if (lock == null) {
                throw new IOException("Elsom is running with this store. Stop it first.");
            }
        } catch (OverlappingFileLockException here) {
            throw new IOException("Elsom is running with this store. Stop it first.", here);
        }
    }

    private static void unpack(Path copy, Path to) throws IOException {
        try (InputStream file = Files.newInputStream(copy);
                ZipInputStream zip = new ZipInputStream(file)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().endsWith(STORE)) {
                    Files.copy(zip, to, StandardCopyOption.REPLACE_EXISTING);
                    return;
                }
            }
        }
        throw new IOException(copy + " is no backup of a store: it holds no " + STORE + ".");
    }

    private static String holds(Path store) throws SQLException {
        StoreAddress address = StoreAddress.existing(store);
        try (Connection connection = DriverManager.getConnection(address.url(), StoreAddress.USER, address.password());
                Statement sql = connection.createStatement()) {
            int trials = count(sql, "trial");
            int readings = count(sql, "reading");
            return trials
                    + (trials == 1 ? " trial, " : " trials, ")
                    + readings
                    + (readings == 1 ? " reading" : " readings");
        }
    }

    private static int count(Statement sql, String table) throws SQLException {
        try (ResultSet count = sql.executeQuery("select count(*) from " + table)) {
            count.next();
            return count.getInt(1);
        }
    }
}
