package elsom.web.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Puts a copy back in the place of the store; run by {@code bin/restore}. What stood there is kept aside. */
public final class Restore {
    private static final String STORE = "elsom.mv.db";
    private static final String ASIDE = "elsom-before-restore.mv.db";

    private Restore() {}

    /**
     * Restores.
     *
     * @param arguments the folder of the store and, if it is not the newest, the copy
     */
    public static void main(String[] arguments) {
        try {
            Path home = Path.of(arguments[0]);
            System.out.println(
                    from(home, arguments.length > 1 ? Path.of(arguments[1]) : newest(home.resolve("backups"))));
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
            int trials = trialsIn(home.resolve("restoring"));
            if (Files.exists(store)) {
                Files.move(store, home.resolve(ASIDE), StandardCopyOption.REPLACE_EXISTING);
            }
            Files.move(fresh, store, StandardCopyOption.ATOMIC_MOVE);
            return "Restored " + copy.getFileName() + ": " + trials + (trials == 1 ? " trial" : " trials")
                    + ". What stood there before is in " + home.resolve(ASIDE) + ".";
        } finally {
            Files.deleteIfExists(fresh);
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

    private static int trialsIn(Path store) throws SQLException {
        try (Connection connection = DriverManager.getConnection(
                        "jdbc:h2:file:" + store.toAbsolutePath() + ";IFEXISTS=TRUE", "elsom", "");
                Statement sql = connection.createStatement();
                ResultSet count = sql.executeQuery("select count(*) from trial")) {
            count.next();
            return count.getInt(1);
        }
    }
}
