package elsom.web.people;

import elsom.web.platform.Role;
import elsom.web.platform.StoreAddress;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.springframework.boot.logging.LogLevel;
import org.springframework.boot.logging.LoggingSystem;

/**
 * Accounts at the command line, for whoever may read the store anyway: the first one, and a way back in for who lost a password.
 * Elsom must not be running. Run by {@code bin/person}.
 */
public final class PersonCommand {
    private static final String USAGE =
            "usage: bin/person add NAME [read|measure|plan|keep] · bin/person password NAME · bin/person list";
    private static final int H2_ALREADY_OPEN = 90020;

    private PersonCommand() {}

    /**
     * Does it.
     *
     * @param arguments the folder of the store, and what to do
     */
    public static void main(String[] arguments) {
        List<String> rest = List.of(arguments).subList(1, arguments.length);
        LoggingSystem.get(PersonCommand.class.getClassLoader())
                .setLogLevel(LoggingSystem.ROOT_LOGGER_NAME, LogLevel.WARN);
        try {
            System.out.println(run(Path.of(arguments[0]), rest, PersonCommand::asked));
        } catch (IllegalArgumentException | IOException refused) {
            System.err.println(refused.getMessage());
            System.exit(1);
        } catch (SQLException failed) {
            System.err.println(
                    failed.getErrorCode() == H2_ALREADY_OPEN
                            ? "Elsom is running with this store. Stop it first; who keeps it can invite others while it runs."
                            : "Nothing was done: " + failed.getMessage());
            System.exit(1);
        }
    }

    /** Where a password comes from. */
    @FunctionalInterface
    interface Passwords {
        String ask() throws IOException;
    }

    // From Java 22 on there is always a console; it reads a line from what is piped in as well.
    @SuppressWarnings("SystemConsoleNull")
    private static String asked() throws IOException {
        Console console = System.console();
        if (console != null) {
            return new String(console.readPassword("Password (at least %d characters): ", Secrets.SHORTEST));
        }
        String line = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
        return line == null ? "" : line;
    }

    /**
     * Does one thing and says what was done.
     *
     * @throws IllegalArgumentException in words, when it can't be done
     */
    static String run(Path home, List<String> words, Passwords passwords) throws SQLException, IOException {
        StoreAddress store = StoreAddress.of(home);
        Flyway.configure()
                .dataSource(store.url(), StoreAddress.USER, store.password())
                .load()
                .migrate();
        try (Connection connection = DriverManager.getConnection(store.url(), StoreAddress.USER, store.password())) {
            String said = words.isEmpty()
                    ? USAGE
                    : switch (words.get(0)) {
                        case "add" -> add(connection, words, passwords);
                        case "password" -> password(connection, words, passwords);
                        case "list" -> list(connection);
                        default -> throw new IllegalArgumentException(USAGE);
                    };
            try (Statement end = connection.createStatement()) {
                end.execute("shutdown");
            }
            return said;
        }
    }

    private static String add(Connection connection, List<String> words, Passwords passwords)
            throws SQLException, IOException {
        String name = named(words);
        boolean first = count(connection, "select count(*) from person where left_at is null", Optional.empty()) == 0;
        Role role = words.size() > 2 ? role(words.get(2)) : Role.KEEP;
        if (first && role != Role.KEEP) {
            throw new IllegalArgumentException(
                    "The first account must be one that keeps: bin/person add " + name + " keep");
        }
        if (count(connection, "select count(*) from person where name = ?", Optional.of(name)) > 0) {
            throw new IllegalArgumentException(
                    "“" + name + "” is taken, or was: what was signed with it stays theirs.");
        }
        String hash = hashed(passwords.ask(), name);
        try (PreparedStatement insert = connection.prepareStatement(
                "insert into person (name, role, password, added_at) values (?, ?, ?, ?)")) {
            insert.setString(1, name);
            insert.setString(2, role.name());
            insert.setString(3, hash);
            insert.setObject(4, Instant.now().atOffset(ZoneOffset.UTC));
            insert.executeUpdate();
        }
        return name + " may " + role.label() + "." + (first ? " From now on everybody signs in." : "");
    }

    private static String password(Connection connection, List<String> words, Passwords passwords)
            throws SQLException, IOException {
        String name = named(words);
        if (count(connection, "select count(*) from person where name = ? and left_at is null", Optional.of(name))
                == 0) {
            throw new IllegalArgumentException("Nobody here is called " + name + ".");
        }
        try (PreparedStatement update =
                connection.prepareStatement("update person set password = ? where name = ? and left_at is null")) {
            update.setString(1, hashed(passwords.ask(), name));
            update.setString(2, name);
            update.executeUpdate();
        }
        try (PreparedStatement end = connection.prepareStatement(
                "update sign_in set ended_at = ? where ended_at is null and owner_id = (select id from person where name = ?)")) {
            end.setObject(1, Instant.now().atOffset(ZoneOffset.UTC));
            end.setString(2, name);
            end.executeUpdate();
        }
        return name + " has another password, and is signed out everywhere.";
    }

    private static String list(Connection connection) throws SQLException {
        StringBuilder said = new StringBuilder();
        try (Statement all = connection.createStatement();
                ResultSet rows =
                        all.executeQuery("select name, role from person where left_at is null order by name")) {
            while (rows.next()) {
                said.append(rows.getString(1))
                        .append(" may ")
                        .append(rows.getString(2).toLowerCase(Locale.ROOT))
                        .append('\n');
            }
        }
        return said.isEmpty() ? "Nobody has an account." : said.toString().strip();
    }

    private static String named(List<String> words) {
        String name = words.size() > 1 ? words.get(1).strip() : "";
        if (name.isEmpty() || name.length() > Person.LONGEST_NAME) {
            throw new IllegalArgumentException(USAGE);
        }
        return name;
    }

    private static Role role(String word) {
        return Arrays.stream(Role.values())
                .filter(role -> role.label().equalsIgnoreCase(word))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(USAGE));
    }

    private static String hashed(String password, String name) {
        Secrets.problem(password, name).ifPresent(problem -> {
            throw new IllegalArgumentException(problem);
        });
        return Secrets.hash(password);
    }

    private static int count(Connection connection, String query, Optional<String> name) throws SQLException {
        try (PreparedStatement counting = connection.prepareStatement(query)) {
            if (name.isPresent()) {
                counting.setString(1, name.get());
            }
            try (ResultSet rows = counting.executeQuery()) {
                rows.next();
                return rows.getInt(1);
            }
        }
    }
}
