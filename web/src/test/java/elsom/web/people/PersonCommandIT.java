package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.web.platform.StoreAddress;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The first account, made at the command line in a folder with nothing in it. */
class PersonCommandIT {
    private static final String PASSWORD = "four words without belonging";

    @TempDir
    private Path home;

    private String run(String password, String... words) throws SQLException, IOException {
        return PersonCommand.run(home, List.of(words), () -> password);
    }

    private String hash(String name) throws SQLException {
        StoreAddress store = StoreAddress.of(home);
        try (Connection connection = DriverManager.getConnection(store.url(), StoreAddress.USER, store.password());
                Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery("select password from person where name = '" + name + "'")) {
            row.next();
            return row.getString(1);
        }
    }

    @Test
    void theFirstKeepsAndOthersFollow() throws Exception {
        assertThat(run("", "list")).isEqualTo("Nobody has an account.");
        assertThatThrownBy(() -> run(PASSWORD, "add", "Mo", "read")).hasMessageContaining("must be one that keeps");
        assertThatThrownBy(() -> run("short", "add", "Ida", "keep")).hasMessageContaining("at least 12");
        assertThat(run(PASSWORD, "add", "Ida")).isEqualTo("Ida may keep. From now on everybody signs in.");
        assertThat(run(PASSWORD, "add", "Mo", "measure")).isEqualTo("Mo may measure.");
        assertThatThrownBy(() -> run(PASSWORD, "add", "ida", "plan")).hasMessageContaining("is taken");
        assertThat(run("", "list")).isEqualTo("Ida may keep\nMo may measure");
    }

    @Test
    void aLostPasswordIsSetAnew() throws Exception {
        run(PASSWORD, "add", "Ida");
        assertThatThrownBy(() -> run(PASSWORD, "password", "Mo")).hasMessageContaining("Nobody here is called Mo");
        assertThat(run("another four words here", "password", "Ida")).contains("signed out everywhere");
        assertThat(Secrets.matches("another four words here", Optional.of(hash("Ida"))))
                .isTrue();
        assertThat(Secrets.matches(PASSWORD, Optional.of(hash("Ida")))).isFalse();
    }

    @Test
    void whatItDoesNotKnowItExplains() {
        assertThatThrownBy(() -> run("", "remove", "Ida")).hasMessageStartingWith("usage:");
        assertThatThrownBy(() -> run(PASSWORD, "add", "Ida", "king")).hasMessageStartingWith("usage:");
        assertThatThrownBy(() -> run(PASSWORD, "add")).hasMessageStartingWith("usage:");
    }
}
