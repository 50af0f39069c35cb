package elsom.web.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** Whether the store that is there can be opened by this Elsom, before anything is written to it. */
final class StoreOpens {
    private static final String STORE = "elsom.mv.db";
    private static final int ALREADY_OPEN = 90020;

    /** What an encrypted file of H2 begins with. */
    private static final String ENCRYPTED = "H2encrypt";

    /** H2's codes for a file that is encrypted otherwise, or a password that is not its own. */
    private static final Set<Integer> KEYS = Set.of(90049, 28000, 90050, 90057);

    private StoreOpens() {}

    /** A store that can't be used, with what is wrong and what to do. */
    static final class Unusable extends RuntimeException {
        private final String what;
        private final String todo;

        Unusable(String what, String todo) {
            super(what);
            this.what = what;
            this.todo = todo;
        }

        String what() {
            return what;
        }

        String todo() {
            return todo;
        }
    }

    /**
     * Looks at the store of a folder; a folder without one is fine.
     *
     * @throws Unusable where it is empty, damaged or of a newer Elsom; nothing was changed then
     */
    static void check(Path home) {
        Path store = home.resolve(STORE);
        if (!Files.exists(store)) {
            return;
        }
        if (size(store) == 0) {
            throw new Unusable(
                    "The store " + store + " is empty: something emptied it, or its copy broke off.", restore(home));
        }
        StoreAddress address = StoreAddress.existing(home.resolve("elsom"));
        try (Connection connection = DriverManager.getConnection(address.url(), StoreAddress.USER, address.password());
                Statement sql = connection.createStatement()) {
            int written = version(sql);
            if (written > known()) {
                throw new Unusable(
                        "The store " + store + " was written by a newer Elsom (its tables are of version " + written
                                + ", this one knows " + known() + "). Nothing was changed.",
                        "Start the newer Elsom with it, or put a backup of before back. " + restore(home));
            }
        } catch (SQLException fault) {
            if (KEYS.contains(fault.getErrorCode()) || encrypted(store)) {
                throw new Unusable(
                        "The store " + store + " does not open with this key, or with none.",
                        "Set " + StoreAddress.KEY
                                + " to the key it was begun with, or unset it if it was begun without one."
                                + " Nothing was changed. " + restore(home));
            }
            // One that is open elsewhere says so itself.
            if (fault.getErrorCode() != ALREADY_OPEN) {
                throw new Unusable("The store " + store + " is damaged: " + fault.getMessage() + ".", restore(home));
            }
        } catch (IllegalStateException torn) {
            throw new Unusable("The store " + store + " is damaged: " + torn.getMessage() + ".", restore(home));
        }
    }

    private static boolean encrypted(Path store) {
        try (InputStream in = Files.newInputStream(store)) {
            return new String(in.readNBytes(ENCRYPTED.length()), StandardCharsets.US_ASCII).equals(ENCRYPTED);
        } catch (IOException unreadable) {
            return false;
        }
    }

    private static long size(Path store) {
        try {
            return Files.size(store);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The version of its tables; 0 where it has none yet. */
    private static int version(Statement sql) throws SQLException {
        try (ResultSet tables = sql.executeQuery(
                "select count(*) from information_schema.tables where lower(table_name) = 'flyway_schema_history'")) {
            tables.next();
            if (tables.getInt(1) == 0) {
                return 0;
            }
        }
        try (ResultSet newest = sql.executeQuery(
                "select max(cast(\"version\" as integer)) from \"flyway_schema_history\" where \"success\" and \"version\" is not null")) {
            newest.next();
            return newest.getInt(1);
        }
    }

    private static int known() {
        try {
            int newest = 0;
            for (Resource migration :
                    new PathMatchingResourcePatternResolver().getResources("classpath*:db/migration/V*.sql")) {
                String name = String.valueOf(migration.getFilename());
                newest = Math.max(newest, Integer.parseInt(name.substring(1, name.indexOf("__"))));
            }
            return newest;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static String restore(Path home) {
        Path folder = home.resolve("backups");
        Optional<Path> newest = Optional.empty();
        if (Files.isDirectory(folder)) {
            try (Stream<Path> files = Files.list(folder)) {
                newest = files.filter(file -> file.getFileName().toString().matches("elsom-.*\\.zip"))
                        .max(Comparator.comparing(Path::getFileName));
            } catch (IOException unreadable) {
                newest = Optional.empty();
            }
        }
        return newest.map(file -> "The newest backup is " + file + ": ELSOM_HOME=" + home
                        + " bin/restore puts it back; what stands there is kept aside.")
                .orElse("There is no backup beside it. Put the file aside, and look for a copy of it elsewhere.");
    }
}
