package elsom.web.platform;

import java.nio.file.Path;
import java.util.Map;

/**
 * Where a store is and what opens it. It is encrypted where a key is set in the environment as {@value #KEY}; a store that was
 * begun with one opens with that one only.
 *
 * @param url for JDBC
 * @param password of the user, behind the file's where it has one
 */
public record StoreAddress(String url, String password) {
    public static final String USER = "elsom";
    public static final String KEY = "ELSOM_STORE_KEY";

    /** WRITE_DELAY=0: a commit is in the file before the page says "saved", so that a killed process loses nothing. */
    private static final String RUNNING = ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE;CACHE_SIZE=16384";

    private static final String CIPHER = ";CIPHER=AES";

    /** The store in a folder, to be worked with, with the key of the environment. */
    public static StoreAddress of(Path home) {
        return of(home, System.getenv().getOrDefault(KEY, ""));
    }

    static StoreAddress of(Path home, String key) {
        return of(home.resolve("elsom"), RUNNING, key);
    }

    /** A store that must be there, to be looked at. */
    public static StoreAddress existing(Path file) {
        return of(
                file,
                ";IFEXISTS=TRUE;DB_CLOSE_ON_EXIT=FALSE;DB_CLOSE_DELAY=0",
                System.getenv().getOrDefault(KEY, ""));
    }

    private static StoreAddress of(Path file, String options, String key) {
        String url = "jdbc:h2:file:" + file.toAbsolutePath().normalize() + options;
        return key.isBlank() ? new StoreAddress(url, "") : new StoreAddress(url + CIPHER, password(key));
    }

    /** H2 takes the file's password first, then a space, then the user's, which may not be empty then and protects nothing. */
    private static String password(String key) {
        if (key.contains(" ")) {
            throw new IllegalArgumentException(KEY + " must have no spaces.");
        }
        return key + " " + USER;
    }

    /** What the application's own pool opens the store with, in place of what stands in its configuration. */
    Map<String, Object> properties() {
        return Map.of("spring.datasource.url", url, "spring.datasource.password", password);
    }
}
