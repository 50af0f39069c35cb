package elsom.web;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** A store that no Elsom has open, looked into. */
record StoreFile(Path home) {
    static StoreFile in(Path home) {
        return new StoreFile(home);
    }

    /** Every reading as a line. */
    List<String> readings() throws SQLException {
        return rows("select id, trial_id, unit_code, look, endpoint, sub_reading, stored_value, typed_text from reading"
                + " order by id");
    }

    List<String> rows(String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + home.resolve("elsom"), "elsom", "");
                Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery(query)) {
            while (row.next()) {
                List<String> cells = new ArrayList<>();
                for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
                    cells.add(row.getString(i));
                }
                rows.add(String.join("|", cells));
            }
        }
        return rows;
    }
}
