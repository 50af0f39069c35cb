package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.env.YamlPropertySourceLoader;
import org.springframework.core.io.ClassPathResource;

/** What was committed is in the store's file at once, also in one with holes: a copy of it, as a kill leaves it, has all. */
class CommittedIsInTheFileTest {
    private static final int COMMITS = 40;

    @TempDir
    private Path folder;

    /** The address that the application opens its store with. */
    private String store(String name) throws IOException {
        String url = Objects.requireNonNull(new YamlPropertySourceLoader()
                        .load("application", new ClassPathResource("application.yaml"))
                        .get(0)
                        .getProperty("spring.datasource.url"))
                .toString();
        assertThat(url).contains("${elsom.home}/elsom");
        return url.replace("${elsom.home}/elsom", folder.resolve(name).toString());
    }

    private int newestOfACopy() throws SQLException, IOException {
        Files.copy(folder.resolve("store.mv.db"), folder.resolve("copy.mv.db"), StandardCopyOption.REPLACE_EXISTING);
        try (Connection copy = DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("copy"));
                Statement sql = copy.createStatement();
                ResultSet newest = sql.executeQuery("select max(id) from entry")) {
            newest.next();
            return newest.getInt(1);
        }
    }

    /** Leaves holes: rows are made, changed and taken away, and what is no more needed is given up at once. */
    private static void makeHoles(Statement sql) throws SQLException {
        sql.execute("set retention_time 0");
        sql.execute("create table entry (id int primary key)");
        sql.execute("create table bulk (id int primary key, words varchar)");
        for (int i = 0; i < 40; i++) {
            sql.execute("insert into bulk select x + " + 40 * i + ", repeat('a', 100 + mod(31 * x, 300))"
                    + " from system_range(1, 40)");
        }
        sql.execute("update bulk set words = words || 'b'");
        sql.execute("delete from bulk where mod(id, 3) = 0");
        sql.execute("update bulk set words = words || 'c'");
    }

    @Test
    void aCopyOfTheOpenFileHasAllThatWasCommitted() throws Exception {
        try (Connection connection = DriverManager.getConnection(store("store"));
                Statement sql = connection.createStatement()) {
            makeHoles(sql);
            for (int id = 1; id <= COMMITS; id++) {
                sql.execute("insert into entry values (" + id + ")");
                if (id % 7 == 0) {
                    sql.execute("update bulk set words = words || 'd' where mod(id, 50) = 2");
                }
                assertThat(newestOfACopy()).isEqualTo(id);
            }
        }
    }
}
