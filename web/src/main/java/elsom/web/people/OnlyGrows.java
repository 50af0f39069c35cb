package elsom.web.people;

import java.sql.Connection;
import java.sql.SQLException;
import org.h2.api.Trigger;
import org.jspecify.annotations.Nullable;

/** Keeps rows of the log of writes as they are: the store itself refuses to change or delete one. */
public final class OnlyGrows implements Trigger {
    @Override
    public void fire(Connection connection, Object @Nullable [] before, Object @Nullable [] after) throws SQLException {
        throw new SQLException("the log of writes only grows");
    }
}
