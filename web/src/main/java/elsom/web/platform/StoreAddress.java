package elsom.web.platform;

import java.nio.file.Path;

/**
 * Where a store is and what opens it. It is encrypted where a key is set in the environment as {@value #KEY}; a store that was
 * begun with one opens with that one only.
 *
 * @param url for JDBC
 * @param password of the user, behind the file's where it has one
 */
public record StoreAddress(String url, String password) {
    public static final String USER = "elsom";
    static final String KEY = "ELSOM_STORE_KEY";

    private static final String CIPHER = ";CIPHER=AES";

    /** The store in a folder, with the key of the environment. */
    public static StoreAddress of(Path home) {
        return of(home, System.getenv().getOrDefault(KEY, ""));
    }

    static StoreAddress of(Path home, String key) {
        String url = "jdbc:h2:file:" + home.toAbsolutePath().normalize().resolve("elsom")
                + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE;CACHE_SIZE=16384";
        return key.isBlank() ? new StoreAddress(url, "") : new StoreAddress(url + CIPHER, password(key));
    }

    /** H2 takes the file's password first, then a space, then the user's, which is empty. */
    static String password(String key) {
        if (key.contains(" ")) {
            throw new IllegalArgumentException(KEY + " must have no spaces.");
        }
        return key + " ";
    }
}
