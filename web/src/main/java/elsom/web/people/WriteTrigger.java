package elsom.web.people;

import elsom.web.platform.Acting;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.h2.api.Trigger;
import org.jspecify.annotations.Nullable;

/**
 * Notes every row that is added, changed or removed, in the same transaction and with who did it: what is not noted here was not
 * written. It stands at the store's edge, so that no new page can forget it.
 */
public final class WriteTrigger implements Trigger {
    /** What would tell a secret, repeats for all rows, or only counts. */
    private static final Set<String> LEFT_OUT = Set.of(
            "seed",
            "came_from",
            "came_from_seed",
            "password",
            "pin",
            "pin_misses",
            "digest",
            "token",
            "draft_token",
            "entry_token",
            "jpeg",
            "trial_id",
            "id",
            "owner_id",
            "person_id",
            "seen_at",
            "used_at",
            "revision",
            "plan_revision");

    private static final String TRIAL = "trial";
    private static final String INSERT =
            "insert into write_log (at_time, person, station, trial_id, thing, did, was, becomes)"
                    + " values (?, ?, ?, ?, ?, ?, ?, ?)";

    private final List<String> columns = new ArrayList<>();
    private String table = "";
    private int trial = -1;

    @Override
    public void init(Connection connection, String schema, String trigger, String tableName, boolean before, int type)
            throws SQLException {
        table = tableName.toLowerCase(Locale.ROOT);
        try (ResultSet named = connection.getMetaData().getColumns(null, schema, tableName, null)) {
            while (named.next()) {
                columns.add(named.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
            }
        }
        trial = columns.indexOf(table.equals(TRIAL) ? "id" : "trial_id");
    }

    @Override
    public void fire(Connection connection, Object @Nullable [] before, Object @Nullable [] after) throws SQLException {
        if (Acting.quiet() && !table.equals(TRIAL)) {
            return;
        }
        Map<String, String> was = told(before);
        Map<String, String> becomes = told(after);
        if (before != null && after != null) {
            onlyDifferent(was, becomes);
            if (was.isEmpty() && becomes.isEmpty()) {
                return;
            }
        }
        write(connection, before, after, was, becomes);
    }

    private void write(
            Connection connection,
            Object @Nullable [] before,
            Object @Nullable [] after,
            Map<String, String> was,
            Map<String, String> becomes)
            throws SQLException {
        Object[] row = Objects.requireNonNull(after == null ? before : after);
        try (PreparedStatement line = connection.prepareStatement(INSERT)) {
            line.setObject(1, Instant.now().atOffset(ZoneOffset.UTC));
            line.setString(2, Acting.person());
            line.setString(3, Acting.station());
            if (trial >= 0 && row[trial] instanceof Number number) {
                line.setLong(4, number.longValue());
            } else {
                line.setNull(4, Types.BIGINT);
            }
            line.setString(5, table);
            line.setString(6, (before == null ? Did.ADDED : after == null ? Did.REMOVED : Did.CHANGED).name());
            line.setString(7, LoggedRow.text(was));
            line.setString(8, LoggedRow.text(becomes));
            line.executeUpdate();
        }
    }

    private Map<String, String> told(Object @Nullable [] row) {
        Map<String, String> told = new LinkedHashMap<>();
        for (int i = 0; row != null && i < columns.size(); i++) {
            if (row[i] != null && !LEFT_OUT.contains(columns.get(i))) {
                Object value = row[i] instanceof OffsetDateTime at ? at.truncatedTo(ChronoUnit.SECONDS) : row[i];
                LoggedRow.put(told, columns.get(i), value.toString());
            }
        }
        return told;
    }

    /** Leaves what differs; what is in neither was the same. */
    private static void onlyDifferent(Map<String, String> was, Map<String, String> becomes) {
        was.entrySet().removeIf(one -> {
            boolean same = one.getValue().equals(becomes.get(one.getKey()));
            if (same) {
                becomes.remove(one.getKey());
            }
            return same;
        });
    }
}
